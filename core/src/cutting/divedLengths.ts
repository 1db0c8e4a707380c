import type { Relaxed } from '../solving/index.ts';
import type { LengthTask } from './lengthTask.ts';
import { firstWays, type Sizes, usefulWays, type Way } from './lengthWays.ts';

/** So often each way is cut. */
export interface CutOften {
  readonly way: Way;
  readonly times: number;
}

const EPSILON = 1e-6;

/**
 * A good plan where there are too many ways to look at them all: what the plan without whole numbers cuts whole times is cut so
 * often; where that is none, its greatest part is cut once; and then again with what is left (diving).
 * @param begun ways that are useful for all of it
 * @param relaxed the plan without whole numbers of what is left, over these ways
 */
export function divedLengths(
  task: LengthTask,
  sizes: Sizes,
  begun: readonly Way[],
  relaxed: (task: LengthTask, sizes: Sizes, ways: readonly Way[]) => Relaxed | null,
): CutOften[] {
  const cut: CutOften[] = [];
  let left = sizes;
  let stocks = task.stocks;
  let ways = begun;
  while (left.counts.some((count) => count > 0)) {
    const now = { ...task, stocks };
    // Those known already do for most of what is left: ways for the last few are looked for.
    const isWithin = ({ counts }: Way) => counts.every((count, at) => count <= (left.counts[at] ?? 0));
    const found =
      ways === begun
        ? { ways: begun }
        : usefulWays(now, left, [...firstWays(now, left), ...ways.filter(isWithin)], (known) =>
            relaxed(now, left, known),
          );
    ways = [...found.ways];
    const values = relaxed(now, left, found.ways)?.values ?? [];
    const whole = found.ways.flatMap((way, at): CutOften[] => {
      const times = Math.floor((values[at] ?? 0) + EPSILON);
      return times > 0 ? [{ way, times }] : [];
    });
    const chosen = whole.length > 0 ? whole : greatest(found.ways, values);
    if (chosen.length === 0) break;
    cut.push(...chosen);
    for (const { way, times } of chosen) {
      left = {
        ...left,
        counts: left.counts.map((count, at) => Math.max(0, count - (way.counts[at] ?? 0) * times)),
      };
      stocks = stocks.map((stock, at) =>
        at === way.stockAt && stock.count !== null
          ? { ...stock, count: Math.max(0, stock.count - times) }
          : stock,
      );
    }
  }
  return cut;
}

function greatest(ways: readonly Way[], values: readonly number[]): CutOften[] {
  let best = -1;
  ways.forEach((_, at) => {
    if ((values[at] ?? 0) > (values[best] ?? EPSILON)) best = at;
  });
  const way = ways[best];
  return way ? [{ way, times: 1 }] : [];
}
