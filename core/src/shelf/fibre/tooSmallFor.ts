import type { Fibre } from './fibre.ts';
import { fibreNumber, type InForce } from './fibreNumber.ts';

/**
 * The smallest part a fibre is fit for, where a part is smaller than that; null where it is fit.
 * @param acrossMm the part's smallest size; of a flat one, of its face
 */
export function tooSmallFor(
  fibre: Pick<Fibre, 'preparation' | 'smallestPartMm'>,
  acrossMm: number,
): InForce<number> | null {
  const smallest = fibreNumber(fibre, 'smallestPartMm');
  return smallest && acrossMm < smallest.value ? smallest : null;
}
