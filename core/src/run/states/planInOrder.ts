import type { RunState } from '../document/runState.ts';
import type { RunPortions } from '../portions/planGroups.ts';
import { withdrawalsOfPlan } from '../portions/planPortions.ts';
import { inDrawingOrder } from './promisedBefore.ts';
import { isOffShelf } from './states.ts';

/** A run with its portions, as it finds the shelf after all before it have drawn. */
export interface DrawnRun<R> {
  readonly run: R;
  readonly plan: RunPortions;
}

/**
 * Plans runs one after another as they draw on the shelf: each finds what those before it have left.
 * @param runs oldest made first
 * @param planOf the portions of a run when these grams are already promised, by fibre id
 */
export function planInOrder<R extends { readonly date: string; readonly state?: RunState }>(
  runs: readonly R[],
  planOf: (run: R, promisedG: ReadonlyMap<string, number>) => RunPortions,
): DrawnRun<R>[] {
  const promisedG = new Map<string, number>();
  return inDrawingOrder(runs).map((run) => {
    const plan = planOf(run, promisedG);
    // What is packed has left the shelf already: it wants nothing of it, and takes nothing from the next.
    if (isOffShelf(run.state ?? 'planned')) return { run, plan: withoutShortage(plan) };
    for (const [fibreId, massG] of withdrawalsOfPlan(plan)) {
      promisedG.set(fibreId, (promisedG.get(fibreId) ?? 0) + massG);
    }
    return { run, plan };
  });
}

const withoutShortage = (plan: RunPortions): RunPortions => ({
  ...plan,
  fibres: plan.fibres.map((row) => ({ ...row, shortG: 0 })),
});

/** Grams short of each fibre over several runs. */
export function shortOverall(drawn: readonly DrawnRun<unknown>[]): Map<string, number> {
  const shortG = new Map<string, number>();
  for (const fibre of drawn.flatMap(({ plan }) => plan.fibres)) {
    if (fibre.shortG) shortG.set(fibre.fibreId, (shortG.get(fibre.fibreId) ?? 0) + fibre.shortG);
  }
  return shortG;
}
