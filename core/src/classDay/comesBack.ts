import type { ClassEvent } from './event.ts';
import { eventsOf, inOrder } from './inOrder.ts';

/** What left the shelf for a run, or came back to it: below nought. Thousandths of a gram. */
export interface RunTaking {
  readonly itemId: string;
  readonly lotId: string | null;
  readonly amountMilli: number;
}

/** What of a fibre is to be back on the shelf after a class. Thousandths of a gram. */
export interface ComesBack {
  readonly itemId: string;
  /** The lot most of it came from. */
  readonly lotId: string | null;
  /** In all; never more than was taken. */
  readonly backMilli: number;
  /** More than is back already; below nought: it goes off the shelf again. */
  readonly changeMilli: number;
}

const MILLI = 1000;

/** Of each fibre that was taken off the shelf for a class what is to be back on it, by all that was weighed back in and not taken out again. */
export function comesBack(taken: readonly RunTaking[], all: readonly ClassEvent[]): ComesBack[] {
  const left = eventsOf(inOrder(all), 'left');
  return [...new Set(taken.map(({ itemId }) => itemId))].flatMap((itemId): ComesBack[] => {
    const ofItem = taken.filter((each) => each.itemId === itemId);
    const [most] = ofItem.toSorted((a, b) => b.amountMilli - a.amountMilli);
    const sum = (of: (amountMilli: number) => number) => ofItem.reduce((total, { amountMilli }) => total + of(amountMilli), 0);
    const weighedBack = left.reduce((total, { what }) => total + (what.fibreId === itemId ? Math.round(what.massG * MILLI) : 0), 0);
    // What was never taken off it cannot come back to it.
    const backMilli = Math.min(weighedBack, sum((amount) => Math.max(0, amount)));
    const changeMilli = backMilli - sum((amount) => Math.max(0, -amount));
    return most && changeMilli !== 0 ? [{ itemId, lotId: most.lotId, backMilli, changeMilli }] : [];
  });
} // prettier-ignore
