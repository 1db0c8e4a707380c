import { roundToMicrogram } from '../../base/index.ts';
import { apportion } from './apportion.ts';
import type { Bag, BaggedUse } from './bag.ts';
import {
  type FibrePortion,
  type FibreStock,
  type PackingTerms,
  type PortionPlan,
  portionsInBags,
} from './planPortions.ts';
import { leastWeighableG, stepsUp, weighPortions } from './weighing.ts';

/** Packs that are alike, with what one of them takes. */
export interface GroupToPack {
  readonly key: string;
  readonly packs: number;
  readonly uses: readonly BaggedUse[];
}

export interface PackedGroup {
  readonly key: string;
  readonly packs: number;
  readonly plan: PortionPlan;
}

/** Wool for the whole run that is in nobody’s pack: a spare bag, colours for those who have not chosen. */
export interface SharedLot {
  readonly bag: Bag;
  readonly fibreId: string;
  /** Unrounded. */
  readonly massG: number;
}

/** What a run takes of one fibre in one bag, over all its packs. */
export interface RunFibre {
  readonly fibreId: string;
  /** Key of the bag. */
  readonly bag: string;
  readonly classG: number;
  /** What is lost in weighing it, grams; not in `classG`, but off the shelf. */
  readonly lossG: number;
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

/** The portions of a run whose packs are not all alike. */
export interface RunPortions {
  readonly packs: number;
  readonly groups: readonly PackedGroup[];
  /** Of all groups, and those of the whole run, in their order. */
  readonly bags: readonly Bag[];
  /** Bags in their order; in each the heaviest first. */
  readonly fibres: readonly RunFibre[];
  readonly classG: number;
  /** Uses whose amount or fibre is unknown, each once. */
  readonly unknownCount: number;
}

/** How a run is packed. `extraOf`: over the likely amount, by fibre and group, instead of one fraction for all. */
export interface GroupTerms extends Pick<PackingTerms, 'scaleStepG' | 'extraFraction'> {
  readonly extraOf?: (fibreId: string, groupKey: string) => number;
  readonly weighingLossFraction?: number;
}

/** Every group packed by itself, all from one shelf. With one group it is that group’s plan. */
export function planGroups(
  groups: readonly GroupToPack[],
  { extraOf, weighingLossFraction = 0, ...terms }: GroupTerms,
  stockOf: (fibreId: string) => FibreStock,
  shared: readonly SharedLot[] = [],
): RunPortions {
  const alone = groups.map(({ key, packs, uses }): PackedGroup => ({
    key,
    packs,
    plan: portionsInBags(
      uses,
      {
        ...terms,
        seats: packs,
        sparePacks: 0,
        ...(extraOf && { extraOf: (fibreId: string) => extraOf(fibreId, key) }),
      },
      stockOf,
    ),
  }));
  const packed = weighedAlong(alone, terms.scaleStepG);
  const lots = shared.map((lot) => ({
    ...lot,
    massG: roundToMicrogram(stepsUp(lot.massG, terms.scaleStepG) * terms.scaleStepG),
  }));
  const bags = bagsOf(packed, lots);
  const fibres = runFibres(packed, lots, { bags, stockOf, weighingLossFraction });
  return {
    packs: packed.reduce((sum, { packs }) => sum + packs, 0),
    groups: packed,
    bags,
    fibres,
    classG: roundToMicrogram(fibres.reduce((sum, { classG }) => sum + classG, 0)),
    unknownCount: Math.max(0, ...packed.map(({ plan }) => plan.unknownCount)),
  };
}

const bagsOf = (groups: readonly PackedGroup[], lots: readonly SharedLot[]): Bag[] => {
  const all = [...groups.flatMap(({ plan }) => plan.bags), ...lots.map(({ bag }) => bag)];
  return [...new Map(all.map((bag) => [bag.key, bag])).values()].sort((a, b) => a.order - b.order);
};

/** Alike to ten digits, however small: what tells whether two portions may be weighed in one go. */
export const sameMass = (massG: number): string => massG.toPrecision(10);

/** Portions too small for the scale that are the same in several sorts of pack are weighed in one go. */
function weighedAlong(groups: readonly PackedGroup[], scaleStepG: number): PackedGroup[] {
  const leastG = leastWeighableG(scaleStepG);
  const alike = new Map<string, { at: number; packs: number }[]>();
  const keyOf = ({ fibreId, bag, exactG }: FibrePortion) => `${bag} ${fibreId} ${sameMass(exactG)}`;
  groups.forEach(({ packs, plan }, at) => {
    for (const portion of plan.fibres) {
      if (portion.exactG >= leastG) continue;
      const together = alike.get(keyOf(portion)) ?? [];
      together.push({ at, packs });
      alike.set(keyOf(portion), together);
    }
  });
  const inOneGo = [...alike].filter(([, together]) => together.length > 1);
  if (inOneGo.length === 0) return [...groups];
  const weighings = new Map(
    inOneGo.map(([key, together]) => {
      const packs = together.reduce((sum, part) => sum + part.packs, 0);
      const weighing = weighPortions(Number(key.split(' ').at(-1)), packs, scaleStepG);
      const shares = apportion(
        weighing.classSteps,
        together.map((part) => part.packs),
      );
      return [key, { weighing, stepsAt: new Map(together.map(({ at }, index) => [at, shares[index] ?? 0])) }];
    }),
  );
  return groups.map((group, at) => {
    const fibres = group.plan.fibres.map((portion): FibrePortion => {
      const weighing = weighings.get(keyOf(portion));
      if (weighing?.weighing.kind !== 'together') return portion;
      const classSteps = weighing.stepsAt.get(at) ?? 0;
      const classG = roundToMicrogram(classSteps * scaleStepG);
      return {
        ...portion,
        weighing: { ...weighing.weighing, classSteps },
        packG: null,
        classG,
        lines: portion.lines.map((line) => ({ ...line, weighedG: null })),
        shortG: portion.freeG === null ? null : Math.max(0, roundToMicrogram(classG - portion.freeG)),
      };
    });
    return { ...group, plan: withFibres(group.plan, fibres) };
  });
}

const withFibres = (plan: PortionPlan, fibres: readonly FibrePortion[]): PortionPlan => ({
  ...plan,
  fibres,
  packG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + (fibre.packG ?? fibre.exactG), 0)),
  classG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + fibre.classG, 0)),
});

