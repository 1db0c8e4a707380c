import type { At } from '../base/index.ts';

/** Why a row of a list cannot be taken in. */
export type RowProblem = At &
  /** `wanted` says what the cell should hold, such as “a number”. */
  (
    | {
        readonly code: 'cell_not_read';
        readonly column: string;
        readonly text: string;
        readonly wanted: string;
      }
    | { readonly code: 'row_twice'; readonly name: string; readonly firstLine: number }
    | { readonly code: 'not_on_shelf'; readonly name: string }
    | { readonly code: 'several_on_shelf'; readonly name: string }
    | { readonly code: 'lot_not_found'; readonly name: string; readonly lots: readonly string[] }
    | { readonly code: 'lot_not_said'; readonly lots: readonly string[] }
  );
