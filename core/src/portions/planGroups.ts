import type { PatternEstimate } from '../wool/index.ts';
import {
  BAGS,
  planPortions,
  type Bag,
  type FibrePortion,
  type FibreStock,
  type PackingTerms,
  type PortionPlan,
} from './planPortions.ts';

/** Packs that are alike, with what one of them takes. */
export interface GroupToPack {
  readonly key: string;
  readonly packs: number;
  readonly estimate: PatternEstimate;
}

export interface PackedGroup {
  readonly key: string;
  readonly packs: number;
  readonly plan: PortionPlan;
}

/** What a class takes of one fibre in one sort of bag, over all its packs. */
export interface RunFibre {
  readonly fibreId: string;
  readonly bag: Bag;
  readonly classG: number;
  /** What earlier runs, and earlier bags of this one, take is promised. */
  readonly stock: FibreStock;
  /** On hand less what is promised, at least 0; null when never counted. */
  readonly freeG: number | null;
  /** What must be bought or found; 0 when there is enough; null when never counted. */
  readonly shortG: number | null;
  readonly unknownCount: number;
  /** Grams of each group, by its key; groups without this fibre are not in it. */
  readonly byGroup: ReadonlyMap<string, number>;
}

/** The portions of a class whose packs are not all alike. */
export interface RunPortions {
  readonly packs: number;
  readonly groups: readonly PackedGroup[];
  /** The figure’s bag first; in each the heaviest first. */
  readonly fibres: readonly RunFibre[];
  readonly classG: number;
  /** Uses whose amount or fibre is unknown, each once. */
  readonly unknownCount: number;
}

const roundToMicrogram = (massG: number): number => Math.round(massG * 1e6) / 1e6;

/** How a class is packed. `extraOf`: over the likely amount, by fibre and group, instead of one fraction for all. */
interface GroupTerms extends Pick<PackingTerms, 'scaleStepG' | 'extraFraction'> {
  readonly extraOf?: (fibreId: string, groupKey: string) => number;
}

/** Every group packed by itself, all from one shelf. With one group it is that group’s plan. */
export function planGroups(
  groups: readonly GroupToPack[],
  { extraOf, ...terms }: GroupTerms,
  stockOf: (fibreId: string) => FibreStock,
): RunPortions {
  const packed = groups.map(({ key, packs, estimate }): PackedGroup => ({
    key,
    packs,
    plan: planPortions(
      estimate,
      {
        ...terms,
        seats: packs,
        sparePacks: 0,
        ...(extraOf && { extraOf: (fibreId: string) => extraOf(fibreId, key) }),
      },
      stockOf,
    ),
  }));
  const fibres = runFibres(packed, stockOf);
  return {
    packs: packed.reduce((sum, { packs }) => sum + packs, 0),
    groups: packed,
    fibres,
    classG: roundToMicrogram(fibres.reduce((sum, { classG }) => sum + classG, 0)),
    unknownCount: Math.max(0, ...packed.map(({ plan }) => plan.unknownCount)),
  };
}

function runFibres(groups: readonly PackedGroup[], stockOf: (fibreId: string) => FibreStock): RunFibre[] {
  const byBag = new Map<
    string,
    { fibreId: string; bag: Bag; unknownCount: number; byGroup: Map<string, number> }
  >();
  for (const { key, plan } of groups) {
    for (const { fibreId, bag, classG, unknownCount } of plan.fibres) {
      const own = byBag.get(`${bag} ${fibreId}`) ?? {
        fibreId,
        bag,
        unknownCount: 0,
        byGroup: new Map<string, number>(),
      };
      own.byGroup.set(key, classG);
      own.unknownCount = Math.max(own.unknownCount, unknownCount);
      byBag.set(`${bag} ${fibreId}`, own);
    }
  }
  const takenG = new Map<string, number>();
  return [...byBag.values()]
    .map((own) => ({
      ...own,
      classG: roundToMicrogram([...own.byGroup.values()].reduce((sum, massG) => sum + massG, 0)),
    }))
    .sort((a, b) => BAGS.indexOf(a.bag) - BAGS.indexOf(b.bag) || b.classG - a.classG)
    .map((own): RunFibre => {
      const shelf = stockOf(own.fibreId);
      const before = takenG.get(own.fibreId) ?? 0;
      takenG.set(own.fibreId, before + own.classG);
      const stock = { ...shelf, promisedG: shelf.promisedG + before };
      const freeG =
        stock.onHandG === null ? null : Math.max(0, roundToMicrogram(stock.onHandG - stock.promisedG));
      const shortG = freeG === null ? null : Math.max(0, roundToMicrogram(own.classG - freeG));
      return { ...own, stock, freeG, shortG };
    });
}

/** Portions of one fibre that are weighed alike, whatever else is in their packs. */
export interface AlikePortions {
  readonly portion: FibrePortion;
  readonly groupKeys: readonly string[];
  readonly packs: number;
}

/** One fibre on the scale: portions that weigh the same go one after another; what is weighed together stays by group. */
export function alikePortions(
  { groups }: Pick<RunPortions, 'groups'>,
  fibreId: string,
  bag: Bag,
): AlikePortions[] {
  const alike = new Map<string, { portion: FibrePortion; groupKeys: string[]; packs: number }>();
  for (const { key, packs, plan } of groups) {
    const portion = plan.fibres.find((own) => own.fibreId === fibreId && own.bag === bag);
    if (!portion) continue;
    const weight = portion.packG === null ? key : `${portion.packG} g`;
    const own = alike.get(weight) ?? { portion, groupKeys: [], packs: 0 };
    own.groupKeys.push(key);
    own.packs += packs;
    alike.set(weight, own);
  }
  return [...alike.values()];
}
