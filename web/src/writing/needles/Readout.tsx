import type { Ladder, LadderFlag } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import { type NeedleWanted, wantedKey } from '@lanakit/core/shelf';
import { minutesWords, wantedName } from '@lanakit/core/words';
import { Button } from 'antd';
import { plainText } from '../../draft/markdownEdits.ts';
import styles from './Ladder.module.css';
import { changeAfter, flagWords, numberIn, verdictOf, workingWords } from '../../ui/readout.ts';

interface ReadoutProps {
  ladder: Ladder;
  build: Pattern;
  numbered: Pattern;
  stepId: string | null;
  onOverride: (stepId: string, wanted: NeedleWanted | null) => void;
  onOpen: (stepId: string) => void;
}

/** The step under the hand: which needle, how, whether it does, and when to change. */
export function Readout({ ladder, build, numbered, stepId, onOverride, onOpen }: ReadoutProps) {
  const stretch = ladder.path.stretches.find(({ step, wanted }) => step.id === stepId && wanted !== null);
  if (!stretch?.wanted)
    return <p className="quiet small">Rest on a step, or read along with the arrow keys.</p>;
  const { step, wanted } = stretch;
  const flags = ladder.flags.filter((flag) => flag.stepId === step.id);
  const isOwn = step.needle.by === 'gauge' || step.needle.by === 'feel';
  const working = workingWords(stretch);
  return (
    <div className={styles.readout}>
      <p>
        <button type="button" className={`plain-button ${styles.stepLink}`} onClick={() => onOpen(step.id)}>
          Step {numberIn(numbered, step.id)}
        </button>{' '}
        {shortened(plainText(step.text))}{' '}
        <span className="quiet">
          {step.minutes === null ? 'minutes not said' : minutesWords(step.minutes)}
          {working !== '' && ` · ${working}`}
        </span>
      </p>
      <p className="small">
        {flags.length === 0 && <span>{verdictOf(stretch, ladder)}. </span>}
        {flags.map((flag) => (
          <Flag key={flag.code} flag={flag} build={build} onOverride={onOverride} />
        ))}
        {changeAfter(stretch, ladder)}{' '}
        {isOwn && (
          <Button size="small" onClick={() => onOverride(step.id, null)}>
            Give it back to the school
          </Button>
        )}
        <span className="visually-hidden">{wantedKey(wanted)}</span>
      </p>
    </div>
  );
}

interface FlagProps {
  flag: LadderFlag;
  build: Pattern;
  onOverride: ReadoutProps['onOverride'];
}

function Flag({ flag, build, onOverride }: FlagProps) {
  const { what, mend } = flagWords(flag, build);
  const better = 'better' in flag ? flag.better : null;
  return (
    <span className={styles.flagLine}>
      <b className="amber">{what}</b> {mend}{' '}
      {better && (
        <Button size="small" onClick={() => onOverride(flag.stepId, better)}>
          Take the {wantedName(better)} instead
        </Button>
      )}{' '}
    </span>
  );
}

const MOST_LETTERS = 90;

const shortened = (text: string): string =>
  text.length <= MOST_LETTERS ? text : `${text.slice(0, text.lastIndexOf(' ', MOST_LETTERS))} …`;
