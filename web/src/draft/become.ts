import { original, type Draft } from 'immer';

/**
 * A recipe that makes the document what `change` gives for it. Only the lists and fields that are others are written, so
 * that undo holds no whole documents.
 */
export const become =
  <T extends object>(change: (document: T) => T) =>
  (draft: Draft<T>): void => {
    const before = original<T>(draft) ?? (draft as T);
    const after = change(before);
    for (const key of Object.keys(after) as (keyof T)[]) {
      if (after[key] !== before[key]) (draft as T)[key] = after[key];
    }
  };
