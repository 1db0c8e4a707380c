import { type Ladder, ruleOf } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import { needleName } from '@lanakit/core/shelf';
import { wantedName } from '@lanakit/core/words';
import styles from './Ladder.module.css';
import { flagWords, numberIn } from '../../ui/readout.ts';

interface LadderNotesProps {
  ladder: Ladder;
  build: Pattern;
  numbered: Pattern;
  onRead?: (stepId: string) => void;
}

/** Everything on the ladder that wants looking at: missing needles, poor choices, steps back to coarse. */
export function LadderNotes({ ladder, build, numbered, onRead }: LadderNotesProps) {
  const near = ladder.rungs.filter(({ owned }) => owned.kind === 'nearest');
  if (ladder.flags.length === 0 && near.length === 0) return null;
  return (
    <ul className={styles.notes}>
      {near.map(({ key, wanted, owned }) =>
        owned.kind === 'nearest' ? (
          <li key={key}>
            <b className="amber">No {wantedName(wanted)} on the shelf.</b> Nearest: {needleName(owned.needle)}
            {owned.lost.length > 0
              ? `, which ${owned.lost.map((id) => ruleOf(id).reason).join('; ')}`
              : ', with nothing lost by our rules'}
            .
          </li>
        ) : null,
      )}
      {ladder.flags.map((flag) => {
        const { what, mend } = flagWords(flag, build);
        return (
          <li key={`${flag.stepId} ${flag.code}`}>
            <button
              type="button"
              className={`plain-button ${styles.stepLink}`}
              onClick={() => onRead?.(flag.stepId)}
            >
              Step {numberIn(numbered, flag.stepId)}
            </button>{' '}
            {what} <span className="quiet">{mend}</span>
          </li>
        );
      })}
    </ul>
  );
}
