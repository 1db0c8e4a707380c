import { openToLearnersUntil, RUN_BOUNDS } from '@lanakit/core/run';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showDay } from '../words/show.ts';
import { runProblems } from './RunFields.tsx';
import { SheetLink } from './RunPapers.tsx';
import styles from './RunTerms.module.css';
import type { RunDraft } from './useRunDraft.ts';

/** Whether, and for how long, learners open the pattern of their pack on their phones. */
export function LearnerAccess({ runId, draft }: { runId: string; draft: RunDraft }) {
  const { input } = draft;
  const until = openToLearnersUntil(input);
  return (
    <section aria-label="On learners’ phones">
      <h3>On learners’ phones</h3>
      <div className={styles.phones}>
        <NumberField
          label="Days their pattern stays open"
          value={input.learnerDays}
          bounds={RUN_BOUNDS.learnerDays}
          isWhole
          allowEmpty
          suffix="days"
          placeholder="not at all"
          hint={
            until === null
              ? 'after the last sitting; empty: no code opens anything'
              : `by the code on their pack, until ${showDay(until)}`
          }
          problem={runProblems(input, true).at('/learnerDays')}
          onValue={(learnerDays) => draft.change({ learnerDays })}
        />
        <SheetLink runId={runId} draft={draft} sheet="codes">
          Codes for their phones
        </SheetLink>
      </div>
    </section>
  );
}
