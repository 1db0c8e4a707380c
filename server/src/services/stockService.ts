import { checkRange } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import {
  AMOUNT_BOUNDS,
  blankLot,
  type BlendLotMade,
  checkLot,
  type CountInput,
  type HandMeasureInput,
  type Lot,
  type LotInput,
  type MovementInput,
  movementMilli,
  toMilli,
} from '@lanakit/core/shelf';
import { todayOf, type ServiceDeps } from './deps.ts';
import { ITEM_KINDS, type StoredItem } from './itemKinds.ts';
import { promisedAhead } from './promisedAhead.ts';
import { warmPlans } from './warmPlans.ts';
import { belowNothing, checkCount, misplaced } from './stockPlaces.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';

export type StockService = ReturnType<typeof stockService>;

const MOVEMENTS_SHOWN = 200;

/** One lot as it is to be, and which version of it was changed. */
export interface LotChange {
  readonly id: string;
  readonly version: number;
  readonly input: LotInput;
}

/** Lots, the ledger, blended lots, what hands take, and what runs ahead will take. */
export function stockService({ store, now, newId }: ServiceDeps) {
  const { items, stock } = store;
  const at = () => now().toISOString();
  const foundItem = (id: string) => foundOr(items.kindOf(id));
  const foundLot = (id: string) => foundOr(stock.findLot(id));
  const whole = (itemId: string): StoredItem =>
    foundOr(ITEM_KINDS[foundItem(itemId).kind].find(store, itemId));
  const shortOf = ({ itemId, lotId, massG }: BlendLotMade['from'][number], pointer: string): Problem[] => {
    const onHandG = stock.onHandHere(itemId, lotId) ?? 0;
    const name = items.kindOf(itemId)?.name ?? '';
    return massG > onHandG + 1e-9 ? [{ code: 'stock_short', pointer, name, onHandG, wantedG: massG }] : [];
  };
  const otherNames = (itemId: string, lotId: string | null) =>
    stock
      .lotsOf(itemId)
      .filter(({ id }) => id !== lotId)
      .map(({ name }) => name);
  const saveLot = ({ id, version, input }: LotChange): Lot => {
    const { itemId, lot } = foundLot(id);
    assertSound(checkLot(input, otherNames(itemId, id)));
    if (!stock.updateLot(id, version, input, at()))
      throw new Refusal({ code: 'version_conflict', id, yours: input, theirs: lot });
    return foundLot(id).lot;
  };

  return answering({
    /** A stocktake, all or none: each count is entered as the difference to what the ledger says. */
    count(counts: readonly CountInput[]): StoredItem[] {
      assertSound(counts.flatMap((count, index) => checkCount(store, count, `/counts/${index}`)));
      store.together(() => counts.forEach((count) => stock.enterCount(count, at())));
      return counts.map(({ itemId }) => whole(itemId));
    },
    /** @param anyway although the ledger then says less than nothing is there */
    move({ anyway = false, ...movement }: MovementInput): StoredItem {
      assertSound([
        ...checkRange(movement.amount, { min: 0.001, max: AMOUNT_BOUNDS.max }, '/amount'),
        ...misplaced(store, movement, ''),
      ]);
      if (!anyway) assertSound(belowNothing(store, movement));
      stock.enter({ ...movement, amountMilli: movementMilli(movement), at: at() });
      return whole(movement.itemId);
    },
    movementsOf: (itemId: string) => {
      foundItem(itemId);
      return stock.movements(itemId, MOVEMENTS_SHOWN);
    },
    /** @param receivedG what is there of it; null: not counted */
    addLot(itemId: string, input: LotInput, receivedG: number | null): { item: StoredItem; lotId: string } {
      if (ITEM_KINDS[foundItem(itemId).kind].stock !== 'lots') throw new Refusal({ code: 'not_found' });
      assertSound([
        ...checkLot(input, otherNames(itemId, null)),
        ...(receivedG === null ? [] : checkRange(receivedG, AMOUNT_BOUNDS, '/receivedG')),
      ]);
      const lotId = newId();
      store.together(() => {
        stock.insertLot(lotId, itemId, input, at());
        if (receivedG === null) return;
        stock.enter({ itemId, lotId, amountMilli: toMilli(receivedG), reason: 'received', at: at() });
      });
      return { item: whole(itemId), lotId };
    },
    /** All or none. */
    saveLots: (changes: readonly LotChange[]): Lot[] => store.together(() => changes.map(saveLot)),
    saveLot,
    /** Only one that nothing ever moved in or out of. */
    removeLot(id: string, version: number): void {
      const { lot } = foundLot(id);
      if (lot.onHandG !== null) throw new Refusal({ code: 'in_use', uses: [] });
      if (!stock.removeLot(id, version, at()))
        throw new Refusal({ code: 'version_conflict', id, yours: null, theirs: lot });
    },
    /** What is weighed leaves its lots and comes into the new one. */
    makeBlendLot(blendId: string, made: BlendLotMade): StoredItem {
      if (foundItem(blendId).kind !== 'blend') throw new Refusal({ code: 'not_found' });
      const { name, note, place, from } = made;
      const input: LotInput = { ...blankLot(name), note, place };
      assertSound([
        ...checkLot(input, otherNames(blendId, null)),
        ...from.flatMap((withdrawal, index) => misplaced(store, withdrawal, `/from/${index}`)),
      ]);
      assertSound(from.flatMap((withdrawal, index) => shortOf(withdrawal, `/from/${index}/massG`)));
      const lotId = newId();
      store.together(() => {
        stock.insertLot(lotId, blendId, input, at());
        for (const { itemId, lotId: fromId, massG } of from) {
          const amountMilli = -toMilli(massG);
          stock.enter({ itemId, lotId: fromId, amountMilli, reason: 'blended', note: name, at: at() });
        }
        const sumMilli = from.reduce((sum, { massG }) => sum + toMilli(massG), 0);
        stock.enter({ itemId: blendId, lotId, amountMilli: sumMilli, reason: 'blended', at: at() });
      });
      return whole(blendId);
    },
    async promisedAhead() {
      await warmPlans(store, todayOf(now()));
      return promisedAhead(store, todayOf(now()));
    },
    handMeasures: () => stock.handMeasures(),
    setHandMeasure(input: HandMeasureInput) {
      stock.setHandMeasure(input, at());
      return stock.handMeasures();
    },
  });
}
