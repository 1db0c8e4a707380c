import type { StoredPattern } from '@lanakit/core/api';
import { checkPattern, comparePatterns, type Pattern, upgradePattern } from '@lanakit/core/pattern';
import type { Draft } from 'immer';
import { useCallback, useEffect, useMemo, useReducer, useRef } from 'react';
import type { SaveState } from './DraftSaver.ts';
import { applyEdit, beginHistory, redo, undo, type EditRequest, type History } from './history.ts';
import { useSaver, type Savable } from './useSaver.ts';

type Action =
  | { readonly kind: 'edit'; readonly request: EditRequest<Pattern> }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' }
  | { readonly kind: 'replace'; readonly document: Pattern };

function reduce(history: History<Pattern>, action: Action): History<Pattern> {
  switch (action.kind) {
    case 'edit':
      return applyEdit(history, action.request);
    case 'undo':
      return undo(history);
    case 'redo':
      return redo(history);
    case 'replace':
      return beginHistory(action.document);
  }
}

export type EditDraft = (label: string, recipe: (draft: Draft<Pattern>) => void, key?: string) => void;

export interface DraftHandle {
  readonly document: Pattern;
  readonly version: () => number;
  readonly saveState: SaveState<Pattern>;
  readonly edit: EditDraft;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
  /** Sends what is waiting; true once the server has everything. */
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => Promise<void>;
  readonly takeTheirs: () => void;
}

const savablePattern = (id: string): Savable<Pattern> => ({
  path: `/patterns/${id}`,
  check: checkPattern,
  isSame: (a, b) => comparePatterns(a, b).length === 0,
  readStored: (stored) => stored as StoredPattern,
  readKept: upgradePattern,
  touches: ['/patterns#', '/bench', '/fibres/'],
});

/** A pattern being written: its history, and the saver that keeps it. Mount it anew for another pattern. */
export function useDraft(stored: StoredPattern): DraftHandle {
  const { opening, saveState, saver } = useSaver(stored, savablePattern(stored.id));
  const [history, dispatch] = useReducer(reduce, opening.document, beginHistory<Pattern>);

  // Only what the author did is sent: not the document as opened, and not theirs when she takes it.
  const settled = useRef(history.document);
  useEffect(() => {
    if (settled.current !== history.document) saver.current?.changed(history.document);
    settled.current = history.document;
  }, [history.document, saver]);

  const edit = useCallback<EditDraft>((label, recipe, key) => {
    const request = { label, recipe, atMs: Date.now(), ...(key !== undefined && { key }) };
    dispatch({ kind: 'edit', request });
  }, []);

  return useMemo(
    () => ({
      document: history.document,
      version: () => saver.current?.version ?? stored.version,
      saveState,
      edit,
      undo: () => dispatch({ kind: 'undo' }),
      redo: () => dispatch({ kind: 'redo' }),
      undoLabel: history.past.at(-1)?.label ?? null,
      redoLabel: history.future[0]?.label ?? null,
      settle: async () => {
        await saver.current?.flush();
        return saver.current?.isSettled ?? false;
      },
      keepMine: async () => saver.current?.keepMine(),
      takeTheirs: () => {
        if (saveState.kind !== 'conflict') return;
        settled.current = saveState.theirs.document;
        dispatch({ kind: 'replace', document: saveState.theirs.document });
        saver.current?.takeTheirs();
      },
    }),
    [history, saveState, edit, stored.version, saver],
  );
}
