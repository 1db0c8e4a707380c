import {
  inOneMake,
  type KnownUse,
  type PatternEstimate,
  type UseEstimate,
  type WoolRole,
} from '../wool/index.ts';
import { apportion } from './apportion.ts';
import { weighPortions, type Weighing } from './weighing.ts';

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

/** Which bag of a pack wool goes into: the figure's, that of its joins, or what is only opened if needed. */
export const BAGS = ['figure', 'joins', 'if-needed'] as const;
export type Bag = (typeof BAGS)[number];

/** What one use takes of one fibre in one pack. */
export interface PortionLine {
  readonly owner: UseEstimate['owner'];
  readonly useId: string;
  readonly role: WoolRole;
  /** With the extra, unrounded. */
  readonly exactG: number;
  /** This line's share of the weighed portion; the lines of a fibre add up to it. Null when weighed for several packs together. */
  readonly weighedG: number | null;
}

export interface FibrePortion {
  readonly fibreId: string;
  readonly bag: Bag;
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

export interface PortionPlan {
  readonly packs: number;
  /** Heaviest first in each bag; the figure's bag first. */
  readonly fibres: readonly FibrePortion[];
  /** One pack of everything: as weighed, or as needed where weighed for several together. */
  readonly packG: number;
  readonly classG: number;
  /** Uses whose amount or fibre is unknown. */
  readonly unknownCount: number;
}

/** The uses of one fibre that go into one bag. */
interface Bagged {
  readonly fibreId: string;
  readonly bag: Bag;
  readonly uses: readonly KnownUse[];
  readonly unknownCount: number;
  readonly likelyG: number;
}

/** Portions of every fibre for every pack of a class, in whole scale steps. */
export function planPortions(
  estimate: PatternEstimate,
  terms: PackingTerms,
  stockOf: (fibreId: string) => FibreStock,
): PortionPlan {
  const packs = terms.seats + terms.sparePacks;
  const takenG = new Map<string, number>();
  const fibres = bagged(estimate.uses, estimate.joinsApart).map((own) => {
    const stock = stockOf(own.fibreId);
    const before = takenG.get(own.fibreId) ?? 0;
    const portion = portionOf(own, terms, packs, { ...stock, promisedG: stock.promisedG + before });
    takenG.set(own.fibreId, before + portion.classG);
    return portion;
  });
  return {
    packs,
    fibres,
    packG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + (fibre.packG ?? fibre.exactG), 0)),
    classG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + fibre.classG, 0)),
    unknownCount: inOneMake(estimate.uses).filter(({ kind }) => kind === 'unknown').length,
  };
}

function bagged(uses: readonly UseEstimate[], joinsApart: boolean): Bagged[] {
  const groups = new Map<string, { fibreId: string; bag: Bag; uses: UseEstimate[] }>();
  for (const use of uses) {
    if (use.fibreId === null) continue;
    const bag = bagOf(use, joinsApart);
    const key = `${bag} ${use.fibreId}`;
    const own = groups.get(key);
    if (own) own.uses.push(use);
    else groups.set(key, { fibreId: use.fibreId, bag, uses: [use] });
  }
  return [...groups.values()]
    .map(({ uses: own, ...group }): Bagged => {
      const known = own.filter((use) => use.kind === 'known');
      return {
        ...group,
        uses: known.filter((use) => use.pieceG > 0),
        unknownCount: own.length - known.length,
        likelyG: known.reduce((sum, use) => sum + use.all.likelyG, 0),
      };
    })
    .filter(({ likelyG }) => likelyG > 0)
    .sort((a, b) => BAGS.indexOf(a.bag) - BAGS.indexOf(b.bag) || b.likelyG - a.likelyG);
}

const bagOf = (use: UseEstimate, joinsApart: boolean): Bag =>
  use.isIfNeeded ? 'if-needed' : joinsApart && use.owner.kind === 'join' ? 'joins' : 'figure';

function portionOf(own: Bagged, terms: PackingTerms, packs: number, stock: FibreStock): FibrePortion {
  const extraFraction = terms.extraOf?.(own.fibreId) ?? terms.extraFraction;
  const exactG = own.uses.reduce((sum, use) => sum + use.packG, 0) * (1 + extraFraction);
  const weighing = weighPortions(exactG, packs, terms.scaleStepG);
  const grams = (steps: number) => roundToMicrogram(steps * terms.scaleStepG);
  const classG = grams(weighing.classSteps);
  const freeG =
    stock.onHandG === null ? null : Math.max(0, roundToMicrogram(stock.onHandG - stock.promisedG));
  return {
    fibreId: own.fibreId,
    bag: own.bag,
    lines: portionLines(own.uses, terms, extraFraction, weighing),
    likelyG: own.likelyG,
    extraFraction,
    exactG,
    weighing,
    packG: weighing.kind === 'single' ? grams(weighing.stepsPerPack) : null,
    classG,
    stock,
    freeG,
    shortG: freeG === null ? null : Math.max(0, roundToMicrogram(classG - freeG)),
    unknownCount: own.unknownCount,
  };
}

function portionLines(
  uses: readonly KnownUse[],
  { scaleStepG }: PackingTerms,
  extraFraction: number,
  weighing: Weighing,
): PortionLine[] {
  const lines = uses.map(({ owner, useId, role, packG }) => ({
    owner,
    useId,
    role,
    exactG: packG * (1 + extraFraction),
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

/** Undoes the binary noise of 17 × 0.1, far below any scale. */
const roundToMicrogram = (massG: number): number => Math.round(massG * 1e6) / 1e6;

/** Fibres of a plan, of which only so much is asked. */
interface Plan<Key extends 'classG' | 'shortG'> {
  readonly fibres: readonly Pick<FibrePortion, 'fibreId' | Key>[];
}

/** Grams of each fibre a plan takes, over all its bags. */
export function takingsOfPlan({ fibres }: Plan<'classG'>): Map<string, number> {
  const takings = new Map<string, number>();
  for (const { fibreId, classG } of fibres) takings.set(fibreId, (takings.get(fibreId) ?? 0) + classG);
  return takings;
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
