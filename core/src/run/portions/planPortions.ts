import { roundToMicrogram } from '../../base/index.ts';
import type { KnownUse, PatternEstimate, UseEstimate, WoolRole } from '../../engine/index.ts';
import { apportion } from './apportion.ts';
import { type Bag, type BaggedUse, usualBags } from './bag.ts';
import { type Weighing, weighPortions } from './weighing.ts';

/** How a class is packed. */
export interface PackingTerms {
  readonly seats: number;
  readonly sparePacks: number;
  readonly scaleStepG: number;
  /** Packed over the likely amount, so that estimates and first-timers do not run short; 0.1 is a tenth more. */
  readonly extraFraction: number;
  /** Instead, fibre by fibre. */
  readonly extraOf?: (fibreId: string) => number;
}

/** Grams of a fibre on the shelf (null: never counted) and grams that runs before this one will take. */
export interface FibreStock {
  readonly onHandG: number | null;
  readonly promisedG: number;
}

/** What one use takes of one fibre in one pack. */
export interface PortionLine {
  readonly owner: UseEstimate['owner'];
  readonly useId: string;
  /** Which of the makes in the pack it is of. */
  readonly makeAt: number;
  readonly role: WoolRole;
  /** With the extra, unrounded. */
  readonly exactG: number;
  /** This line's share of the weighed portion; the lines of a fibre add up to it. Null when weighed for several packs together. */
  readonly weighedG: number | null;
}

export interface FibrePortion {
  readonly fibreId: string;
  /** Key of its bag. */
  readonly bag: string;
  readonly lines: readonly PortionLine[];
  /** What one make likely takes. */
  readonly likelyG: number;
  /** Packed over the likely amount. */
  readonly extraFraction: number;
  /** What one pack needs, with the extra and the high end of every count, unrounded. */
  readonly exactG: number;
  readonly weighing: Weighing;
  /** One pack's weighed portion; null when weighed for several packs together. */
  readonly packG: number | null;
  readonly classG: number;
  /** What earlier runs, and earlier bags of this one, take is promised. */
  readonly stock: FibreStock;
  /** On hand less what is promised, at least 0; null when never counted. */
  readonly freeG: number | null;
  /** What must be bought or found; 0 when there is enough; null when never counted. */
  readonly shortG: number | null;
  /** Uses whose amount is unknown: the portion is then only "at least". */
  readonly unknownCount: number;
}

/** A use of wool that is packed as nobody knows how much: it stands in every list by its name. */
interface UnknownPortion {
  readonly owner: UseEstimate['owner'];
  readonly useId: string;
  readonly makeAt: number;
  readonly role: WoolRole;
  /** Null: not chosen either. */
  readonly fibreId: string | null;
  readonly bag: string;
  readonly isIfNeeded: boolean;
}

export interface PortionPlan {
  readonly packs: number;
  /** Of one pack, in their order. */
  readonly bags: readonly Bag[];
  /** Heaviest first in each bag; bags in their order. */
  readonly fibres: readonly FibrePortion[];
  /** One pack of everything: as weighed, or as needed where weighed for several together. */
  readonly packG: number;
  readonly classG: number;
  /** Uses whose amount or fibre is unknown. */
  readonly unknownCount: number;
  /** The same by name, what is only if needed too. */
  readonly unknowns: readonly UnknownPortion[];
}

interface KnownBagged {
  readonly use: KnownUse;
  readonly makeAt: number;
}

/** The uses of one fibre that go into one bag. */
interface Bagged {
  readonly fibreId: string;
  readonly bag: Bag;
  readonly uses: readonly KnownBagged[];
  readonly unknownCount: number;
  readonly likelyG: number;
}

/** Portions of one make in its usual bags, for every pack of a class. */
export const planPortions = (
  estimate: PatternEstimate,
  terms: PackingTerms,
  stockOf: (fibreId: string) => FibreStock,
): PortionPlan => portionsInBags(usualBags(estimate), terms, stockOf);

/** Portions of every fibre for every pack, bag by bag, in whole scale steps. */
export function portionsInBags(
  uses: readonly BaggedUse[],
  terms: PackingTerms,
  stockOf: (fibreId: string) => FibreStock,
): PortionPlan {
  const packs = terms.seats + terms.sparePacks;
  const takenG = new Map<string, number>();
  const bags = new Map<string, Bag>();
  for (const { use, bag } of uses) if (use.kind === 'unknown') bags.set(bag.key, bag);
  const fibres = gathered(uses).map((bagged) => {
    bags.set(bagged.bag.key, bagged.bag);
    const stock = stockOf(bagged.fibreId);
    const before = takenG.get(bagged.fibreId) ?? 0;
    const portion = portionOf(bagged, terms, packs, { ...stock, promisedG: stock.promisedG + before });
    takenG.set(bagged.fibreId, before + portion.classG);
    return portion;
  });
  return {
    packs,
    bags: [...bags.values()],
    fibres,
    packG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + (fibre.packG ?? fibre.exactG), 0)),
    classG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + fibre.classG, 0)),
    unknownCount: uses.filter(({ use }) => !use.isIfNeeded && use.kind === 'unknown').length,
    unknowns: uses.flatMap(({ use, bag, makeAt }): UnknownPortion[] => {
      const { owner, useId, role, fibreId, isIfNeeded } = use;
      return use.kind === 'unknown'
        ? [{ owner, useId, makeAt, role, fibreId, bag: bag.key, isIfNeeded }]
        : [];
    }),
  };
}

