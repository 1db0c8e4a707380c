import { useCallback, useRef, useState } from 'react';
import type { SaveState, Versioned } from './DraftSaver.ts';
import { applyEdit, beginHistory, type EditRequest, type History, redo, undo } from './history.ts';
import { type Savable, useSaver } from './useSaver.ts';

/** A document that is written: it saves itself, and every change can be taken back. */
export interface KeptDraft<T> {
  readonly input: T;
  readonly saveState: SaveState<T>;
  /** What undo takes back; null: nothing was changed since it was opened. */
  readonly undoLabel: string | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly version: () => number;
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

/** The same, with how it is changed. */
interface EditableDraft<T> extends KeptDraft<T> {
  /** One change, made of the document as it is at that moment. */
  readonly edit: (editOf: (document: T) => Omit<EditRequest<T>, 'atMs'>) => void;
}

/** Mount it anew (by key) for another document. */
export function useKeptDraft<T extends object>(stored: Versioned<T>, savable: Savable<T>): EditableDraft<T> {
  const { opening, saveState, saver } = useSaver(stored, savable);
  const [history, setHistory] = useState(() => beginHistory(opening.document));
  // Two changes in one go: the second goes on from the first, which is not drawn yet.
  const newest = useRef(history);
  const show = useCallback((next: History<T>) => {
    newest.current = next;
    setHistory(next);
  }, []);
  const act = useCallback(
    (next: History<T>) => {
      if (next === newest.current) return;
      show(next);
      saver.current?.changed(next.document);
    },
    [saver, show],
  );
  return {
    input: history.document,
    saveState,
    edit: useCallback(
      (editOf) => act(applyEdit(newest.current, { ...editOf(newest.current.document), atMs: Date.now() })),
      [act],
    ),
    undoLabel: history.past.at(-1)?.label ?? null,
    undo: useCallback(() => act(undo(newest.current)), [act]),
    redo: useCallback(() => act(redo(newest.current)), [act]),
    version: () => saver.current?.version ?? stored.version,
    settle: async () => (await saver.current?.settle()) ?? false,
    keepMine: () => void saver.current?.keepMine(),
    takeTheirs: () => {
      if (saveState.kind !== 'conflict') return;
      show(beginHistory(saveState.theirs.document));
      saver.current?.takeTheirs();
    },
  };
}
