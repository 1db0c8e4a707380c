import type { FibreLookup } from '../../engine/index.ts';
import type { Lot } from '../../shelf/index.ts';
import { allMarks, type FibreWeighing } from './weighOut.ts';

/** Which lots the wool of a fibre in one bag of a pack comes from: one, but where weighings of one bag lie at a change. */
export type LotsOfBag = (packId: string, bag: string, fibreId: string) => readonly Lot[];

/** From which lot each weighing is, as the wool is weighed: lot by lot, and no weighing out of two. */
export function lotsOfMarks(all: readonly FibreWeighing[], fibres: FibreLookup): ReadonlyMap<string, Lot> {
  const lots = new Map<string, Lot>();
  for (const weighing of all) {
    const named = new Map((fibres.get(weighing.fibreId)?.lots ?? []).map((lot) => [lot.name, lot]));
    const changeAt = new Map(weighing.lotChange.map(({ from, lotName }) => [from.mark, lotName]));
    let lot = named.get(weighing.lotNames[0] ?? '');
    for (const { mark } of allMarks([weighing])) {
      lot = named.get(changeAt.get(mark) ?? '') ?? lot;
      if (lot) lots.set(mark, lot);
    }
  }
  return lots;
}

/** From which lot each thing in each pack is. */
export function lotsOfPacks(all: readonly FibreWeighing[], fibres: FibreLookup): LotsOfBag {
  const lotOf = lotsOfMarks(all, fibres);
  const lots = new Map<string, Lot[]>();
  for (const { mark, packs, bag, fibreId } of allMarks(all)) {
    const lot = lotOf.get(mark);
    if (!lot) continue;
    for (const { id } of packs) {
      const key = keyOf(id, bag, fibreId);
      const before = lots.get(key) ?? [];
      if (!before.includes(lot)) lots.set(key, [...before, lot]);
    }
  }
  return (packId, bag, fibreId) => lots.get(keyOf(packId, bag, fibreId)) ?? [];
}

const keyOf = (...parts: readonly string[]): string => parts.join('|');