interface Gathered {
  readonly fibreId: string;
  readonly bag: string;
  readonly byGroup: Map<string, number>;
  unknownCount: number;
  sharedG: number;
}

interface FibreTerms {
  readonly bags: readonly Bag[];
  readonly stockOf: (fibreId: string) => FibreStock;
  readonly weighingLossFraction: number;
}

function runFibres(
  groups: readonly PackedGroup[],
  lots: readonly SharedLot[],
  { bags, stockOf, weighingLossFraction }: FibreTerms,
): RunFibre[] {
  const byBag = new Map<string, Gathered>();
  const rowOf = (bag: string, fibreId: string): Gathered => {
    const key = `${bag} ${fibreId}`;
    const sums = byBag.get(key) ?? { fibreId, bag, unknownCount: 0, byGroup: new Map(), sharedG: 0 };
    byBag.set(key, sums);
    return sums;
  };
  for (const { key, plan } of groups) {
    for (const { fibreId, bag, classG, unknownCount } of plan.fibres) {
      const row = rowOf(bag, fibreId);
      row.byGroup.set(key, classG);
      row.unknownCount = Math.max(row.unknownCount, unknownCount);
    }
  }
  for (const { bag, fibreId, massG } of lots) if (massG > 0) rowOf(bag.key, fibreId).sharedG += massG;
  const orderOf = new Map(bags.map(({ key, order }) => [key, order]));
  const takenG = new Map<string, number>();
  return [...byBag.values()]
    .map(({ sharedG, ...rest }) => ({
      ...rest,
      classG: roundToMicrogram([...rest.byGroup.values()].reduce((sum, massG) => sum + massG, sharedG)),
    }))
    .sort((a, b) => (orderOf.get(a.bag) ?? 0) - (orderOf.get(b.bag) ?? 0) || b.classG - a.classG)
    .map((sums): RunFibre => {
      const shelf = stockOf(sums.fibreId);
      const before = takenG.get(sums.fibreId) ?? 0;
      const lossG = roundToMicrogram(sums.classG * weighingLossFraction);
      takenG.set(sums.fibreId, before + sums.classG + lossG);
      const stock = { ...shelf, promisedG: shelf.promisedG + before };
      return { ...sums, lossG, stock, ...freeAndShort(stock, sums.classG + lossG) };
    });
}

/** The same plan against the shelf as it is now: what is free, what is short. */
export function restocked(plan: RunPortions, stockOf: (fibreId: string) => FibreStock): RunPortions {
  const takenG = new Map<string, number>();
  const fibres = plan.fibres.map((row): RunFibre => {
    const shelf = stockOf(row.fibreId);
    const before = takenG.get(row.fibreId) ?? 0;
    takenG.set(row.fibreId, before + row.classG + row.lossG);
    const stock = { ...shelf, promisedG: shelf.promisedG + before };
    return { ...row, stock, ...freeAndShort(stock, row.classG + row.lossG) };
  });
  const groups = plan.groups.map((group) => ({
    ...group,
    plan: {
      ...group.plan,
      fibres: group.plan.fibres.map((portion) => {
        const stock = stockOf(portion.fibreId);
        return { ...portion, stock, ...freeAndShort(stock, portion.classG) };
      }),
    },
  }));
  return { ...plan, fibres, groups };
}

function freeAndShort({ onHandG, promisedG }: FibreStock, wantedG: number) {
  const freeG = onHandG === null ? null : Math.max(0, roundToMicrogram(onHandG - promisedG));
  return { freeG, shortG: freeG === null ? null : Math.max(0, roundToMicrogram(wantedG - freeG)) };
}
