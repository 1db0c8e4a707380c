import { isEqual } from '@lanakit/core/base';
import type { NamedRun } from '@lanakit/core/api';
import { checkRun, RunInput, runOfToday, withBoxesCounted } from '@lanakit/core/run';
import { useCallback, useRef, useState } from 'react';
import type { SaveState, Versioned } from '../draft/DraftSaver.ts';
import { useSaver, type Savable } from '../draft/useSaver.ts';

const FIELDS = Object.keys(RunInput.properties) as (keyof RunInput)[];

/** The fields of a run that its maker may change. */
export const runInputOf = (run: RunInput): RunInput =>
  Object.fromEntries(FIELDS.map((field) => [field, run[field]])) as unknown as RunInput;

const versioned = (run: NamedRun): Versioned<RunInput> => ({
  version: run.version,
  document: runInputOf(run),
});

const savableRun = (id: string): Savable<RunInput> => ({
  path: `/runs/${id}`,
  check: checkRun,
  isSame: (a, b) => isEqual(runInputOf(a), runInputOf(b)),
  // A copy kept by a Lanakit that knew less of runs.
  readKept: runOfToday,
  readStored: (stored) => versioned(stored as NamedRun),
  touches: ['/runs', '/bench'],
});

export interface RunDraft {
  readonly input: RunInput;
  readonly saveState: SaveState<RunInput>;
  readonly change: (change: Partial<RunInput>) => void;
  readonly version: () => number;
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

/** A class being changed: it saves itself, and what it shows follows at once. Mount it anew for another class. */
export function useRunDraft(run: NamedRun): RunDraft {
  const { opening, saveState, saver } = useSaver(versioned(run), savableRun(run.id));
  const [input, setInput] = useState(opening.document);
  // Two changes in one go: the second goes on from the first, which is not drawn yet.
  const newest = useRef(opening.document);
  const show = useCallback((next: RunInput) => {
    newest.current = next;
    setInput(next);
  }, []);
  const change = useCallback(
    (fields: Partial<RunInput>) => {
      const next = withBoxesCounted({ ...newest.current, ...fields });
      show(next);
      saver.current?.changed(next);
    },
    [saver, show],
  );
  return {
    input,
    saveState,
    change,
    version: () => saver.current?.version ?? run.version,
    settle: async () => (await saver.current?.settle()) ?? false,
    keepMine: () => void saver.current?.keepMine(),
    takeTheirs: () => {
      if (saveState.kind !== 'conflict') return;
      show(saveState.theirs.document);
      saver.current?.takeTheirs();
    },
  };
}
