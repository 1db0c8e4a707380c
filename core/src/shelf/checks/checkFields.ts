import { type Bounds, checkRange } from '../../base/index.ts';
import { isColour } from '../colour/colour.ts';
import type { ShelfProblem } from './problem.ts';

export const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

export const checkColour = (colour: string, pointer: string): ShelfProblem[] =>
  isColour(colour) ? [] : [{ code: 'colour_not_read', pointer, text: colour }];

/** Every bounded number of a thing that is known and out of its bounds. */
export function checkNumbers(
  thing: object,
  bounds: Readonly<Record<string, Bounds>>,
  pointer: string,
): ShelfProblem[] {
  return Object.entries(bounds).flatMap(([field, range]) => {
    const value = (thing as Record<string, unknown>)[field];
    return typeof value === 'number' ? checkRange(value, range, `${pointer}/${field}`) : [];
  });
}
