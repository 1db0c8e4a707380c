import {
  portionsOfRun,
  toPackOf,
  inDrawingOrder,
  type Promised,
  type Revision,
  type Run,
  type RunPortions,
  type Takings,
  takingsOfPlan,
  type Wool,
  woolOnShelf,
} from '@lanakit/core';
import type { Store } from '../db/index.ts';

/** The shelf as the engine looks wool up. */
export function shelfOf({ shelf, stock }: Store): Wool {
  const fibres = shelf.fibres();
  return {
    fibres: woolOnShelf(fibres, shelf.blends(fibres)),
    findings: new Map(shelf.findings().map((finding) => [finding.id, finding])),
    handMeasures: stock.handMeasures(),
  };
}

/** A run's revision; a run cannot exist without one (foreign key). */
export function revisionOf(store: Store, run: Pick<Run, 'revisionId'>): Revision {
  const revision = store.patterns.findRevision(run.revisionId);
  if (!revision) throw new Error(`run without its revision ${run.revisionId}`);
  return revision;
}

/** The portions of a run from the shelf as it is, with what earlier runs take. */
export function planRun(
  store: Store,
  run: Run,
  wool: Wool,
  promised: ReadonlyMap<string, number>,
): RunPortions {
  return portionsOfRun(toPackOf(revisionOf(store, run).document, run, wool), run, (fibreId) => ({
    onHandG: wool.fibres.get(fibreId)?.onHandG ?? null,
    promisedG: promised.get(fibreId) ?? 0,
  }));
}

/** What a run takes of each fibre, whatever is on hand. */
export function takingsOf(store: Store, run: Run, wool: Wool): Takings {
  return takingsOfPlan(planRun(store, run, wool, new Map()));
}

/** What all runs from today on will take of each fibre together. */
export function promisedAhead(store: Store, today: string): Promised[] {
  const wool = shelfOf(store);
  const byFibre = new Map<string, Promised['runs'][number][]>();
  for (const run of inDrawingOrder(store.runs.ahead(today))) {
    for (const [fibreId, massG] of takingsOf(store, run, wool)) {
      const runs = byFibre.get(fibreId) ?? [];
      runs.push({ runId: run.id, name: run.name, date: run.date, massG });
      byFibre.set(fibreId, runs);
    }
  }
  return [...byFibre].map(([fibreId, runs]) => ({
    fibreId,
    massG: runs.reduce((sum, { massG }) => sum + massG, 0),
    runs,
  }));
}
