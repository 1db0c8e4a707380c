import type { Fibre } from './fibre.ts';
import type { Lot } from './lot.ts';

/** The lot that is used up next: the oldest with anything left; null when none has. */
export const lotInUse = (fibre: Pick<Fibre, 'lots'>): Lot | null =>
  fibre.lots.find((lot) => (lot.onHandG ?? 0) > 0) ?? null;

/** The fibre with a lot's own properties in the place of its own. */
export function ofLot(fibre: Fibre, lot: Pick<Lot, 'overrides' | 'pricePer100gMinor'> | null): Fibre {
  if (!lot) return fibre;
  const overridden = Object.fromEntries(
    Object.entries({ ...lot.overrides, pricePer100gMinor: lot.pricePer100gMinor }).filter(
      ([, value]) => value !== null,
    ),
  );
  return { ...fibre, ...overridden };
}
