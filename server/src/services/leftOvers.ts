import { comesBack } from '@lanakit/core/classDay';
import { isOffShelf, type RunState } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';

interface Settling {
  readonly id: string;
  readonly name: string;
  readonly state: RunState;
}

/**
 * Puts what was weighed back in after a class onto the shelf. What is back already counts: done twice it does nothing, and what was
 * taken out again goes off the shelf. A run that has not left the shelf has nothing to bring back yet.
 */
export function settleLeftOvers(store: Store, { id, name, state }: Settling, at: string): void {
  if (!isOffShelf(state)) return;
  const due = comesBack(store.runs.withdrawals(id), store.classEvents.of(id));
  for (const { itemId, lotId, backMilli, changeMilli } of due) {
    // Beside what was taken, as less than nothing: a run that goes back a state brings back just the rest.
    store.runs.comesBack(id, { itemId, lotId, amountMilli: -backMilli });
    store.stock.enter({
      itemId,
      lotId,
      amountMilli: changeMilli,
      reason: changeMilli > 0 ? 'returned' : 'packed',
      note: `left over, ${name}`.slice(0, 200),
      at,
    });
  }
}
