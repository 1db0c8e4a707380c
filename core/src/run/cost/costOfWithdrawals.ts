import type { FibreLookup, SumWithUnknown } from '../../engine/index.ts';

/** What grams of fibres cost at today’s prices, integer minor units; fibres without a price are unknown. */
export function costOfWithdrawals(
  withdrawals: ReadonlyMap<string, number>,
  fibres: FibreLookup,
): SumWithUnknown {
  let known = 0;
  let unknownCount = 0;
  for (const [fibreId, massG] of withdrawals) {
    const price = fibres.get(fibreId)?.pricePer100gMinor ?? null;
    if (price === null) unknownCount += massG > 0 ? 1 : 0;
    else known += (massG * price) / 100;
  }
  return { known: Math.round(known), unknownCount };
}
