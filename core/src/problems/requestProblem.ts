import type { At } from '../base/index.ts';

/** What only the server can find in what was sent. */
export type RequestProblem = At &
  (
    | {
        readonly code: 'stock_short';
        readonly name: string;
        readonly onHandG: number;
        readonly wantedG: number;
      }
    /** More was taken than the ledger has, in the thing’s unit. */
    | { readonly code: 'stock_below_nothing'; readonly onHand: number; readonly taken: number }
    | { readonly code: 'field_not_known'; readonly field: string }
    | { readonly code: 'field_missing'; readonly field: string }
    | { readonly code: 'field_wrong'; readonly reason: string }
  );
