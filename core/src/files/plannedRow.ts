import type { Problem } from '../problems/index.ts';
import type {
  Assortment,
  Blend,
  CountInput,
  Fibre,
  Finding,
  Needle,
  Offer,
  Supplier,
  Tool,
} from '../shelf/index.ts';
import { type Cells, headerKey, type ListKind } from '../tables/index.ts';
import type { ImportedKind } from './importInput.ts';
import { LIST_COLUMNS } from './lists.ts';

/** The shelf as an import finds it. */
export interface ShelfView {
  readonly fibres: readonly Fibre[];
  readonly blends: readonly Blend[];
  readonly findings: readonly Finding[];
  readonly needles: readonly Needle[];
  readonly tools: readonly Tool[];
  readonly suppliers: readonly Supplier[];
}

/** What one row would do. */
export type RowChange =
  | { readonly kind: 'create'; readonly itemKind: ImportedKind; readonly input: object }
  | {
      readonly kind: 'update';
      readonly itemKind: ImportedKind;
      readonly id: string;
      readonly version: number;
      readonly input: object;
    }
  | { readonly kind: 'count'; readonly count: CountInput }
  | { readonly kind: 'offer'; readonly supplierName: string; readonly offer: Offer }
  | {
      readonly kind: 'content';
      readonly supplierName: string;
      /** One thing of it; its other rows have the others. */
      readonly assortment: Assortment;
    };

/** A row as it will be read. */
export interface PlannedRow {
  readonly line: number;
  readonly name: string;
  readonly state: 'new' | 'changed' | 'same' | 'bad';
  /** The values as read, in the order of the list’s columns; of a bad row, the cells as they stand. */
  readonly values: readonly string[];
  readonly problems: readonly Problem[];
  /** Null for a row that is bad or changes nothing. */
  readonly change: RowChange | null;
}

/** Plans rows of one kind, one after another. */
export type RowPlanner = (line: number, cells: Cells) => PlannedRow;

/** A row’s cells as they stand, in the order of its list’s columns. */
export const asTheyStand = (kind: ListKind, cells: Cells): string[] =>
  LIST_COLUMNS[kind].map(({ header }) => cells.get(headerKey(header)) ?? '');
