import type { OpenedRun } from '@lanakit/core/api';
import { type RunState, stateAfter, stateBefore } from '@lanakit/core/run';
import { RUN_STATE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import styles from './RunPage.module.css';
import type { RunDraft } from './useRunDraft.ts';
import { MissingList } from './MissingList.tsx';
import { useMoveRun } from './useMoveRun.ts';

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
  const next = stateAfter(run.state);
  const before = stateBefore(run.state);
  const { missing, go, forgetMissing } = useMoveRun(run, {
    version: draft.version,
    settle: draft.settle,
    onMoved: () => void onMoved(),
    words: (to) => `${run.name} is ${RUN_STATE_WORDS[to]}.`,
  });
  return (
    <>
      {before && (
        <Button type="text" onClick={() => void go(before, true)}>
          Back to {RUN_STATE_WORDS[before]}
        </Button>
      )}
      {next && <Button onClick={() => void go(next, false)}>{NEXT_WORDS[next]}</Button>}
      {missing && next && (
        <MissingList
          className={styles.missing ?? ''}
          heading={`Before it is ${RUN_STATE_WORDS[next]}:`}
          missing={missing}
        >
          <Button size="small" type="primary" onClick={forgetMissing}>
            See to it
          </Button>{' '}
          <Button size="small" onClick={() => void go(next, true)}>
            Go on anyway
          </Button>
        </MissingList>
      )}
    </>
  );
}
