import type { Run } from './run.ts';

/** What a run takes of each fibre, grams by fibre id. */
export type Takings = ReadonlyMap<string, number>;

/** The order in which runs draw on the shelf: by date, then by when they were made (the order given). */
export function inDrawingOrder<T extends Pick<Run, 'date'>>(runs: readonly T[]): T[] {
  return [...runs].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
}

/**
 * Grams of each fibre that the runs ahead of `runId` will take. Runs before `today` have been: what they took
 * is gone from the shelf and is no longer promised.
 * @param runs with what each takes, oldest made first
 */
export function promisedBefore(
  runId: string,
  runs: readonly { readonly id: string; readonly date: string; readonly takings: Takings }[],
  today: string,
): Map<string, number> {
  const ahead = inDrawingOrder(runs.filter((run) => run.date >= today || run.id === runId));
  const own = ahead.findIndex((run) => run.id === runId);
  const promised = new Map<string, number>();
  for (const { takings } of ahead.slice(0, Math.max(0, own))) {
    for (const [fibreId, massG] of takings) promised.set(fibreId, (promised.get(fibreId) ?? 0) + massG);
  }
  return promised;
}
