import { checkName, checkRange } from '../../base/index.ts';
import type { ShelfProblem } from '../checks/problem.ts';
import type { Fibre } from '../fibre/fibre.ts';
import { feltsAlone } from '../fibre/fibreNumber.ts';
import type { BlendInput } from './blend.ts';
import { type BlendLookup, expandBlend } from './expandBlend.ts';

export const PARTS_BOUNDS = { min: 0.01, max: 10_000 } as const;

/** Over this much that does not felt alone, a blend will not hold. */
export const MOST_NOT_FELTING_FRACTION = 0.3;

/**
 * What makes a blend impossible.
 * @param id the blend's own; null for a new one
 * @param nameOf the name of a fibre or blend on the shelf; undefined when there is none
 */
export function checkBlend(
  blend: BlendInput,
  id: string | null,
  blends: BlendLookup,
  nameOf: (itemId: string) => string | undefined,
): ShelfProblem[] {
  const parts = blend.parts.flatMap(({ itemId, parts: part }, index): ShelfProblem[] => [
    ...checkRange(part, PARTS_BOUNDS, `/parts/${index}/parts`),
    ...(nameOf(itemId) === undefined
      ? [{ code: 'fibre_not_found', pointer: `/parts/${index}/itemId`, fibreId: itemId } as const]
      : []),
    ...(blend.parts.findIndex((other) => other.itemId === itemId) < index
      ? [{ code: 'part_twice', pointer: `/parts/${index}/itemId` } as const]
      : []),
  ]);
  const blendId = id ?? '';
  const expanded = expandBlend(blend.parts, (itemId) => (itemId === blendId ? blend.parts : blends(itemId)), [
    blendId,
  ]);
  return [
    ...checkName(blend.name),
    ...(blend.parts.length === 0 ? [{ code: 'blend_empty', pointer: '/parts' } as const] : []),
    ...parts,
    ...(!expanded.ok && expanded.circle
      ? [
          {
            code: 'blend_circular',
            pointer: '/parts',
            names: expanded.circle.map((itemId) =>
              itemId === blendId ? blend.name : (nameOf(itemId) ?? '?'),
            ),
          } as const,
        ]
      : []),
  ];
}

/** The fraction of a blend that does not felt on its own. */
export function notFeltingFraction(
  fractions: ReadonlyMap<string, number>,
  fibres: ReadonlyMap<string, Pick<Fibre, 'preparation' | 'feltsAlone'>>,
): number {
  return [...fractions].reduce((sum, [fibreId, fraction]) => {
    const fibre = fibres.get(fibreId);
    return fibre && !feltsAlone(fibre) ? sum + fraction : sum;
  }, 0);
}
