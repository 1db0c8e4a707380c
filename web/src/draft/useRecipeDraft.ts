import type { Draft } from 'immer';
import { type KeptDraft, useKeptDraft } from './useKeptDraft.ts';
import type { Versioned } from './DraftSaver.ts';
import type { Savable } from './useSaver.ts';

/** A document changed by recipes: each with what undo calls it, and what is called the same and follows closely is one change. */
export interface RecipeDraft<T> extends KeptDraft<T> {
  readonly change: (label: string, recipe: (draft: Draft<T>) => void) => void;
}

/** Mount it anew (by key) for another document. */
export function useRecipeDraft<T extends object>(stored: Versioned<T>, savable: Savable<T>): RecipeDraft<T> {
  const { edit, ...draft } = useKeptDraft(stored, savable);
  return { ...draft, change: (label, recipe) => edit(() => ({ label, key: label, recipe })) };
}
