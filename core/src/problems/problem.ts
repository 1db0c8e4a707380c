import type { AmountForm, Permitted, ThingKind, UseRole } from '../pattern/index.ts';
import type { Pile } from '../ladder/index.ts';
import type { RunWants } from '../run/index.ts';
import type { OutlineFault, SizeName } from '../shapes/index.ts';

/** Where the problem is: a JSON pointer (RFC 6901) into the document that was checked. */
interface At {
  readonly pointer: string;
}

/** Something that may not be stored or used as it is. Data only; words are added at the edge. */
export type Problem = At &
  (
    | { readonly code: 'title_empty' }
    | { readonly code: 'size_not_positive'; readonly valueMm: number }
    | { readonly code: 'size_too_large'; readonly valueMm: number; readonly limitMm: number }
    | { readonly code: 'limb_shorter_than_wide'; readonly lengthMm: number; readonly diameterMm: number }
    | { readonly code: 'drop_without_point'; readonly lengthMm: number; readonly diameterMm: number }
    | { readonly code: 'ring_without_hole'; readonly outerMm: number; readonly ropeMm: number }
    | { readonly code: 'corner_too_round'; readonly cornerMm: number; readonly narrowMm: number }
    | { readonly code: 'taper_ends_swapped'; readonly thickMm: number; readonly thinMm: number }
    | {
        readonly code: 'number_out_of_range';
        readonly value: number;
        readonly min: number;
        readonly max: number;
      }
    | { readonly code: 'not_whole'; readonly value: number }
    | { readonly code: 'fibre_not_found'; readonly fibreId: string }
    | { readonly code: 'part_not_found'; readonly partId: string }
    | { readonly code: 'id_twice'; readonly id: string }
    | { readonly code: 'sizes_missing'; readonly missing: readonly SizeName[] }
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
    | { readonly code: 'technique_act' }
    | { readonly code: 'parameter_not_found'; readonly key: string }
    | { readonly code: 'join_to_itself' }
    /** The names on the way round, the first and the last the same. */
    | { readonly code: 'join_circular'; readonly names: readonly string[] }
    | { readonly code: 'sleeve_thinner_than_wire'; readonly wireMm: number; readonly diameterMm: number }
    | { readonly code: 'outline_missing' }
    | { readonly code: 'outline_unsound'; readonly fault: OutlineFault }
    | { readonly code: 'loose_end_of_neither' }
    | { readonly code: 'no_parts' }
    | { readonly code: 'no_wool' }
    | { readonly code: 'swap_open' }
    | { readonly code: 'colour_not_read'; readonly text: string }
    | { readonly code: 'name_taken'; readonly name: string }
    | { readonly code: 'inner_over_outer'; readonly innerMm: number; readonly outerMm: number }
    | { readonly code: 'needle_nameless' }
    | { readonly code: 'pile_too_small'; readonly pile: Pile; readonly has: number }
    | { readonly code: 'more_back_than_out'; readonly out: number }
    | { readonly code: 'reason_missing' }
    | { readonly code: 'seat_beyond'; readonly seat: number; readonly seats: number }
    | { readonly code: 'seat_twice'; readonly seat: number }
    | { readonly code: 'choose_by_late'; readonly date: string }
    | { readonly code: 'boxes_missing' }
    | { readonly code: 'boxes_have_no_seats' }
    | { readonly code: 'box_empty' }
    | { readonly code: 'labels_too_wide'; readonly neededMm: number; readonly pageMm: number }
    | { readonly code: 'labels_too_tall'; readonly neededMm: number; readonly pageMm: number }
    | { readonly code: 'permission_missing'; readonly titles: readonly string[]; readonly what: Permitted }
    | { readonly code: 'state_wants'; readonly wants: RunWants; readonly count: number }
    | { readonly code: 'pack_twice' }
    | { readonly code: 'blend_empty' }
    | { readonly code: 'part_twice' }
    /** The names on the way round, the first and the last the same. */
    | { readonly code: 'blend_circular'; readonly names: readonly string[] }
    /** `wanted` says what the cell should hold, such as “a number”. */
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
    | {
        readonly code: 'stock_short';
        readonly name: string;
        readonly onHandG: number;
        readonly wantedG: number;
      }
    | { readonly code: 'date_not_read'; readonly text: string }
    | { readonly code: 'field_not_known'; readonly field: string }
    | { readonly code: 'field_missing'; readonly field: string }
    | { readonly code: 'field_wrong'; readonly reason: string }
  );

export type ProblemCode = Problem['code'];
