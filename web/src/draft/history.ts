import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';

enablePatches();

/** One thing the author did, and how to take it back. */
interface Edit {
  /** What undo calls it. */
  readonly label: string;
  /** Edits of one key that follow closely are one edit: a word is undone, not a letter. */
  readonly key: string | null;
  readonly atMs: number;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/** A document with everything done to it since it was opened. */
export interface History<T> {
  readonly document: T;
  readonly past: readonly Edit[];
  readonly future: readonly Edit[];
}

export interface EditRequest<T> {
  readonly label: string;
  readonly key?: string;
  readonly atMs: number;
  readonly recipe: (draft: Draft<T>) => void;
}

const COALESCE_MS = 1200;
const MOST_EDITS = 500;

export const beginHistory = <T>(document: T): History<T> => ({ document, past: [], future: [] });

/** The history after an edit. An edit that changes nothing leaves no trace. */
export function applyEdit<T extends object>(history: History<T>, request: EditRequest<T>): History<T> {
  const [document, patches, inverse] = produceWithPatches(history.document, request.recipe);
  if (patches.length === 0) return history;
  const key = request.key ?? null;
  const last = history.past.at(-1);
  const isContinued =
    last !== undefined &&
    key !== null &&
    last.key === key &&
    // Not the other way round: a clock set back must not run all that follows into one.
    request.atMs >= last.atMs &&
    request.atMs - last.atMs < COALESCE_MS &&
    history.future.length === 0;
  const edit: Edit = isContinued
    ? {
        ...last,
        atMs: request.atMs,
        patches: [...last.patches, ...patches],
        inverse: [...inverse, ...last.inverse],
      }
    : { label: request.label, key, atMs: request.atMs, patches, inverse };
  const past = [...(isContinued ? history.past.slice(0, -1) : history.past), edit].slice(-MOST_EDITS);
  return { document, past, future: [] };
}

export function undo<T extends object>(history: History<T>): History<T> {
  const edit = history.past.at(-1);
  if (!edit) return history;
  return {
    document: applyPatches(history.document, edit.inverse as Patch[]),
    past: history.past.slice(0, -1),
    // Taken back, it may not grow together with what is typed next.
    future: [{ ...edit, key: null }, ...history.future],
  };
}

export function redo<T extends object>(history: History<T>): History<T> {
  const [edit, ...future] = history.future;
  if (!edit) return history;
  return {
    document: applyPatches(history.document, edit.patches as Patch[]),
    past: [...history.past, edit],
    future,
  };
}
