import { handedOut, needleCounts } from '../../needles/index.ts';
import {
  byFineness,
  isOfSort,
  type Needle,
  type NeedleWanted,
  oneProfileEach,
  wantedKey,
  wantingOf,
} from '../../shelf/index.ts';
import type { PackGroup } from '../packs/packGroups.ts';
import { promiseOf, type ThingPromises } from './thingStock.ts';

/** Needles of one sort that go into one box, to be kept by who opens it. */
export interface NeedlesInBox {
  readonly wanted: NeedleWanted;
  readonly count: number;
  /** Of the shelf; null where there is none of this sort. */
  readonly needle: Needle | null;
}

/**
 * What a box of everything holds of needles, as the ladder has them in the hand: of each needle as many as the design that
 * wants most, but for those its maker leaves out. A class lends its own.
 */
export function needlesOfBox(group: PackGroup, needles: readonly Needle[]): NeedlesInBox[] {
  return needlesOffered(group)
    .filter(({ wanted }) => group.recipe?.needlesLeftOut.includes(wantedKey(wanted)) === false)
    .map((needlesInBox) => ({ ...needlesInBox, needle: mostOf(needlesInBox.wanted, needles) }));
}

/** The same before its maker leaves any out; nothing where the box is no box of everything. */
export function needlesOffered({
  recipe,
  makes,
}: Pick<PackGroup, 'recipe' | 'makes'>): Pick<NeedlesInBox, 'wanted' | 'count'>[] {
  if (recipe?.form !== 'full') return [];
  const counts = new Map<string, { wanted: NeedleWanted; count: number }>();
  for (const { wanted, count } of makes.flatMap(({ build }) => needleCounts(build))) {
    const key = wantedKey(wanted);
    counts.set(key, { wanted, count: Math.max(count, counts.get(key)?.count ?? 0) });
  }
  // Two designs may ask for one gauge, one of them whatever its profile: that is one needle.
  return onePerNeedle([...counts.values()]);
}

/** Sorts that one needle serves, as one: a gauge of any profile goes with one of the same gauge that has one. */
function onePerNeedle(
  all: readonly { readonly wanted: NeedleWanted; readonly count: number }[],
): { wanted: NeedleWanted; count: number }[] {
  const wanted = oneProfileEach(all.map((need) => need.wanted));
  const byKey = new Map<string, { wanted: NeedleWanted; count: number }>();
  all.forEach(({ count }, at) => {
    const chosen = wanted[at];
    if (!chosen) return;
    const before = byKey.get(wantedKey(chosen));
    byKey.set(wantedKey(chosen), { wanted: chosen, count: Math.max(count, before?.count ?? 0) });
  });
  return [...byKey.values()].sort((a, b) => byFineness(a.wanted, b.wanted));
}

/** Of all needles that are of this sort, that of which there are most. */
function mostOf(wanted: NeedleWanted, needles: readonly Needle[]): Needle | null {
  const ofSort = handedOut(needles).filter((needle) => isOfSort(needle, wanted));
  const [most] = ofSort.sort((a, b) => (b.onHand ?? 0) - (a.onHand ?? 0) || (a.id < b.id ? -1 : 1));
  return most ?? null;
}

export interface BoxNeedles extends NeedlesInBox {
  /** In all boxes, spares among them. */
  readonly total: number;
  /** Null where nobody has counted, or none is owned. */
  readonly short: number | null;
}

/**
 * Needles of all boxes of a run, sort by sort.
 * @param promised what runs before give away
 */
export function needlesOfBoxes(
  { groups }: { readonly groups: readonly PackGroup[] },
  needles: readonly Needle[],
  promised: ThingPromises,
): BoxNeedles[] {
  const totals = new Map<string, NeedlesInBox & { total: number }>();
  for (const group of groups) {
    for (const needlesInBox of needlesOfBox(group, needles)) {
      const before = totals.get(wantedKey(needlesInBox.wanted))?.total ?? 0;
      totals.set(wantedKey(needlesInBox.wanted), {
        ...needlesInBox,
        total: before + needlesInBox.count * group.packs,
      });
    }
  }
  return [...totals.values()].map((need) => {
    const before = promiseOf(promised, need.needle?.id ?? '').amount;
    return { ...need, short: wantingOf(need.total, need.needle?.onHand ?? null, before) };
  });
}
