import { Type, type Static } from '@sinclair/typebox';
import { orUnknown, strict } from '../../base/index.ts';

/** How many alike: a number, somewhere between two, or nobody has said. */
export const Count = orUnknown(
  Type.Union([Type.Number(), Type.Object({ low: Type.Number(), high: Type.Number() }, strict)]),
);
export type Count = Static<typeof Count>;

/** A count as the engine takes it: the middle for costing, the high end for packing. */
export interface CountRange {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** Null where nobody has said. */
export function countRange(count: Count): CountRange | null {
  if (count === null) return null;
  if (typeof count === 'number') return { low: count, likely: count, high: count };
  return { low: count.low, likely: (count.low + count.high) / 2, high: count.high };
}
