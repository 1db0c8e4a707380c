import { isEqual } from '@lanakit/core/base';
import type { NamedRun } from '@lanakit/core/api';
import { checkRun, RunInput, runOfToday, withBoxesCounted } from '@lanakit/core/run';
import { useCallback, useRef, useState } from 'react';
import { changeOfRunWords } from '@lanakit/core/words';
import type { SaveState, Versioned } from '../draft/DraftSaver.ts';
import { applyEdit, beginHistory, type History, redo, undo } from '../draft/history.ts';
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
  /** What undo takes back; null: nothing was changed since it was opened. */
  readonly undoLabel: string | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly version: () => number;
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

/** A class being changed: it saves itself, and what it shows follows at once. Mount it anew for another class. */
export function useRunDraft(run: NamedRun): RunDraft {
  const { opening, saveState, saver } = useSaver(versioned(run), savableRun(run.id));
  const [history, setHistory] = useState(() => beginHistory(opening.document));
  // Two changes in one go: the second goes on from the first, which is not drawn yet.
  const newest = useRef(history);
  const show = useCallback((next: History<RunInput>) => {
    newest.current = next;
    setHistory(next);
  }, []);
  const act = useCallback(
    (next: History<RunInput>) => {
      if (next === newest.current) return;
      show(next);
      saver.current?.changed(next.document);
    },
    [saver, show],
  );
  const change = useCallback(
    (fields: Partial<RunInput>) => {
      const before = newest.current.document;
      const next = withBoxesCounted({ ...before, ...fields });
      const changed = FIELDS.filter((field) => !isEqual(before[field], next[field]));
      act(
        applyEdit(newest.current, {
          label: changeOfRunWords(changed),
          // A name is taken back as a word, not letter by letter; a list by what was done to it.
          ...(changed.some((field) => typeof next[field] === 'object') ? {} : { key: changed.join() }),
          atMs: Date.now(),
          recipe: (draft) =>
            void Object.assign(draft, Object.fromEntries(changed.map((field) => [field, next[field]]))),
        }),
      );
    },
    [act],
  );
  return {
    input: history.document,
    saveState,
    change,
    undoLabel: history.past.at(-1)?.label ?? null,
    undo: useCallback(() => act(undo(newest.current)), [act]),
    redo: useCallback(() => act(redo(newest.current)), [act]),
    version: () => saver.current?.version ?? run.version,
    settle: async () => (await saver.current?.settle()) ?? false,
    keepMine: () => void saver.current?.keepMine(),
    takeTheirs: () => {
      if (saveState.kind !== 'conflict') return;
      show(beginHistory(saveState.theirs.document));
      saver.current?.takeTheirs();
    },
  };
}
