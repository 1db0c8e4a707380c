import type { RelaxedSolver } from '../solving/index.ts';
import { type LengthTask, roomMm } from './lengthTask.ts';

/** A way to cut one length of stock: how many of each size. */
export interface Way {
  readonly stockAt: number;
  readonly counts: readonly number[];
}

/** Each length once, longest first, with how many of it are wanted. */
export interface Sizes {
  readonly lengthsMm: readonly number[];
  readonly counts: readonly number[];
}

const HUNDREDTHS = 100;
const EPSILON = 1e-6;

export function sizesOf({ pieces }: Pick<LengthTask, 'pieces'>): Sizes {
  const counts = new Map<number, number>();
  for (const { lengthMm, count } of pieces) {
    const length = Math.ceil(lengthMm * HUNDREDTHS - EPSILON) / HUNDREDTHS;
    counts.set(length, (counts.get(length) ?? 0) + count);
  }
  const sorted = [...counts].toSorted(([a], [b]) => b - a);
  return { lengthsMm: sorted.map(([length]) => length), counts: sorted.map(([, count]) => count) };
}

/** Every way to cut every stock, also those that leave room; null: there are more than so many. */
export function everyWay(task: LengthTask, { lengthsMm, counts }: Sizes, most: number): Way[] | null {
  const ways: Way[] = [];
  for (const [stockAt, stock] of task.stocks.entries()) {
    const way = lengthsMm.map(() => 0);
    const fill = (at: number, room: number): boolean => {
      if (ways.length > most) return false;
      if (at === lengthsMm.length) {
        if (way.some((count) => count > 0)) ways.push({ stockAt, counts: [...way] });
        return true;
      }
      const size = (lengthsMm[at] ?? 0) + task.kerfMm;
      const fits = Math.min(counts[at] ?? 0, Math.floor((room + EPSILON) / size));
      for (let count = fits; count >= 0; count--) {
        way[at] = count;
        if (!fill(at + 1, room - count * size)) return false;
      }
      way[at] = 0;
      return true;
    };
    if (!fill(0, roomMm(stock.lengthMm, task))) return null;
  }
  return ways;
}

/** Longest first into the shortest stock that has room: so that there always is some way. */
export function firstWays(task: LengthTask, { lengthsMm, counts }: Sizes): Way[] {
  return task.stocks.flatMap((stock, stockAt) => {
    const ways: Way[] = [];
    const left = [...counts];
    // As often as it makes another way: what is left of the last ones may fill up the next.
    for (let round = 0; round < lengthsMm.length + 1; round++) {
      let room = roomMm(stock.lengthMm, task);
      const way = lengthsMm.map((length, at) => {
        const size = length + task.kerfMm;
        const count = Math.min(left[at] ?? 0, Math.floor((room + EPSILON) / size));
        room -= count * size;
        return count;
      });
      if (way.every((count) => count === 0)) break;
      ways.push({ stockAt, counts: way });
      way.forEach((count, at) => {
        const times = Math.max(1, Math.floor((left[at] ?? 0) / Math.max(1, count)));
        left[at] = Math.max(0, (left[at] ?? 0) - count * times);
      });
    }
    // And each size by itself.
    const alone = lengthsMm.flatMap((length, at): Way[] => {
      const fits = Math.floor((roomMm(stock.lengthMm, task) + EPSILON) / (length + task.kerfMm));
      const count = Math.min(counts[at] ?? 0, fits);
      return count > 0 ? [{ stockAt, counts: lengthsMm.map((_, index) => (index === at ? count : 0)) }] : [];
    });
    return [...ways, ...alone];
  });
}

const MOST_ROUNDS = 80;

/** Those that would lessen what has to be bought, found one after another (column generation, Gilmore and Gomory 1961). */
export function usefulWays(
  task: LengthTask,
  sizes: Sizes,
  begun: readonly Way[],
  relaxed: (ways: readonly Way[]) => ReturnType<RelaxedSolver>,
): { readonly ways: readonly Way[]; readonly atLeastBought: number | null } {
  const ways = [...begun];
  const known = new Set(ways.map(keyOf));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const solution = relaxed(ways);
    if (!solution) return { ways, atLeastBought: null };
    const worths = sizes.lengthsMm.map((_, at) => solution.rowPrices[at] ?? 0);
    const fresh = task.stocks.flatMap((stock, stockAt): Way[] => {
      const price =
        (stock.count === null ? 1 : 0) - (solution.rowPrices[sizes.lengthsMm.length + stockAt] ?? 0);
      const { counts, worth } = fullest(task, sizes, worths, roomMm(stock.lengthMm, task));
      const way = { stockAt, counts };
      return worth > price + EPSILON && !known.has(keyOf(way)) ? [way] : [];
    });
    if (fresh.length === 0) return { ways, atLeastBought: solution.cost };
    for (const way of fresh) known.add(keyOf(way));
    ways.push(...fresh);
  }
  return { ways, atLeastBought: null };
}

const keyOf = ({ stockAt, counts }: Way): string => `${stockAt} ${counts.join(',')}`;

const MOST_NODES = 200_000;

/** The way that is worth most: a knapsack of bounded numbers, by branch and bound on worth for length. */
function fullest(
  { kerfMm }: LengthTask,
  { lengthsMm, counts }: Sizes,
  worths: readonly number[],
  room: number,
): { readonly counts: readonly number[]; readonly worth: number } {
  const order = lengthsMm
    .map((length, at) => ({ at, size: length + kerfMm, worth: worths[at] ?? 0 }))
    .filter(({ worth }) => worth > EPSILON)
    .toSorted((a, b) => b.worth / b.size - a.worth / a.size);
  const way = lengthsMm.map(() => 0);
  let best = { counts: [...way], worth: 0 };
  let nodes = 0;
  const fill = (index: number, left: number, worth: number): void => {
    nodes += 1;
    const item = order[index];
    if (worth > best.worth + EPSILON) best = { counts: [...way], worth };
    if (!item || nodes > MOST_NODES || worth + (left * item.worth) / item.size <= best.worth + EPSILON)
      return;
    const fits = Math.min(counts[item.at] ?? 0, Math.floor((left + EPSILON) / item.size));
    for (let count = fits; count >= 0; count--) {
      way[item.at] = count;
      fill(index + 1, left - count * item.size, worth + count * item.worth);
    }
    way[item.at] = 0;
  };
  fill(0, room, 0);
  return best;
}
