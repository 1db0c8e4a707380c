import type { FibreLookup, PatternEstimate, Wool } from '@lanakit/core/engine';
import type { Caution, Choices, Cut, Join, Part, Pattern, Step, StepTotals } from '@lanakit/core/pattern';
import type { Problem } from '@lanakit/core/problems';
import type { Fibre } from '@lanakit/core/shelf';
import { problemWords } from '@lanakit/core/words';
import type { Draft } from 'immer';
import { createContext, useContext } from 'react';
import type { DraftHandle } from '../../draft/useDraft.ts';

/** What every part of the work table sees. */
export interface TableView {
  readonly draft: DraftHandle;
  /** What is made with the choices that are looked at. */
  readonly build: Pattern;
  /** Of that build. */
  readonly estimate: PatternEstimate;
  /** Of everything that is written, whatever the options leave out; the same where they leave out nothing. */
  readonly whole: PatternEstimate;
  /** Minutes, waits and needles of that build. */
  readonly totals: StepTotals;
  readonly choices: Choices;
  readonly setChoices: (choices: Choices) => void;
  readonly cautions: ReadonlyMap<string, readonly Caution[]>;
  readonly problems: readonly Problem[];
  readonly fibres: readonly Fibre[];
  readonly shelf: FibreLookup;
  readonly wool: Wool;
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

export type EditItem<T> = (label: string, recipe: (it: Draft<T>) => void, key?: string) => void;

/** Edits of one part; `key` joins edits of one field that follow closely. */
export function useEditPart(id: string): EditItem<Part> {
  const { edit } = useTable().draft;
  return (label, recipe, key) => edit(label, (it) => onItem(it.parts, id, recipe), key && `${id}.${key}`);
}

/** Edits of one step, as of a part. */
export function useEditStep(id: string): EditItem<Step> {
  const { edit } = useTable().draft;
  return (label, recipe, key) => edit(label, (it) => onItem(it.steps, id, recipe), key && `${id}.${key}`);
}

function onItem<T extends { id: string }>(items: T[], id: string, recipe: (it: T) => void): void {
  const own = items.find((item) => item.id === id);
  if (own) recipe(own);
}

/** Edits of one join, as of a part. */
export function useEditJoin(id: string): EditItem<Join> {
  const { edit } = useTable().draft;
  return (label, recipe, key) => edit(label, (it) => onItem(it.joins, id, recipe), key && `${id}.${key}`);
}

/** Edits of one thing cut to size, as of a part. */
export function useEditCut(id: string): EditItem<Cut> {
  const { edit } = useTable().draft;
  return (label, recipe, key) => edit(label, (it) => onItem(it.cuts, id, recipe), key && `${id}.${key}`);
}
