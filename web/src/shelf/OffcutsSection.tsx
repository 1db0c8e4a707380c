import type { Finding } from '@lanakit/core/shelf';
import { Link } from 'react-router';
import { cutSizeMm } from '../words/buyingWords.ts';
import { counted } from '../words/show.ts';
import styles from './Panel.module.css';

/** Pieces of known size among what is on hand; nothing where there are none. */
export function OffcutsSection({ finding: { cutFrom } }: { finding: Finding }) {
  const offcuts = cutFrom?.offcuts ?? [];
  const cut = (cutFrom?.cutPieces ?? []).reduce((sum, { count }) => sum + count, 0);
  if (offcuts.length + cut === 0) return null;
  return (
    <section className={styles.section} aria-label="Offcuts">
      <h3>Offcuts</h3>
      <p>
        {offcuts.length > 0
          ? offcuts.map(({ lengthMm, widthMm }) => cutSizeMm(lengthMm, widthMm)).join(', ')
          : 'none'}
      </p>
      {cut > 0 && (
        <p className="quiet small">
          {counted(cut, 'piece')} cut for runs that are not packed yet:{' '}
          <Link to="/buying/cutting">what to cut</Link>
        </p>
      )}
    </section>
  );
}
