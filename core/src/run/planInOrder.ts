import type { RunPortions } from '../portions/index.ts';
import { inDrawingOrder } from './promisedBefore.ts';

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
export function planInOrder<R extends { readonly date: string }>(
  runs: readonly R[],
  planOf: (run: R, promisedG: ReadonlyMap<string, number>) => RunPortions,
): DrawnRun<R>[] {
  const promisedG = new Map<string, number>();
  return inDrawingOrder(runs).map((run) => {
    const plan = planOf(run, promisedG);
    for (const { fibreId, classG } of plan.fibres)
      promisedG.set(fibreId, (promisedG.get(fibreId) ?? 0) + classG);
    return { run, plan };
  });
}

/** Grams short of each fibre over several runs. */
export function shortOverall(drawn: readonly DrawnRun<unknown>[]): Map<string, number> {
  const shortG = new Map<string, number>();
  for (const fibre of drawn.flatMap(({ plan }) => plan.fibres)) {
    if (fibre.shortG) shortG.set(fibre.fibreId, (shortG.get(fibre.fibreId) ?? 0) + fibre.shortG);
  }
  return shortG;
}
