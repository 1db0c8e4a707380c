import type { At, BaseProblem } from '../../base/index.ts';
import type { Permitted } from '../../pattern/index.ts';
import type { RunWants } from './wants.ts';

/** What is wrong with a run, or stands before its next state. */
export type RunProblem =
  | BaseProblem
  | (At &
      (
        | { readonly code: 'seat_beyond'; readonly seat: number; readonly seats: number }
        | { readonly code: 'seat_twice'; readonly seat: number }
        | { readonly code: 'choose_by_late'; readonly date: string }
        | { readonly code: 'clock_not_read'; readonly text: string }
        | { readonly code: 'session_before_last' }
        | { readonly code: 'row_without_session' }
        | { readonly code: 'boxes_missing' }
        | { readonly code: 'boxes_have_no_seats' }
        | { readonly code: 'box_empty' }
        | { readonly code: 'labels_too_wide'; readonly neededMm: number; readonly pageMm: number }
        | { readonly code: 'labels_too_tall'; readonly neededMm: number; readonly pageMm: number }
        | {
            readonly code: 'permission_missing';
            readonly titles: readonly string[];
            readonly what: Permitted;
          }
        | { readonly code: 'state_wants'; readonly wants: RunWants; readonly count: number }
      ));
