import type { RemarkLine } from '@lanakit/core/words';
import { useContext } from 'react';
import { ProofContext } from './proofNotes.ts';
import styles from './Reading.module.css';

const NOTHING: readonly RemarkLine[] = [];

/** What a proof-reader is to look at in this step or piece; nothing where nobody proof-reads. */
export function Proof({ id }: { id: string }) {
  const notes = useContext(ProofContext);
  return <Notes lines={notes?.byId.get(id) ?? NOTHING} isPlaced />;
}

/** The same of the whole, at the head of the sheet. */
export function ProofOfWhole() {
  const notes = useContext(ProofContext);
  return <Notes lines={notes?.ofWhole ?? NOTHING} isPlaced={false} />;
}

function Notes({ lines, isPlaced }: { lines: readonly RemarkLine[]; isPlaced: boolean }) {
  if (lines.length === 0) return null;
  return (
    <ul className={styles.proof} aria-label="To look at">
      {lines.map(({ key, place, words }) => (
        <li key={key}>
          {!isPlaced && <b>{place} </b>}
          {words}
        </li>
      ))}
    </ul>
  );
}
