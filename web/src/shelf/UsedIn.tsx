import { Link } from 'react-router';
import type { ItemUse } from '@lanakit/core/api';
import { useUses } from '../api/queries.ts';
import styles from './Panel.module.css';

/** Everything a thing is used in, one click away. */
export function UsedIn({ path }: { path: string }) {
  const { data } = useUses(path);
  if (!data) return null;
  return (
    <section className={styles.section} aria-label="Used in">
      <h3>Used in</h3>
      {data.items.length === 0 && <p className="quiet">Nothing yet.</p>}
      <ul className={styles.list}>
        {places(data.items).map(({ to, name, where }) => (
          <li key={to}>
            <Link to={to}>{name}</Link> <span className="quiet small">{where}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface UsePlace {
  readonly to: string;
  readonly name: string;
  readonly where: string;
}

/** A pattern once, with its draft and revisions behind it. */
function places(uses: readonly ItemUse[]): UsePlace[] {
  const patterns = new Map<string, { name: string; where: string[] }>();
  const others: UsePlace[] = [];
  for (const use of uses) {
    if (use.kind === 'pattern') {
      const entry = patterns.get(use.patternId) ?? { name: use.title, where: [] };
      entry.where.push(use.revisionNumber === null ? 'draft' : `revision ${use.revisionNumber}`);
      patterns.set(use.patternId, entry);
    } else {
      const shelf = use.kind === 'blend' ? '/shelf' : '/shelf/suppliers';
      const where = use.kind === 'blend' ? 'blend' : 'supplier, offers it';
      others.push({ to: `${shelf}?open=${use.itemId}`, name: use.name, where });
    }
  }
  const inPatterns = [...patterns].map(([id, { name, where }]) => ({
    to: `/patterns/${id}`,
    name,
    where: where.join(', '),
  }));
  return [...inPatterns, ...others];
}
