import { type Caution, CAUTIONS, type Step } from '@lanakit/core/pattern';
import { CAUTION_NAMES, CAUTION_WORDS } from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { useEditStep } from '../table/tableContext.ts';
import { CautionMark } from '../../ui/marks.tsx';
import styles from './Steps.module.css';

/** What is said before the step: proposed from what it does, added and taken off by the author. */
export function StepCautions({ step, cautions }: { step: Step; cautions: readonly Caution[] }) {
  const editStep = useEditStep(step.id);
  const set = (caution: Caution, isWanted: boolean) =>
    editStep('a caution', (draft) => {
      const without = (list: readonly Caution[]) => list.filter((candidate) => candidate !== caution);
      const isProposed = cautions.includes(caution) && !draft.cautions.added.includes(caution);
      draft.cautions.dismissed = without(draft.cautions.dismissed);
      draft.cautions.added = without(draft.cautions.added);
      if (isWanted && !isProposed) draft.cautions.added.push(caution);
      if (!isWanted && isProposed) draft.cautions.dismissed.push(caution);
    });
  return (
    <>
      <div className={styles.cautions}>
        {CAUTIONS.map((caution) => (
          <div key={caution} className={styles.caution}>
            <CautionMark caution={caution} />
            <Checkbox
              checked={cautions.includes(caution)}
              onChange={(event) => set(caution, event.target.checked)}
            >
              {CAUTION_NAMES[caution]}
              <span className="quiet small">{whence(step, caution, cautions)}</span>
            </Checkbox>
          </div>
        ))}
      </div>
      {cautions.map((caution) => (
        <p key={caution} className="quiet small above-2">
          <b>{CAUTION_NAMES[caution]}.</b> {CAUTION_WORDS[caution]}
        </p>
      ))}
    </>
  );
}

function whence(step: Step, caution: Caution, cautions: readonly Caution[]): string {
  if (step.cautions.dismissed.includes(caution)) return ' · taken off by you';
  if (step.cautions.added.includes(caution)) return ' · added by you';
  return cautions.includes(caution) ? ' · from what it does' : '';
}
