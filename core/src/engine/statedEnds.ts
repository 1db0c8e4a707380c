import type { KnownUse, UseEstimate } from './useEstimate.ts';
import type { FibreLookup } from './wool.ts';

/** All pieces of a use at the ends of what its author states: of their number, and of the grams of each. */
export function statedEnds({ range, pieceG, count }: KnownUse): {
  readonly lowG: number;
  readonly highG: number;
} {
  return { lowG: (range?.lowG ?? pieceG) * count.low, highG: (range?.highG ?? pieceG) * count.high };
}

/**
 * What one make costs at both ends of what its author states from – to, whole minor units; null where nothing is stated so.
 * A fibre
 * without a price, or of which something is unknown, is in neither, as it is not in the likely cost.
 */
export function costEndsOf(
  uses: readonly UseEstimate[],
  fibres: FibreLookup,
): { readonly lowMinor: number; readonly highMinor: number } | null {
  const unknown = new Set(uses.flatMap(({ kind, fibreId }) => (kind === 'unknown' ? [fibreId] : [])));
  let [low, high] = [0, 0];
  for (const use of uses) {
    const price = fibres.get(use.fibreId ?? '')?.pricePer100gMinor ?? null;
    if (use.kind === 'unknown' || unknown.has(use.fibreId) || price === null) continue;
    const { lowG, highG } = statedEnds(use);
    low += (price * lowG) / 100;
    high += (price * highG) / 100;
  }
  const [lowMinor, highMinor] = [Math.round(low), Math.round(high)];
  return lowMinor === highMinor ? null : { lowMinor, highMinor };
}
