import type { At, BaseProblem } from '../base/index.ts';
import type { OutlineFault } from './outline/outlineFault.ts';

/** Sizes that make no such shape. */
export type ShapeProblem = At &
  (
    | { readonly code: 'limb_shorter_than_wide'; readonly lengthMm: number; readonly diameterMm: number }
    | { readonly code: 'drop_without_point'; readonly lengthMm: number; readonly diameterMm: number }
    | { readonly code: 'ring_without_hole'; readonly outerMm: number; readonly ropeMm: number }
    | { readonly code: 'corner_too_round'; readonly cornerMm: number; readonly narrowMm: number }
    | { readonly code: 'taper_ends_swapped'; readonly thickMm: number; readonly thinMm: number }
    | { readonly code: 'sleeve_thinner_than_wire'; readonly wireMm: number; readonly diameterMm: number }
    | { readonly code: 'outline_unsound'; readonly fault: OutlineFault }
  );

/** What may be wrong with a shape and its sizes. */
export type ShapeFault = BaseProblem | ShapeProblem;
