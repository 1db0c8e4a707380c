import { type LotsOfBag, lotsOfPacks, weighings } from '../run/index.ts';
import { packNames } from './packNames.ts';
import type { PaperSource } from './paper.ts';

/** What the lots say that a portion of these packs is from: `lot 12: may bleed`, `boxes 3–5: lot 13: a shade paler`. */
export type LotNotes = (packIds: readonly string[], bag: string, fibreId: string) => string[];

/** Notes of lots for everything that is packed from them. */
export function lotNotesOf({ plan, packs, wool, input }: PaperSource): LotNotes {
  const hasNotes = [...wool.fibres.values()].some(({ lots }) => lots.some(({ note }) => note.trim() !== ''));
  if (!hasNotes) return () => [];
  const lotsOf: LotsOfBag = lotsOfPacks(weighings(plan, packs, wool.fibres, input.scaleStepG), wool.fibres);
  const packOf = new Map(packs.map((pack) => [pack.id, pack]));
  return (packIds, bag, fibreId) => {
    const lots = new Set(packIds.flatMap((id) => lotsOf(id, bag, fibreId)));
    return [...lots]
      .filter(({ note }) => note.trim() !== '')
      .map((lot) => {
        const fromLot = packIds.filter((id) => lotsOf(id, bag, fibreId).includes(lot));
        const which =
          fromLot.length < packIds.length
            ? `${packNames(fromLot.flatMap((id) => packOf.get(id) ?? []))}: `
            : '';
        return `${which}lot ${lot.name}: ${lot.note.trim()}`;
      });
  };
}
