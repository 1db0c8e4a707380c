import {
  estimatePattern,
  type Fibre,
  planPortions,
  type PortionPlan,
  type Revision,
  type Run,
  type Takings,
} from '@lanakit/core';
import type { Store } from '../db/index.ts';

/** The shelf as the core looks fibres up. */
export const shelfOf = (store: Store): Map<string, Fibre> =>
  new Map(store.fibres.all().map((fibre) => [fibre.id, fibre]));

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
  shelf: ReadonlyMap<string, Fibre>,
  promised: ReadonlyMap<string, number>,
): PortionPlan {
  const estimate = estimatePattern(revisionOf(store, run).document, shelf);
  return planPortions(estimate, run, (fibreId) => ({
    onHandG: shelf.get(fibreId)?.onHandG ?? null,
    promisedG: promised.get(fibreId) ?? 0,
  }));
}

/** What a run takes of each fibre, whatever is on hand. */
export function takingsOf(store: Store, run: Run, shelf: ReadonlyMap<string, Fibre>): Takings {
  const plan = planRun(store, run, shelf, new Map());
  return new Map(plan.fibres.map((fibre) => [fibre.fibreId, fibre.classG]));
}
