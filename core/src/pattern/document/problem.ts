import type { At, BaseProblem } from '../../base/index.ts';
import type { ShapeProblem, SizeName } from '../../shapes/index.ts';
import type { AmountForm } from './amount.ts';
import type { ThingKind } from './option.ts';
import type { UseRole } from './use.ts';

/** What is wrong with a pattern beside its sizes. */
type PatternOwnProblem = At &
  (
    | { readonly code: 'part_not_found'; readonly partId: string }
    | { readonly code: 'id_twice'; readonly id: string }
    | { readonly code: 'sizes_missing'; readonly missing: readonly SizeName[] }
    | { readonly code: 'fibre_not_found'; readonly fibreId: string }
    | { readonly code: 'fibre_missing'; readonly role: UseRole | 'join' }
    | { readonly code: 'finding_missing' }
    | { readonly code: 'amount_incomplete'; readonly form: AmountForm }
    | { readonly code: 'amount_missing' }
    | { readonly code: 'count_missing' }
    | { readonly code: 'loose_end_unknown' }
    | { readonly code: 'count_reversed'; readonly low: number; readonly high: number }
    | { readonly code: 'weight_missing' }
    | { readonly code: 'core_twice' }
    | { readonly code: 'use_not_found'; readonly useId: string }
    | { readonly code: 'shared_not_found'; readonly sharedId: string }
    | { readonly code: 'finding_not_found'; readonly findingId: string }
    | { readonly code: 'step_not_found'; readonly stepId: string }
    | { readonly code: 'picture_not_found'; readonly pictureId: string }
    | { readonly code: 'thing_not_found'; readonly kind: ThingKind | 'slot' | 'value'; readonly id: string }
    /** Numbers of the steps on the way round, the first and the last the same. */
    | { readonly code: 'order_circular'; readonly numbers: readonly number[] }
    | { readonly code: 'minutes_reversed'; readonly low: number; readonly high: number }
    | { readonly code: 'options_exclude_all' }
    | { readonly code: 'join_to_itself' }
    /** The names on the way round, the first and the last the same. */
    | { readonly code: 'join_circular'; readonly names: readonly string[] }
    | { readonly code: 'outline_missing' }
    | { readonly code: 'outlines_too_fine'; readonly points: number; readonly mostPoints: number }
    | { readonly code: 'loose_end_of_neither' }
    | { readonly code: 'no_parts' }
    | { readonly code: 'no_wool' }
    | { readonly code: 'swap_open' }
  );

/** What is wrong with a pattern, or missing before it is published. */
export type PatternProblem = BaseProblem | ShapeProblem | PatternOwnProblem;
