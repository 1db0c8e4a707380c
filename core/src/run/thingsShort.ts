import type { NeedleKit } from '../ladder/index.ts';
import type { Needle, NeedleWanted } from '../needles/index.ts';
import type { StockUnit } from '../stock/index.ts';
import type { Wool } from '../wool/index.ts';
import { needlesOfBoxes } from './boxNeedles.ts';
import { findingsOfRun, findingsTaken, type SpareTerms } from './findingsOfRun.ts';
import {
  addPromises,
  promiseOf,
  type ThingPromise,
  type ThingPromises,
  type TooLarge,
} from './thingStock.ts';
import type { ToPack } from './toPack.ts';

/** A finding or a sort of needle that a run wants more of than is there for it. */
export type ThingShort = {
  readonly unit: StockUnit;
  /** Null: nobody has counted, or no put-up is large enough. */
  readonly short: number | null;
} & (
  | {
      readonly kind: 'finding';
      readonly findingId: string;
      readonly putUps: number | null;
      readonly tooLarge: TooLarge | null;
    }
  /** `needle` null: none of this sort is on the shelf. */
  | {
      readonly kind: 'needle';
      readonly wanted: NeedleWanted;
      readonly needle: Needle | null;
      /** By this run, spares among them. */
      readonly count: number;
    }
);

/** What a run is held against beside its wool. */
export interface ThingSources {
  readonly findings: Wool['findings'];
  readonly needles: readonly Needle[];
  /** Of a class; null for kits. */
  readonly kit: NeedleKit | null;
  /** What runs before take. */
  readonly promised: ThingPromises;
}

/** Everything beside wool that is short for a run, or that nobody has counted. */
export function thingsShort(
  toPack: Pick<ToPack, 'groups' | 'estimates'>,
  terms: SpareTerms,
  { findings, needles, kit, promised }: ThingSources,
): ThingShort[] {
  const found = findingsOfRun(toPack, findings, terms, promised)
    .filter(({ short }) => short !== 0)
    .map(({ findingId, unit, short, putUps, tooLarge }): ThingShort => ({
      kind: 'finding',
      findingId,
      unit,
      short,
      putUps,
      tooLarge,
    }));
  const given = needlesOfBoxes(toPack, needles, promised)
    .filter(({ short }) => short !== 0)
    .map(({ wanted, needle, short, total }): ThingShort => ({
      kind: 'needle',
      wanted,
      needle,
      count: total,
      unit: 'piece',
      short: needle === null ? total : short,
    }));
  const lent = (kit?.lines ?? []).flatMap((line): ThingShort[] => {
    const needle = line.isNearest ? null : line.needle;
    const onHand = line.needle && !line.isNearest ? line.onHand : 0;
    // What boxes before give away is no longer there to be lent.
    const free = onHand === null ? null : Math.max(0, onHand - promiseOf(promised, needle?.id ?? '').amount);
    const short = free === null ? null : Math.max(0, line.total - free);
    return short === 0
      ? []
      : [{ kind: 'needle', wanted: line.wanted, needle, count: line.total, unit: 'piece', short }];
  });
  return [...found, ...given, ...lent];
}

/** What of things leaves the shelf with a run: findings, packaging, and needles that boxes give away; needles lent come back. */
export function thingsTaken(
  toPack: Pick<ToPack, 'groups' | 'estimates'>,
  terms: SpareTerms,
  { findings, needles }: Pick<ThingSources, 'findings' | 'needles'>,
): ThingPromises {
  const taken = new Map<string, ThingPromise>();
  const add = (itemId: string, own: ThingPromise) => addPromises(taken, new Map([[itemId, own]]));
  for (const { findingId, total, pieces } of findingsTaken(toPack, findings, terms)) {
    add(findingId, { amount: total, pieces });
  }
  for (const { needle, total } of needlesOfBoxes(toPack, needles, new Map())) {
    if (needle) add(needle.id, { amount: total, pieces: [] });
  }
  return taken;
}
