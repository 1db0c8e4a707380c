import type { WeighedTwice as Twice, WeighMark } from '@lanakit/core/run';
import { packWords } from '@lanakit/core/words';
import { timeWords } from '../words/days.ts';
import { showWeighed } from '../words/show.ts';
import styles from './WeighOut.module.css';

interface WeighedTwiceProps {
  twice: readonly Twice[];
  marks: readonly WeighMark[];
  fibreName: (fibreId: string) => string;
  stepG: number;
}

/** Portions that two devices weighed both: who, when, how much, and what is kept. */
export function WeighedTwice({ twice, marks, fibreName, stepG }: WeighedTwiceProps) {
  const known = twice.flatMap((each) => {
    const mark = marks.find((candidate) => candidate.mark === each.mark);
    return mark ? [{ ...each, mark }] : [];
  });
  if (known.length === 0) return null;
  const words = ({ device, at, weighedG, massG }: Twice['kept']) =>
    `${showWeighed(weighedG ?? massG, stepG)}${weighedG === null || weighedG === undefined ? ' by hand' : ''}, ${device ?? 'another device'}${at === undefined ? '' : `, ${timeWords(at)}`}`;
  return (
    <ul className={`sheet ${styles.twice}`} aria-label="Weighed twice">
      {known.map(({ mark, kept, lost }) => (
        <li key={mark.mark}>
          <b>
            {fibreName(mark.fibreId)} for {mark.packs.map(packWords).join(', ')} was weighed twice.
          </b>{' '}
          Kept: {words(kept)}. Before it: {words(lost)}. One of the two lies somewhere: take the tick back and weigh it anew.
        </li>
      ))}
    </ul>
  );
} // prettier-ignore
