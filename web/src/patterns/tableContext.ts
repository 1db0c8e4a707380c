import type { Fibre, FibreLookup, PatternEstimate, Problem } from '@lanakit/core';
import { problemWords } from '@lanakit/core/words';
import { createContext, useContext } from 'react';
import type { DraftHandle } from '../draft/useDraft.ts';

/** What every part of the work table sees. */
export interface TableView {
  readonly draft: DraftHandle;
  readonly estimate: PatternEstimate;
  readonly problems: readonly Problem[];
  readonly fibres: readonly Fibre[];
  readonly shelf: FibreLookup;
}

export const TableContext = createContext<TableView | null>(null);

export function useTable(): TableView {
  const view = useContext(TableContext);
  if (!view) throw new Error('useTable is for inside the work table');
  return view;
}

/** What is wrong at exactly this place, in words; null when nothing is. */
export function useProblemAt(): (pointer: string) => string | null {
  const { problems } = useTable();
  return (pointer) => {
    const problem = problems.find((candidate) => candidate.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
}
