import type { Promised } from '@lanakit/core/api';
import {
  inDrawingOrder,
  isOffShelf,
  NO_PROMISES,
  promisedBefore,
  type Run,
  shortOverRuns,
  withdrawalsOfPlan,
  type ThingPromises,
  thingsPromisedBefore,
} from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { drawingOf, shortInOrder } from './runDrawing.ts';
import { drawingAhead, packedAlone, runsAhead } from './runSources.ts';

/** Grams that runs before this one will take, by fibre. */
export function promisedTo(store: Store, run: Run, today: string): Map<string, number> {
  const withWithdrawals = runsAhead(store, today).map((ahead) => ({
    ...ahead,
    withdrawals: withdrawalsOfPlan(packedAlone(store, ahead).plan),
  }));
  return promisedBefore(run.id, withWithdrawals, today);
}

/** Findings, needles and tools that runs before this one leave it without. */
export function thingsPromisedTo(store: Store, run: Run, today: string): ThingPromises {
  // It has what it takes.
  if (isOffShelf(run.state)) return NO_PROMISES;
  const ahead = inDrawingOrder([run, ...drawingAhead(store, today).filter(({ id }) => id !== run.id)]);
  const before = ahead.slice(
    0,
    ahead.findIndex(({ id }) => id === run.id),
  );
  return thingsPromisedBefore(
    run,
    before.map((ownRun) => drawingOf(store, ownRun)),
  );
}

/** What all runs from today on will take of each thing together; what is lent comes back, and is told where it is short. */
export function promisedAhead(store: Store, today: string): Promised[] {
  const byItem = new Map<string, Promised['runs'][number][]>();
  const add = (run: Run, itemId: string, amount: number) => {
    const line = { runId: run.id, name: run.name, date: run.date, amount };
    const lines = byItem.get(itemId);
    if (lines) lines.push(line);
    else byItem.set(itemId, [line]);
  };
  const drawings = drawingAhead(store, today).map((run) => drawingOf(store, run));
  for (const { run, taken } of drawings) {
    for (const [fibreId, massG] of withdrawalsOfPlan(packedAlone(store, run).plan)) add(run, fibreId, massG);
    for (const [itemId, { amount }] of taken) add(run, itemId, amount);
  }
  const shorts = shortInOrder(store, drawings);
  const short = shortOverRuns(drawings.map(({ date }, at) => ({ date, things: shorts[at] ?? [] })));
  return [...new Set([...byItem.keys(), ...short.keys()])].map((itemId) => {
    const runs = byItem.get(itemId) ?? [];
    return {
      itemId,
      amount: runs.reduce((sum, { amount }) => sum + amount, 0),
      short: short.has(itemId) ? (short.get(itemId)?.short ?? null) : 0,
      runs,
    };
  });
}
