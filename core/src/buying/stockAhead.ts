import { roundToMicrogram } from '../base/index.ts';
import type { Coming, RunToBuyFor } from './chosenWants.ts';
import type { Want } from './wants.ts';

/** What comes to a thing or leaves it on a day. */
export interface StockStep {
  readonly on: string;
  /** In the thing’s unit; below nothing: it leaves. */
  readonly change: number;
  /** After all of that day. Below nothing: so much is wanting. */
  readonly amount: number;
  readonly runIds: readonly string[];
  readonly hasArrival: boolean;
}

/** The shelf over the weeks ahead: each day on which runs take of a thing, or a parcel with it is expected. */
export function stockAhead(
  { runs: wanted, isLent }: Want,
  runs: readonly RunToBuyFor[],
  coming: readonly Coming[],
  onHand: number,
): StockStep[] {
  const dateOf = new Map(runs.map(({ id, date }) => [id, date]));
  const days = new Map<string, { change: number; runIds: string[]; hasArrival: boolean }>();
  const dayOf = (on: string) => {
    const day = days.get(on) ?? { change: 0, runIds: [], hasArrival: false };
    days.set(on, day);
    return day;
  };
  // What is lent comes back the same day.
  for (const { runId, wanted: amount } of isLent ? [] : wanted) {
    const on = dateOf.get(runId);
    if (on === undefined) continue;
    const day = dayOf(on);
    day.change -= amount;
    day.runIds.push(runId);
  }
  for (const { amount, on } of coming) {
    if (on === null) continue;
    const day = dayOf(on);
    day.change += amount;
    day.hasArrival = true;
  }
  let amount = onHand;
  return [...days]
    .toSorted(([a], [b]) => (a < b ? -1 : 1))
    .map(([on, day]) => {
      amount = roundToMicrogram(amount + day.change);
      return { on, ...day, amount };
    });
}
