import { isIfNeededBag } from '../portions/bag.ts';
import type { FibrePortion, PortionPlan } from '../portions/planPortions.ts';
import { type Make, makeKey, type PackGroup } from './packGroups.ts';

/** What of one colour is packed for one design, from the pack with the least of it to the one with the most. */
export interface PackedWool {
  readonly fibreId: string;
  readonly leastG: number;
  readonly mostG: number;
  /** Uses of it that nobody knows the amount of: the grams are then only “at least”. */
  readonly unknownCount: number;
  /** Some of it lies apart in the bag for who finds it wanting; contained in the grams. */
  readonly ifNeededG: number;
}

interface GroupPlans {
  readonly groups: readonly { readonly key: string; readonly plan: PortionPlan }[];
}

/**
 * Wool as it is in the packs that a sheet of the pattern is for: the sheet promises no more and no less than the bag
 * holds. Of a box of several designs the share of this one.
 * @param numbers of the seats or boxes; none: every pack of this make
 * @returns colours in the order of the first pack
 */
export function woolInPacks(
  plan: GroupPlans,
  groups: readonly PackGroup[],
  make: Make,
  numbers: readonly number[],
): PackedWool[] {
  const key = makeKey(make);
  const wanted = new Set(numbers);
  const packs = groups
    .filter(({ sample, seats }) => !sample && (wanted.size === 0 || seats.some((seat) => wanted.has(seat))))
    .flatMap(({ key: groupKey, makes }) => {
      const at = makes.findIndex((candidate) => makeKey(candidate) === key);
      const portionPlan = plan.groups.find((candidate) => candidate.key === groupKey)?.plan;
      return at < 0 || !portionPlan ? [] : [woolOfMake(portionPlan, at)];
    });
  const fibreIds = [...new Set(packs.flatMap((pack) => [...pack.keys()]))];
  return fibreIds.map((fibreId) => {
    const inEach = packs.map((pack) => pack.get(fibreId) ?? NONE);
    return {
      fibreId,
      leastG: Math.min(...inEach.map(({ massG }) => massG)),
      mostG: Math.max(...inEach.map(({ massG }) => massG)),
      unknownCount: Math.max(...inEach.map(({ unknownCount }) => unknownCount)),
      ifNeededG: Math.max(...inEach.map(({ ifNeededG }) => ifNeededG)),
    };
  });
}

interface Held {
  readonly massG: number;
  readonly ifNeededG: number;
  readonly unknownCount: number;
}

const NONE: Held = { massG: 0, ifNeededG: 0, unknownCount: 0 };

function woolOfMake(plan: PortionPlan, makeAt: number): Map<string, Held> {
  const held = new Map<string, Held>();
  const add = (fibreId: string, more: Held) => {
    const before = held.get(fibreId) ?? NONE;
    held.set(fibreId, {
      massG: before.massG + more.massG,
      ifNeededG: before.ifNeededG + more.ifNeededG,
      unknownCount: before.unknownCount + more.unknownCount,
    });
  };
  for (const portion of plan.fibres) {
    const lines = portion.lines.filter((line) => line.makeAt === makeAt);
    if (lines.length === 0) continue;
    const massG = gramsOf(portion, makeAt);
    const isIfNeeded = isIfNeededBag(portion.bag);
    add(portion.fibreId, { massG, ifNeededG: isIfNeeded ? massG : 0, unknownCount: 0 });
  }
  for (const unknown of plan.unknowns) {
    if (unknown.makeAt === makeAt && unknown.fibreId !== null)
      add(unknown.fibreId, { ...NONE, unknownCount: 1 });
  }
  return held;
}

/** The weighed portion where it is all of this design; otherwise its lines of it. */
function gramsOf({ lines, packG, exactG }: FibrePortion, makeAt: number): number {
  if (lines.every((line) => line.makeAt === makeAt)) return packG ?? exactG;
  return lines
    .filter((line) => line.makeAt === makeAt)
    .reduce((sum, { weighedG, exactG: lineG }) => sum + (weighedG ?? lineG), 0);
}
