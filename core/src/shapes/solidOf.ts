import type { SizesMm } from './definitions/define.ts';
import { givenMm, rulesOf } from './rulesOf.ts';
import { type Shape, type SizeName, sizesOf } from './shape.ts';
import { ball } from './solid/ball.ts';
import type { Solid } from './solid/solid.ts';

export type SolidResult =
  | { readonly kind: 'solid'; readonly solid: Solid }
  | { readonly kind: 'sizes-missing'; readonly missing: readonly SizeName[] }
  /** An outline nobody has drawn yet. */
  | { readonly kind: 'outline-missing' }
  /** Its body follows from its wool (`bodyOfWool`). */
  | { readonly kind: 'by-wool' };

/** The solid of a shape, or which of its sizes nobody has given. Sizes must have passed `checkShape`. */
export function solidOf(shape: Shape): SolidResult {
  const missing = [...sizesOf(shape)].filter(([, size]) => size === null).map(([name]) => name);
  if (missing.length > 0) return { kind: 'sizes-missing', missing };
  const build = rulesOf(shape).solid;
  if (!build) return { kind: 'by-wool' };
  const solid = build(givenMm(shape) as SizesMm<SizeName>, shape);
  return solid ? { kind: 'solid', solid } : { kind: 'outline-missing' };
}

/** A solid of wool whose volume is known, for what has no shape of its own. @param volumeMm3 > 0 */
export const bodyOfWool = (shape: Shape, volumeMm3: number): Solid =>
  rulesOf(shape).bodyOfWool?.(givenMm(shape) as SizesMm<SizeName>, volumeMm3) ??
  ball(Math.cbrt((6 * volumeMm3) / Math.PI));
