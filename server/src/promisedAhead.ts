import type { Promised } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import {
  type Run,
  shortOverRuns,
  type ThingShort,
  thingsPromisedBefore,
  thingsShort,
} from '@lanakit/core/run';
import type { Store } from './db/index.ts';
import { drawingAhead, shelfOf, takingsOf } from './routes/takings.ts';
import { drawingOf, type RunDrawing } from './thingsBook.ts';

/** Everything beside wool that is short for a run, or that nobody has counted, after those before it. */
export function shortOfDrawing(
  { shelf }: Store,
  own: RunDrawing,
  inOrder: readonly RunDrawing[],
  { findings }: Pick<Wool, 'findings'>,
): ThingShort[] {
  return thingsShort(own.toPack, own.input, {
    findings,
    needles: shelf.needles(),
    tools: shelf.tools(),
    kit: own.kit(),
    promised: thingsPromisedBefore(own, inOrder),
  });
}

/** What all runs from today on will take of each thing together; what is lent comes back, and is told where it is short. */
export function promisedAhead(store: Store, today: string): Promised[] {
  const wool = shelfOf(store);
  const byItem = new Map<string, Promised['runs'][number][]>();
  const add = (run: Run, itemId: string, amount: number) =>
    byItem.set(itemId, [
      ...(byItem.get(itemId) ?? []),
      { runId: run.id, name: run.name, date: run.date, amount },
    ]);
  const drawings = drawingAhead(store, today).map((run) => drawingOf(store, run, wool));
  for (const { run, taken } of drawings) {
    for (const [fibreId, massG] of takingsOf(store, run, wool)) add(run, fibreId, massG);
    for (const [itemId, { amount }] of taken) add(run, itemId, amount);
  }
  const short = shortOverRuns(
    drawings.map((own) => ({ date: own.date, things: shortOfDrawing(store, own, drawings, wool) })),
  );
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
