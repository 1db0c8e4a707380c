import { isEqual } from '@lanakit/core/base';
import { checkMaking, type Making, MakingInput } from '@lanakit/core/logbook';
import { useCallback, useRef, useState } from 'react';
import { MAKING_TOUCHES } from '../../api/mutations/logbook.ts';
import type { SaveState, Versioned } from '../../draft/DraftSaver.ts';
import { applyEdit, beginHistory, type History, redo, undo } from '../../draft/history.ts';
import { type Savable, useSaver } from '../../draft/useSaver.ts';

const FIELDS = Object.keys(MakingInput.properties) as (keyof MakingInput)[];

/** What is written down, without its id and version. */
const makingInputOf = (making: MakingInput): MakingInput =>
  Object.fromEntries(FIELDS.map((field) => [field, making[field]])) as unknown as MakingInput;

const versioned = (making: Making): Versioned<MakingInput> => ({
  version: making.version,
  document: makingInputOf(making),
});

const savableMaking = (id: string): Savable<MakingInput> => ({
  path: `/makings/${id}`,
  check: checkMaking,
  isSame: isEqual,
  readStored: (stored) => versioned(stored as Making),
  touches: MAKING_TOUCHES,
});

/** One change, and what undo calls it. */
type ChangeMaking = (label: string, recipe: (draft: MakingInput) => void) => void;

export interface MakingDraft {
  readonly input: MakingInput;
  readonly saveState: SaveState<MakingInput>;
  readonly change: ChangeMaking;
  /** What undo takes back; null: nothing was changed since it was opened. */
  readonly undoLabel: string | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

/** A page of the notebook being written: it saves itself. Mount it anew for another. */
export function useMakingDraft(making: Making): MakingDraft {
  const { opening, saveState, saver } = useSaver(versioned(making), savableMaking(making.id));
  const [history, setHistory] = useState(() => beginHistory(opening.document));
  // Two changes in one go: the second goes on from the first, which is not drawn yet.
  const newest = useRef(history);
  const show = useCallback((next: History<MakingInput>) => {
    newest.current = next;
    setHistory(next);
  }, []);
  const act = useCallback(
    (next: History<MakingInput>) => {
      if (next === newest.current) return;
      show(next);
      saver.current?.changed(next.document);
    },
    [saver, show],
  );
  const change = useCallback<ChangeMaking>(
    (label, recipe) => act(applyEdit(newest.current, { label, key: label, atMs: Date.now(), recipe })),
    [act],
  );
  return {
    input: history.document,
    saveState,
    change,
    undoLabel: history.past.at(-1)?.label ?? null,
    undo: useCallback(() => act(undo(newest.current)), [act]),
    redo: useCallback(() => act(redo(newest.current)), [act]),
    settle: async () => (await saver.current?.settle()) ?? false,
    keepMine: () => void saver.current?.keepMine(),
    takeTheirs: () => {
      if (saveState.kind !== 'conflict') return;
      show(beginHistory(saveState.theirs.document));
      saver.current?.takeTheirs();
    },
  };
}
