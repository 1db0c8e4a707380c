import type { Cut, Join, Part, Step } from '@lanakit/core/pattern';
import { problemWords } from '@lanakit/core/words';
import type { Draft } from 'immer';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { EditDraft, TableState, TableStore } from './tableStore.ts';

export const TableContext = createContext<TableStore | null>(null);

export function useTableStore(): TableStore {
  const store = useContext(TableContext);
  if (!store) throw new Error('useTable is for inside the work table');
  return store;
}

/** One thing of the table; what asks is drawn anew when just that has changed. @param pick gives the same object for the same state */
export const useTable = <T>(pick: (table: TableState) => T): T => useStore(useTableStore(), pick);

/** What is wrong at exactly this place, in words; null when nothing is. */
export function useProblemAt(): (pointer: string) => string | null {
  const problems = useTable((table) => table.problems);
  return (pointer) => {
    const problem = problems.find((candidate) => candidate.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
}

export type EditItem<T> = (label: string, recipe: (draft: Draft<T>) => void, key?: string) => void;

/** Edits of one item of a list; `key` joins edits of one field that follow closely. */
const onItem =
  <T extends { id: string }>(
    edit: EditDraft,
    id: string,
    listOf: (draft: Parameters<Parameters<EditDraft>[1]>[0]) => Draft<T>[],
  ): EditItem<T> =>
  (label, recipe, key) =>
    edit(
      label,
      (draft) => {
        const item = listOf(draft).find((candidate) => candidate.id === id);
        if (item) recipe(item);
      },
      key && `${id}.${key}`,
    );

const useEdit = (): EditDraft => useTable((table) => table.edit);

export const useEditPart = (id: string): EditItem<Part> =>
  onItem<Part>(useEdit(), id, (draft) => draft.parts);
export const useEditStep = (id: string): EditItem<Step> =>
  onItem<Step>(useEdit(), id, (draft) => draft.steps);
export const useEditJoin = (id: string): EditItem<Join> =>
  onItem<Join>(useEdit(), id, (draft) => draft.joins);
export const useEditCut = (id: string): EditItem<Cut> => onItem<Cut>(useEdit(), id, (draft) => draft.cuts);
