import { boundLength } from '../base/index.ts';
import type { ShapeFault } from './problem.ts';
import { givenMm, rulesOf } from './rulesOf.ts';
import { type Shape, sizesOf } from './shape.ts';

/**
 * What makes a shape impossible, each with its place. Missing sizes are no problem here: they are unknown.
 * @param pointer JSON pointer of the shape
 */
export function checkShape(shape: Shape, pointer: string): ShapeFault[] {
  const { mayBeNought = [], problems } = rulesOf(shape);
  const bounds = [...sizesOf(shape)].flatMap(([name, size]) => {
    if (size === null || (size.value === 0 && mayBeNought.includes(name))) return [];
    const bounded = boundLength(size);
    if (bounded.ok || bounded.refusal.code === 'length_not_read') return [];
    return [{ ...bounded.refusal, pointer: `${pointer}/${name}` }];
  });
  return bounds.length > 0 ? bounds : (problems?.(givenMm(shape), shape, pointer) ?? []);
}
