import { eventsOf, inOrder } from '@lanakit/core/classDay';
import { isOffShelf, type RunState } from '@lanakit/core/run';
import { toMilli } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';

interface Settling {
  readonly id: string;
  readonly name: string;
  readonly state: RunState;
}

/**
 * Puts what was weighed back in after a class onto the shelf, into the lot most of it came from. What is written down already counts:
 * done twice it does nothing, and what was taken back goes off the shelf again. A run that has not left the shelf has nothing to
 * bring back yet.
 */
export function settleLeftOvers(store: Store, { id, name, state }: Settling, at: string): void {
  if (!isOffShelf(state)) return;
  const wanted = new Map<string, number>();
  for (const { what } of eventsOf(inOrder(store.classEvents.of(id)), 'left'))
    wanted.set(what.fibreId, (wanted.get(what.fibreId) ?? 0) + toMilli(what.massG));
  const taken = store.runs.withdrawals(id);
  for (const itemId of new Set(taken.map((each) => each.itemId))) {
    const ofItem = taken.filter((each) => each.itemId === itemId);
    const [most] = ofItem.toSorted((a, b) => b.amountMilli - a.amountMilli);
    const back = ofItem.reduce((sum, { amountMilli }) => sum + Math.max(0, -amountMilli), 0);
    const again = ofItem.reduce((sum, { amountMilli }) => sum + Math.max(0, amountMilli), 0);
    // What was never taken off it cannot come back to it.
    const amountMilli = Math.min(wanted.get(itemId) ?? 0, again) - back;
    if (!most || amountMilli === 0) continue;
    settleOne(store, { id, name, itemId, lotId: most.lotId, amountMilli }, at);
  }
}

interface Settled {
  readonly id: string;
  readonly name: string;
  readonly itemId: string;
  readonly lotId: string | null;
  /** Below nought: it goes off the shelf again. */
  readonly amountMilli: number;
}

function settleOne(store: Store, { id, name, itemId, lotId, amountMilli }: Settled, at: string): void {
  // As less that was taken: a run that goes back a state brings back just the rest.
  store.runs.withdraw(id, { itemId, lotId, amountMilli: -amountMilli });
  store.stock.enter({
    itemId,
    lotId,
    amountMilli,
    reason: amountMilli > 0 ? 'returned' : 'packed',
    note: `left over, ${name}`.slice(0, 200),
    at,
  });
}
