import type { Cutting, CuttingThing } from '@lanakit/core/api';
import {
  checkCutting,
  checkCuttingTerms,
  CUTTING_TERMS,
  type CuttingDocument,
  type CuttingInput,
  type CuttingPlan,
  type CuttingTerms,
  type PackPieces,
  type PlannedPiece,
  wasteOfStock,
} from '@lanakit/core/cutting';
import type { CutPiece } from '@lanakit/core/engine';
import { findingsTaken, type Run } from '@lanakit/core/run';
import { thereToCut, toMilli } from '@lanakit/core/shelf';
import { CUTTING_SETTING, type Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { drawingOf } from './runDrawing.ts';
import { drawingAhead, shelfOf } from './runSources.ts';
import { warmPlans } from './warmPlans.ts';

export type CuttingService = ReturnType<typeof cuttingService>;

const WASTE_NOTE = 'waste of cutting';

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
  const spoil = (itemId: string, amount: number, isBack: boolean) => {
    if (toMilli(amount) === 0) return;
    stock.enter({
      itemId,
      lotId: null,
      amountMilli: (isBack ? 1 : -1) * toMilli(amount),
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
      if (source.source === 'bought' && !isThere(store, plan.itemId))
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
      spoil(plan.itemId, wasteAmount, false);
      return write({ ...plan, done: [...plan.done, { stock: index, offcutIds, wasteAmount }] });
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
      spoil(plan.itemId, done.wasteAmount, true);
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
        things: thingsToCut(store, runs),
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
      if (store.items.kindOf(input.itemId)?.kind !== 'finding') throw new Refusal({ code: 'not_found' });
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

/** Everything that runs want cut to size and that is not cut yet. */
function thingsToCut(store: Store, runs: readonly Run[]): CuttingThing[] {
  const { findings } = shelfOf(store);
  const cut = cutAlready(store);
  const byThing = new Map<string, Map<string, PlannedPiece & { count: number }>>();
  const packsOfThing = new Map<string, PackPieces[]>();
  for (const run of runs) {
    const { toPack, input } = drawingOf(store, run);
    for (const { findingId, pieces, cutInPacks } of findingsTaken(toPack, findings, input)) {
      packsOfThing.set(findingId, [
        ...(packsOfThing.get(findingId) ?? []),
        ...cutInPacks.map(({ packs, pieces: inOne }) => ({
          packs,
          pieces: inOne.map((piece) => ({ key: pieceOf(run, piece).key, count: piece.count })),
        })),
      ]);
      for (const piece of pieces) {
        const planned = pieceOf(run, piece);
        const ofThing = byThing.get(findingId) ?? new Map<string, PlannedPiece & { count: number }>();
        byThing.set(findingId, ofThing);
        const before = ofThing.get(planned.key);
        ofThing.set(planned.key, { ...planned, count: (before?.count ?? 0) + piece.count });
      }
    }
  }
  return [...byThing].flatMap(([id, pieces]) => {
    const finding = findings.get(id);
    return finding
      ? [
          {
            finding,
            pieces: [...pieces.values()].flatMap((piece) => {
              const done = cut.get(`${id} ${piece.key}`) ?? 0;
              return piece.count > done ? [{ ...piece, count: piece.count - done }] : [];
            }),
            packs: packsOfThing.get(id) ?? [],
            cutCount: [...pieces.keys()].reduce((sum, key) => sum + (cut.get(`${id} ${key}`) ?? 0), 0),
          },
        ]
      : [];
  });
}

/** A whole one to cut from lies on the shelf; of what was never counted nobody can tell, and who cuts it has it in hand. */
function isThere(store: Store, findingId: string): boolean {
  const finding = shelfOf(store).findings.get(findingId);
  return !finding || finding.onHand === null || thereToCut(finding).wholes > 0;
}

function pieceOf(run: Run, { cutId, name, cut }: CutPiece): PlannedPiece {
  const widthMm = cut.kind === 'piece' ? cut.widthMm : 0;
  return {
    key: `${run.id}|${cutId}|${cut.lengthMm}|${widthMm}`.slice(0, 200),
    name: name === '' ? 'piece' : name,
    runId: run.id,
    lengthMm: cut.lengthMm,
    widthMm,
  };
}

/** So many of each piece are cut. */
function cutAlready(store: Store): Map<string, number> {
  const cut = new Map<string, number>();
  for (const { itemId, stocks, done } of store.cutting.open())
    for (const { stock } of done)
      for (const { kind, key } of stocks[stock]?.parts ?? []) {
        if (kind !== 'piece') continue;
        const name = `${itemId} ${key ?? ''}`;
        cut.set(name, (cut.get(name) ?? 0) + 1);
      }
  return cut;
}
