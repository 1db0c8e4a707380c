import type { BaseProblem } from './problem.ts';

/** Both ends allowed. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
}

/** In range and finite, or the problem at its place. */
export function checkRange(value: number, { min, max }: Bounds, pointer: string): BaseProblem[] {
  return value >= min && value <= max ? [] : [{ code: 'number_out_of_range', pointer, value, min, max }];
}

/** As `checkRange`, and whole. */
export function checkWhole(value: number, bounds: Bounds, pointer: string): BaseProblem[] {
  const range = checkRange(value, bounds, pointer);
  if (range.length > 0 || Number.isInteger(value)) return range;
  return [{ code: 'not_whole', pointer, value }];
}

/** A name that says something. */
export const checkName = (name: string, pointer = '/name'): BaseProblem[] =>
  name.trim() === '' ? [{ code: 'title_empty', pointer }] : [];
