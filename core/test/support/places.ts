import type { Place, Placement } from '../../src/pattern/index.ts';

/** Where things sit, held by their base unless it says otherwise. */
export const placement = (
  rule: Placement['rule'],
  places: Place[],
  more: Partial<Placement> = {},
): Placement => ({ rule, spanDeg: 360, heldBy: 'base', places, ...more });
