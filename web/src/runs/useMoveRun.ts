import type { NamedRun } from '@lanakit/core/api';
import type { RunState } from '@lanakit/core/run';
import { useState } from 'react';
import { perform } from '../api/mutations/mutation.ts';
import { moveRun } from '../api/mutations/runs.ts';
import { NOT_SAVED_YET } from '../draft/notSavedYet.ts';
import { useAttempt } from '../shell/useAttempt.ts';

interface MoveRunTerms {
  /** What it was made from; asked when it goes. */
  readonly version: () => number;
  /** What has to be saved first; false: it is not. */
  readonly settle?: () => Promise<boolean>;
  readonly onMoved?: () => void;
  /** What is said when it is there. */
  readonly words: (to: RunState) => string;
}

interface MovingRun {
  /** What is not done for the state that was asked for, in words; null: nothing was asked, or nothing is missing. */
  readonly missing: readonly string[] | null;
  /** @param anyway whatever is missing */
  readonly go: (to: RunState, anyway: boolean) => Promise<void>;
  readonly forgetMissing: () => void;
}

/** A run to its next state, or back: what is missing for it is told before it goes. */
export function useMoveRun(
  run: Pick<NamedRun, 'id'>,
  { version, settle, onMoved, words }: MoveRunTerms,
): MovingRun {
  const attempt = useAttempt();
  const [missing, setMissing] = useState<readonly string[] | null>(null);
  const go = (to: RunState, anyway: boolean) =>
    attempt(
      async () => {
        if (settle && !(await settle())) return NOT_SAVED_YET;
        await perform(moveRun(run.id, version(), to, anyway), () => {
          setMissing(null);
          onMoved?.();
        });
        return { text: words(to) };
      },
      ({ problem }) => {
        if (problem.code !== 'content_invalid' || anyway) return false;
        setMissing((problem.errors ?? []).map(({ message }) => message));
        return true;
      },
    );
  return { missing, go, forgetMissing: () => setMissing(null) };
}
