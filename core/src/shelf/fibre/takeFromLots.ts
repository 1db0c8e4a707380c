import { roundToMicrogram } from '../../base/index.ts';
import type { Lot } from './lot.ts';

/** What to take from which lot. */
export interface LotWithdrawal {
  readonly lotId: string;
  readonly massG: number;
}

/** So much out of these lots, oldest first, each emptied before the next; null when they have not that much. */
export function takeFromLots(
  lots: readonly { readonly id: string; readonly onHandG: number | null }[],
  massG: number,
): LotWithdrawal[] | null {
  const withdrawals: LotWithdrawal[] = [];
  let leftG = massG;
  for (const { id, onHandG } of lots) {
    const takenG = Math.min(leftG, Math.max(0, onHandG ?? 0));
    if (takenG > 1e-9) withdrawals.push({ lotId: id, massG: roundToMicrogram(takenG) });
    leftG -= takenG;
  }
  return leftG > 1e-6 ? null : withdrawals;
}

/**
 * The lots that a mass is packed from, oldest first; where there is not that much, every lot with anything left. Where none
 * is known to have any, those that nobody has counted.
 */
export function lotsPackedFrom(lots: readonly Lot[], massG: number): Lot[] {
  const held = lots.filter((lot) => (lot.onHandG ?? 0) > 0);
  if (held.length === 0) return lots.filter(({ onHandG }) => onHandG === null);
  const taken = new Set(takeFromLots(held, massG)?.map(({ lotId }) => lotId) ?? held.map(({ id }) => id));
  return held.filter(({ id }) => taken.has(id));
}
