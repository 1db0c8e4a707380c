import { roundToMicrogram } from '../base/index.ts';
import type { Need } from './purchase.ts';
import type { Want } from './wants.ts';

/** A run as it is bought for. */
export interface RunToBuyFor {
  readonly id: string;
  readonly date: string;
  /** What is bought for it has to be there by then, YYYY-MM-DD. */
  readonly prepareBy: string;
}

/** Something that was ordered and has not come. */
export interface Coming {
  readonly itemId: string;
  readonly amount: number;
  /** The day it is expected; null: nobody has said. */
  readonly on: string | null;
}

/** A thing over the runs that are bought for. */
export interface ChosenWant {
  readonly want: Want;
  readonly wanted: number;
  /** Wanting of it, without what was ordered; null: nobody has counted it. */
  readonly short: number | null;
  /** Wanting, by the day it has to be there, all before it included; where nobody has counted, as though none were there. */
  readonly tiers: Need['tiers'];
  /** Ordered already, and there by the day that wants it. */
  readonly coming: number;
  /** Ordered already, and there only after some day that wants it; or nobody has said when. */
  readonly comingLate: number;
  /** What has to be bought; null: nobody has counted it. */
  readonly toBuy: number | null;
}

/**
 * What the runs chosen want, after all that draw before them: each thing once. What is taken adds up; what is lent is wanted of
 * the day that wants most, for it comes back.
 */
export function chosenWants(
  wants: readonly Want[],
  runs: readonly RunToBuyFor[],
  coming: readonly Coming[],
): ChosenWant[] {
  const chosen = new Map(runs.map((run) => [run.id, run]));
  return wants.flatMap((want): ChosenWant[] => {
    const rows = want.runs.filter(({ runId }) => chosen.has(runId));
    if (rows.length === 0) return [];
    const total = (amounts: readonly DatedAmount[]) => (want.isLent ? mostOnADay(amounts) : sumOf(amounts));
    const dated = (amountOf: (row: (typeof rows)[number]) => number): DatedAmount[] =>
      rows.map((row) => ({ run: chosen.get(row.runId) as RunToBuyFor, amount: amountOf(row) }));
    const isUnknown = rows.some(({ short }) => short === null);
    const wanting = dated(({ short, wanted }) => short ?? wanted);
    const tiers = tiersOf(wanting, total);
    const arrivals = coming.filter(({ itemId }) => itemId === want.itemId);
    const { inTime, left } = lessComing(tiers, arrivals);
    return [
      {
        want,
        wanted: roundToMicrogram(total(dated(({ wanted }) => wanted))),
        short: isUnknown ? null : roundToMicrogram(total(wanting)),
        tiers: left,
        coming: inTime,
        comingLate: arrivals.reduce((sum, { amount }) => sum + amount, 0) - inTime,
        toBuy: isUnknown ? null : (left.at(-1)?.amount ?? 0),
      },
    ];
  });
}

/** Of what is wanted what is there, what is on its way and what is lacking: together it is what is wanted. */
export function partsOfWant({ wanted, toBuy, coming }: Pick<ChosenWant, 'wanted' | 'toBuy' | 'coming'>): {
  readonly there: number;
  readonly coming: number;
  readonly lacking: number;
} {
  // Never counted: nothing of it may be there.
  const lacking = Math.min(wanted, toBuy ?? wanted);
  const onItsWay = Math.min(coming, wanted - lacking);
  return { there: wanted - lacking - onItsWay, coming: onItsWay, lacking };
}

interface DatedAmount {
  readonly run: RunToBuyFor;
  readonly amount: number;
}

const sumOf = (amounts: readonly DatedAmount[]): number =>
  amounts.reduce((sum, { amount }) => sum + amount, 0);

function mostOnADay(amounts: readonly DatedAmount[]): number {
  const byDay = new Map<string, number>();
  for (const { run, amount } of amounts) byDay.set(run.date, (byDay.get(run.date) ?? 0) + amount);
  return Math.max(0, ...byDay.values());
}

/** By each day that wants more than the days before it. */
function tiersOf(wanting: readonly DatedAmount[], total: (amounts: readonly DatedAmount[]) => number) {
  const days = [...new Set(wanting.map(({ run }) => run.prepareBy))].toSorted();
  const tiers: { by: string; amount: number }[] = [];
  for (const by of days) {
    const amount = roundToMicrogram(total(wanting.filter(({ run }) => run.prepareBy <= by)));
    if (amount > (tiers.at(-1)?.amount ?? 0)) tiers.push({ by, amount });
  }
  return tiers;
}

/** What is on its way lessens each day’s need that it comes in time for. */
function lessComing(tiers: Need['tiers'], arrivals: readonly Coming[]) {
  const last = tiers.at(-1)?.by ?? null;
  const by = (day: string | null) =>
    arrivals
      .filter(({ on }) => on !== null && (day === null || on <= day))
      .reduce((sum, { amount }) => sum + amount, 0);
  const left: { by: string | null; amount: number }[] = [];
  for (const tier of tiers) {
    const amount = roundToMicrogram(tier.amount - by(tier.by));
    if (amount > (left.at(-1)?.amount ?? 0)) left.push({ by: tier.by, amount });
  }
  return { inTime: last === null ? sumOfComing(arrivals) : by(last), left };
}

const sumOfComing = (arrivals: readonly Coming[]): number =>
  arrivals.reduce((sum, { on, amount }) => sum + (on === null ? 0 : amount), 0);
