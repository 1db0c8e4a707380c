import type { Cutting } from '@lanakit/core/api';
import {
  checkCutting,
  checkCuttingTerms,
  CUTTING_TERMS,
  type CuttingDocument,
  type CuttingInput,
  type CuttingPlan,
  type CuttingTerms,
  wasteOfStock,
} from '@lanakit/core/cutting';
import { gramsPerCm2, lotInUse, toMilli } from '@lanakit/core/shelf';
import { CUTTING_SETTING, type Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { drawingAhead } from './runSources.ts';
import { cuttableOf, isThereToCut, thingsToCut } from './thingsToCut.ts';
import { warmPlans } from './warmPlans.ts';

export type CuttingService = ReturnType<typeof cuttingService>;

const WASTE_NOTE = 'waste of cutting';

/** What leaves the shelf as waste, in thousandths of the thing’s unit. */
interface Waste {
  readonly itemId: string;
  /** Wool lies in lots. */
  readonly lotId: string | null;
  readonly amountMilli: number;
}

/** The lot of felt that is cut up; null: it lies in none, or was never counted. */
function lotNow(store: Store, itemId: string): string | null {
  const fibre = store.shelf.fibres().find(({ id }) => id === itemId);
  return fibre ? (lotInUse(fibre)?.id ?? null) : null;
}

/** Of felt, which is cut by the area and kept by the gram, in grams; nothing leaves a lot that nobody counted. */
function wasteOn(store: Store, itemId: string, wasteAmount: number, lotId: string | null): Waste {
  const fibre = store.shelf.fibres().find(({ id }) => id === itemId);
  if (!fibre) return { itemId, lotId: null, amountMilli: toMilli(wasteAmount) };
  const grams = lotId === null ? 0 : wasteAmount * (gramsPerCm2(fibre) ?? 0);
  return { itemId, lotId, amountMilli: toMilli(grams) };
}

/** What runs want cut, from what there is, and plans that are being cut. */
export function cuttingService({ store, now, newId }: ServiceDeps) {
  const { cutting, stock } = store;
  const at = () => now().toISOString();
  const found = (id: string): CuttingPlan => foundOr(cutting.find(id));
  const write = ({ id, version, ...document }: CuttingPlan, isOpen = true): CuttingPlan => {
    if (!cutting.update(id, version, document, isOpen, at()))
      throw new Refusal({ code: 'version_conflict', id, yours: document, theirs: found(id) });
    return found(id);
  };
  const terms = (): CuttingTerms => store.settings.find<CuttingTerms>(CUTTING_SETTING) ?? CUTTING_TERMS;
  const spoil = ({ itemId, lotId, amountMilli }: Waste, isBack: boolean) => {
    if (amountMilli === 0) return;
    stock.enter({
      itemId,
      lotId,
      amountMilli: isBack ? amountMilli : -amountMilli,
      reason: isBack ? 'undone' : 'spoiled',
      note: WASTE_NOTE,
      at: at(),
    });
  };
  /** Cut: what is left goes back to the shelf, what is too small leaves it. */
  const cutNow = (plan: CuttingPlan, index: number): CuttingPlan => {
    const source = foundOr(plan.stocks[index]);
    if (plan.done.some(({ stock: done }) => done === index)) return plan;
    return store.together(() => {
      if (source.source === 'bought' && !isThereToCut(store, plan.itemId))
        throw new Refusal({ code: 'not_bought_yet' });
      if (source.offcutId !== null && !cutting.removeOffcut(source.offcutId, at()))
        throw new Refusal({ code: 'offcut_gone' });
      const offcutIds = source.parts
        .filter(({ isKept }) => isKept)
        .map((part) => {
          const id = newId();
          cutting.addOffcut(id, plan.itemId, part, at());
          return id;
        });
      const wasteAmount = wasteOfStock(source);
      const waste = wasteOn(store, plan.itemId, wasteAmount, lotNow(store, plan.itemId));
      spoil(waste, false);
      const lot = waste.lotId === null ? {} : { lotId: waste.lotId };
      return write({ ...plan, done: [...plan.done, { stock: index, offcutIds, wasteAmount, ...lot }] });
    });
  };
  /** Not cut after all: the shelf is as it was. */
  const notCut = (plan: CuttingPlan, index: number): CuttingPlan => {
    const done = plan.done.find(({ stock: cut }) => cut === index);
    if (!done) return plan;
    return store.together(() => {
      for (const id of done.offcutIds)
        if (!cutting.removeOffcut(id, at())) throw new Refusal({ code: 'offcut_gone' });
      const offcutId = plan.stocks[index]?.offcutId ?? null;
      if (offcutId !== null) cutting.restoreOffcut(offcutId);
      spoil(wasteOn(store, plan.itemId, done.wasteAmount, done.lotId ?? null), true);
      return write({ ...plan, done: plan.done.filter(({ stock: cut }) => cut !== index) });
    });
  };

  return answering({
    async wanted(): Promise<Cutting> {
      const today = todayOf(now());
      await warmPlans(store, today);
      const runs = drawingAhead(store, today);
      return {
        today,
        terms: terms(),
        runs: runs.map(({ id, name, date }) => ({ id, name, date })),
        ...thingsToCut(store, runs),
        plans: cutting.open(),
      };
    },
    setTerms(input: CuttingTerms): CuttingTerms {
      assertSound(checkCuttingTerms(input));
      store.settings.set(CUTTING_SETTING, input, at());
      return terms();
    },
    /** Kept as it is, to be ticked off. */
    take(input: CuttingInput): CuttingPlan {
      if (!cuttableOf(store, input.itemId)) throw new Refusal({ code: 'not_found' });
      assertSound(checkCutting(input));
      const id = newId();
      const document: CuttingDocument = { ...input, done: [] };
      cutting.insert(id, document, at());
      return found(id);
    },
    find: found,
    /** @param isDone false: it was not cut after all */
    tick(id: string, version: number, index: number, isDone: boolean): CuttingPlan {
      const plan = { ...found(id), version };
      return isDone ? cutNow(plan, index) : notCut(plan, index);
    },
    /** Nobody wants it any more; what is cut stays cut. */
    putAway(id: string, version: number): void {
      const plan = found(id);
      const stocks = plan.stocks.filter((_, index) => plan.done.some(({ stock: done }) => done === index));
      // What is cut is still counted for its runs; with nothing cut it is over.
      if (stocks.length === 0) write({ ...plan, version }, false);
      else {
        const done = plan.done.toSorted((a, b) => a.stock - b.stock).map((cut, stock) => ({ ...cut, stock }));
        write({ ...plan, version, stocks, done });
      }
    },
  });
}
