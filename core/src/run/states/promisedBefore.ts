import type { RunState } from '../document/runState.ts';
import type { Run } from '../document/run.ts';
import { isOffShelf } from './states.ts';

/** What a run takes of each fibre, grams by fibre id. */
export type Withdrawals = ReadonlyMap<string, number>;

/** A run so far as the shelf is concerned. */
type Drawing = Pick<Run, 'date'> & { readonly state?: RunState };

/** Wool that is bought for a run and not packed yet lies on the shelf for it. */
const isHeld = ({ state = 'planned' }: Drawing): boolean => state === 'bought' || state === 'weighed';

/**
 * The order in which runs draw on the shelf: those that have been bought for first, then by date, then by when they were
 * made (the order given).
 */
export function inDrawingOrder<T extends Drawing>(runs: readonly T[]): T[] {
  return [...runs].sort(
    (a, b) => Number(isHeld(b)) - Number(isHeld(a)) || (a.date < b.date ? -1 : a.date > b.date ? 1 : 0),
  );
}

/**
 * Grams of each fibre that the runs ahead of `runId` will take. Runs before `today` have been: what they took
 * is gone from the shelf and is no longer promised; so is what is packed.
 * @param runs with what each takes, oldest made first
 */
export function promisedBefore(
  runId: string,
  runs: readonly (Drawing & { readonly id: string; readonly withdrawals: Withdrawals })[],
  today: string,
): Map<string, number> {
  const ahead = inDrawingOrder(
    runs.filter((run) => run.id === runId || (run.date >= today && !isOffShelf(run.state ?? 'planned'))),
  );
  const place = ahead.findIndex((run) => run.id === runId);
  const promised = new Map<string, number>();
  for (const { withdrawals } of ahead.slice(0, Math.max(0, place))) {
    for (const [fibreId, massG] of withdrawals) promised.set(fibreId, (promised.get(fibreId) ?? 0) + massG);
  }
  return promised;
}
