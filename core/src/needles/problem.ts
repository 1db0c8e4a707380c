import type { At, BaseProblem } from '../base/index.ts';
import type { Pile } from './piles.ts';

/** A tap on the tray that cannot be so. */
export type TrayProblem =
  | BaseProblem
  | (At &
      (
        | { readonly code: 'pile_too_small'; readonly pile: Pile; readonly has: number }
        | { readonly code: 'more_back_than_out'; readonly out: number }
        | { readonly code: 'reason_missing' }
      ));