function gathered(uses: readonly BaggedUse[]): Bagged[] {
  const groups = new Map<
    string,
    { fibreId: string; bag: Bag; uses: KnownBagged[]; unknownCount: number; likelyG: number }
  >();
  for (const { use, bag, makeAt } of uses) {
    if (use.fibreId === null) continue;
    const key = `${bag.key} ${use.fibreId}`;
    const group = groups.get(key) ?? { fibreId: use.fibreId, bag, uses: [], unknownCount: 0, likelyG: 0 };
    groups.set(key, group);
    if (use.kind === 'unknown') group.unknownCount += 1;
    else {
      group.likelyG += use.all.likelyG;
      if (use.pieceG > 0) group.uses.push({ use, makeAt });
    }
  }
  return [...groups.values()]
    .filter(({ likelyG }) => likelyG > 0)
    .sort((a, b) => a.bag.order - b.bag.order || b.likelyG - a.likelyG);
}

function portionOf(bagged: Bagged, terms: PackingTerms, packs: number, stock: FibreStock): FibrePortion {
  const extraFraction = terms.extraOf?.(bagged.fibreId) ?? terms.extraFraction;
  const exactG = bagged.uses.reduce((sum, { use }) => sum + use.packG, 0) * (1 + extraFraction);
  const weighing = weighPortions(exactG, packs, terms.scaleStepG);
  const grams = (steps: number) => roundToMicrogram(steps * terms.scaleStepG);
  const classG = grams(weighing.classSteps);
  const freeG =
    stock.onHandG === null ? null : Math.max(0, roundToMicrogram(stock.onHandG - stock.promisedG));
  return {
    fibreId: bagged.fibreId,
    bag: bagged.bag.key,
    lines: portionLines(bagged.uses, terms, extraFraction, weighing),
    likelyG: bagged.likelyG,
    extraFraction,
    exactG,
    weighing,
    packG: weighing.kind === 'single' ? grams(weighing.stepsPerPack) : null,
    classG,
    stock,
    freeG,
    shortG: freeG === null ? null : Math.max(0, roundToMicrogram(classG - freeG)),
    unknownCount: bagged.unknownCount,
  };
}

function portionLines(
  uses: readonly KnownBagged[],
  { scaleStepG }: PackingTerms,
  extraFraction: number,
  weighing: Weighing,
): PortionLine[] {
  const lines = uses.map(({ use, makeAt }) => ({
    owner: use.owner,
    useId: use.useId,
    makeAt,
    role: use.role,
    exactG: use.packG * (1 + extraFraction),
  }));
  if (weighing.kind === 'together') return lines.map((line) => ({ ...line, weighedG: null }));
  const steps = apportion(
    weighing.stepsPerPack,
    lines.map((line) => line.exactG),
  );
  return lines.map((line, index) => ({
    ...line,
    weighedG: roundToMicrogram((steps[index] ?? 0) * scaleStepG),
  }));
}

/** Fibres of a plan, of which only so much is asked. */
interface Plan<Key extends 'classG' | 'shortG'> {
  readonly fibres: readonly (Pick<FibrePortion, 'fibreId' | Key> & { readonly lossG?: number })[];
}

/** Grams of each fibre a plan takes off the shelf, over all its bags, with what weighing loses. */
export function withdrawalsOfPlan({ fibres }: Plan<'classG'>): Map<string, number> {
  const withdrawals = new Map<string, number>();
  for (const { fibreId, classG, lossG = 0 } of fibres) {
    withdrawals.set(fibreId, (withdrawals.get(fibreId) ?? 0) + classG + lossG);
  }
  return withdrawals;
}

/** Grams short of each fibre, over all its bags. */
export function shortOfPlan({ fibres }: Plan<'shortG'>): { fibreId: string; shortG: number }[] {
  const short = new Map<string, number>();
  for (const { fibreId, shortG } of fibres) {
    if (shortG) short.set(fibreId, (short.get(fibreId) ?? 0) + shortG);
  }
  return [...short].map(([fibreId, shortG]) => ({ fibreId, shortG }));
}

/** Fibres it takes that were never counted. */
export const uncountedOfPlan = ({ fibres }: Plan<'shortG'>): string[] => [
  ...new Set(fibres.filter(({ shortG }) => shortG === null).map(({ fibreId }) => fibreId)),
];
