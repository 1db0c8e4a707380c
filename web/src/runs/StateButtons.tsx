import type { OpenedRun } from '@lanakit/core/api';
import { type RunState, stateAfter, stateBefore } from '@lanakit/core/run';
import { RUN_STATE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import styles from './RunPage.module.css';
import { NOT_SAVED_YET } from '../draft/notSavedYet.ts';
import type { RunDraft } from './useRunDraft.ts';
import { perform } from '../api/mutations/mutation.ts';
import { moveRun } from '../api/mutations/runs.ts';
import { useAttempt } from '../shell/useAttempt.ts';

const NEXT_WORDS: Readonly<Record<RunState, string>> = {
  planned: 'Plan again',
  bought: 'It is bought',
  weighed: 'It is weighed',
  packed: 'It is packed',
  done: 'It is done',
};

interface StateButtonsProps {
  run: OpenedRun;
  draft: RunDraft;
  onMoved: () => Promise<unknown>;
}

/** On to the next state, with what is missing for it; and back. */
export function StateButtons({ run, draft, onMoved }: StateButtonsProps) {
  const attempt = useAttempt();
  const [missing, setMissing] = useState<readonly string[] | null>(null);
  const next = stateAfter(run.state);
  const before = stateBefore(run.state);
  const go = (to: RunState, anyway: boolean) =>
    attempt(
      async () => {
        if (!(await draft.settle())) return NOT_SAVED_YET;
        await perform(moveRun(run.id, draft.version(), to, anyway), () => {
          setMissing(null);
          void onMoved();
        });
        return { text: `${run.name} is ${RUN_STATE_WORDS[to]}.` };
      },
      ({ problem }) => {
        if (problem.code !== 'content_invalid' || anyway) return false;
        setMissing((problem.errors ?? []).map(({ message }) => message));
        return true;
      },
    );
  return (
    <>
      {before && (
        <Button type="text" onClick={() => void go(before, true)}>
          Back to {RUN_STATE_WORDS[before]}
        </Button>
      )}
      {next && <Button onClick={() => void go(next, false)}>{NEXT_WORDS[next]}</Button>}
      {missing && next && (
        <div className={styles.missing} role="alert">
          <b>Before it is {RUN_STATE_WORDS[next]}:</b>
          <ul>
            {missing.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <Button size="small" type="primary" onClick={() => setMissing(null)}>
            See to it
          </Button>{' '}
          <Button size="small" onClick={() => void go(next, true)}>
            Go on anyway
          </Button>
        </div>
      )}
    </>
  );
}
