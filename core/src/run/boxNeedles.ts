import { handedOut } from '../ladder/index.ts';
import { isOfSort, wantedKey, type Needle, type NeedleWanted } from '../needles/index.ts';
import { needsOf } from '../writing/index.ts';
import type { Wool } from '../wool/index.ts';
import { findingsOfRun } from './findingsOfRun.ts';
import type { PackGroup } from './packGroups.ts';
import type { ToPack } from './toPack.ts';

/** Needles of one sort that go into one box, to be kept by who opens it. */
export interface NeedlesInBox {
  readonly wanted: NeedleWanted;
  readonly count: number;
  /** Of the shelf; null where there is none of this sort. */
  readonly needle: Needle | null;
}

/** What a box of everything holds of needles: of each sort as many as the design that wants most. A class lends its own. */
export function needlesOfBox({ recipe, makes }: PackGroup, needles: readonly Needle[]): NeedlesInBox[] {
  if (recipe?.form !== 'full') return [];
  const counts = new Map<string, { wanted: NeedleWanted; count: number }>();
  for (const { what, count } of makes.flatMap(({ build }) => needsOf(build).listed)) {
    if (what.is !== 'needle') continue;
    const key = wantedKey(what.wanted);
    counts.set(key, { wanted: what.wanted, count: Math.max(count, counts.get(key)?.count ?? 0) });
  }
  return [...counts.values()].map((own) => ({ ...own, needle: mostOf(own.wanted, needles) }));
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

/** How many findings and sorts of needle a run is short of; needles of boxes that nobody counted or owns are wanting too. */
export const thingsShort = (toPack: ToPack, { findings }: Wool, needles: readonly Needle[]): number =>
  findingsOfRun(toPack, findings).filter(({ short }) => (short ?? 0) > 0).length +
  needlesOfBoxes(toPack, needles).filter(({ short }) => short !== 0).length;

/** Needles of all boxes of a run, sort by sort. */
export function needlesOfBoxes(
  { groups }: { readonly groups: readonly PackGroup[] },
  needles: readonly Needle[],
): BoxNeedles[] {
  const totals = new Map<string, NeedlesInBox & { total: number }>();
  for (const group of groups) {
    for (const own of needlesOfBox(group, needles)) {
      const before = totals.get(wantedKey(own.wanted))?.total ?? 0;
      totals.set(wantedKey(own.wanted), { ...own, total: before + own.count * group.packs });
    }
  }
  return [...totals.values()].map((own) => {
    const onHand = own.needle?.onHand ?? null;
    return { ...own, short: onHand === null ? null : Math.max(0, own.total - onHand) };
  });
}
