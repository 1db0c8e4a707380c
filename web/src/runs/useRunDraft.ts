import { isEqual } from '@lanakit/core/base';
import type { NamedRun } from '@lanakit/core/api';
import { checkRun, RunInput, runOfToday, withBoxesCounted } from '@lanakit/core/run';
import { useCallback } from 'react';
import { changeOfRunWords } from '@lanakit/core/words';
import type { Versioned } from '../draft/DraftSaver.ts';
import { type KeptDraft, useKeptDraft } from '../draft/useKeptDraft.ts';
import type { Savable } from '../draft/useSaver.ts';

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

export interface RunDraft extends KeptDraft<RunInput> {
  readonly change: (change: Partial<RunInput>) => void;
}

/** A class being changed: it saves itself, and what it shows follows at once. Mount it anew for another class. */
export function useRunDraft(run: NamedRun): RunDraft {
  const { edit, ...draft } = useKeptDraft(versioned(run), savableRun(run.id));
  const change = useCallback(
    (fields: Partial<RunInput>) =>
      edit((before) => {
        const next = withBoxesCounted({ ...before, ...fields });
        const changed = FIELDS.filter((field) => !isEqual(before[field], next[field]));
        return {
          label: changeOfRunWords(changed),
          // A name is taken back as a word, not letter by letter; a list by what was done to it.
          ...(changed.some((field) => typeof next[field] === 'object') ? {} : { key: changed.join() }),
          recipe: (draftOfRun) =>
            void Object.assign(draftOfRun, Object.fromEntries(changed.map((field) => [field, next[field]]))),
        };
      }),
    [edit],
  );
  return { ...draft, change };
}
