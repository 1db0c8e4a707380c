import type { ShapeProblem } from '../problem.ts';
import { isLess } from './define.ts';

/** The thick end is thinner than the thin one. */
export const endsSwapped = (
  { thickEnd, thinEnd }: { readonly thickEnd?: number; readonly thinEnd?: number },
  pointer: string,
): ShapeProblem[] =>
  thickEnd !== undefined && thinEnd !== undefined && isLess(thickEnd, thinEnd)
    ? [{ code: 'taper_ends_swapped', pointer: `${pointer}/thinEnd`, thickMm: thickEnd, thinMm: thinEnd }]
    : [];
