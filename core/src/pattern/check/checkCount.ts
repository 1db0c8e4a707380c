import { checkWhole } from '../../base/index.ts';
import type { Count } from '../document/count.ts';
import type { PatternProblem } from '../document/problem.ts';
import { PATTERN_BOUNDS } from './patternBounds.ts';

/** Why a count may not be stored. */
export function checkCount(count: Count, pointer: string): PatternProblem[] {
  if (count === null) return [];
  if (typeof count === 'number') return checkWhole(count, PATTERN_BOUNDS.count, pointer);
  const { low, high } = count;
  const ends = [
    ...checkWhole(low, PATTERN_BOUNDS.count, pointer),
    ...checkWhole(high, PATTERN_BOUNDS.count, pointer),
  ];
  return ends.length === 0 && low > high ? [{ code: 'count_reversed', pointer, low, high }] : ends;
}
