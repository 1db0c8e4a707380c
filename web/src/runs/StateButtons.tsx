import type { OpenedRun } from '@lanakit/core/api';
import { type RunState, stateAfter, stateBefore } from '@lanakit/core/run';
import { RUN_STATE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import { ApiProblem, errorWords, send } from '../api/client.ts';
import { refresh, refreshShelf } from '../api/resources.ts';
import { useNotice } from '../shell/Notice.tsx';
import styles from './RunPage.module.css';
import type { RunDraft } from './useRunDraft.ts';

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
  const say = useNotice();
  const [missing, setMissing] = useState<readonly string[] | null>(null);
  const next = stateAfter(run.state);
  const before = stateBefore(run.state);
  const go = async (to: RunState, anyway: boolean) => {
    if (!(await draft.settle())) {
      say({ text: 'The newest changes are not saved yet; this waits for them.', isProblem: true });
      return;
    }
    try {
      await send('POST', `/runs/${run.id}/state`, { body: { to, anyway }, version: draft.version() });
      setMissing(null);
      await onMoved();
      await Promise.all([refresh('/runs'), refreshShelf()]);
      say({ text: `${run.name} is ${RUN_STATE_WORDS[to]}.` });
    } catch (error) {
      if (error instanceof ApiProblem && error.problem.code === 'content_invalid' && !anyway) {
        setMissing((error.problem.errors ?? []).map(({ message }) => message));
      } else say({ text: errorWords(error), isProblem: true });
    }
  };
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
