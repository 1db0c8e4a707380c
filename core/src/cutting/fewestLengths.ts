import { keepFew } from '../base/index.ts';

/** Alike pieces to be cut. */
export interface LengthWanted {
  readonly lengthMm: number;
  readonly count: number;
}

/** How many sticks or reels give all of the pieces; none of them is joined from two. */
interface Fewest {
  readonly count: number;
  /** No fewer will do. Where it is not proven, `atLeast` may. */
  readonly isProven: boolean;
  readonly atLeast: number;
}

export type FewestResult =
  | ({ readonly kind: 'fewest' } & Fewest)
  /** A piece is longer than what it is cut from. */
  | { readonly kind: 'too-long'; readonly lengthMm: number; readonly stockMm: number };

/** Lengths are compared to a hundredth of a millimetre: far below any scissors. */
const SCALE = 100;
/** Looked at before it is called good enough, with its bound said. */
const MOST_NODES = 60_000;

/**
 * The fewest equal lengths of stock that all pieces can be cut from: longest first, then a search that completes one stick
 * after another, ended by a bound (Martello and Toth, Knapsack Problems, 1990, section 8).
 * @param remnantsMm what is there of other lengths: used first, not counted
 */
export function fewestLengths(
  wanted: readonly LengthWanted[],
  stockMm: number,
  remnantsMm: readonly number[] = [],
): FewestResult {
  const capacity = Math.floor(stockMm * SCALE + 1e-6);
  const sizes = mergedSizes(wanted);
  const tooLong = sizes.find(({ size }) => size > capacity && remnantsMm.every((mm) => size > mm * SCALE));
  if (tooLong) return { kind: 'too-long', lengthMm: tooLong.size / SCALE, stockMm };
  const left = withoutRemnants(sizes, remnantsMm);
  if (left.length === 0) return { kind: 'fewest', count: 0, isProven: true, atLeast: 0 };
  const pieces = left.flatMap(({ size, count }) => Array.from({ length: count }, () => size));
  const atLeast = lowerBound(pieces, capacity);
  const most = longestFirst(pieces, capacity);
  if (most === atLeast) return { kind: 'fewest', count: most, isProven: true, atLeast };
  return searched(JSON.stringify([left, capacity, most, atLeast]));
}

interface Size {
  readonly size: number;
  count: number;
}

/** Each size once, longest first. */
function mergedSizes(wanted: readonly LengthWanted[]): Size[] {
  const counts = new Map<number, number>();
  for (const { lengthMm, count } of wanted) {
    const size = Math.ceil(lengthMm * SCALE - 1e-6);
    if (size > 0 && count > 0) counts.set(size, (counts.get(size) ?? 0) + count);
  }
  return [...counts].map(([size, count]) => ({ size, count })).sort((a, b) => b.size - a.size);
}

/** What is left to cut once remnants are used up, each filled longest first. */
function withoutRemnants(sizes: readonly Size[], remnantsMm: readonly number[]): Size[] {
  const left = sizes.map((size) => ({ ...size }));
  for (const mm of [...remnantsMm].sort((a, b) => b - a)) {
    let room = Math.floor(mm * SCALE + 1e-6);
    for (const space of left) {
      const fits = Math.min(space.count, Math.floor(room / space.size));
      space.count -= fits;
      room -= fits * space.size;
    }
  }
  return left.filter(({ count }) => count > 0);
}

/** First-fit decreasing. */
function longestFirst(pieces: readonly number[], capacity: number): number {
  const rooms: number[] = [];
  for (const size of pieces) {
    const at = rooms.findIndex((room) => room >= size);
    if (at < 0) rooms.push(capacity - size);
    else rooms[at] = (rooms[at] ?? 0) - size;
  }
  return rooms.length;
}

/** Martello and Toth's L2: pieces over half, those that no large one has room for, and the rest by material. */
function lowerBound(pieces: readonly number[], capacity: number): number {
  const cuts = [...new Set([0, ...pieces.filter((size) => size <= capacity / 2)])];
  return Math.max(
    ...cuts.map((k) => {
      const large = pieces.filter((size) => size > capacity - k).length;
      const middle = pieces.filter((size) => size <= capacity - k && size > capacity / 2);
      const small = pieces.filter((size) => size <= capacity / 2 && size >= k && size > 0);
      const room = middle.length * capacity - middle.reduce((sum, size) => sum + size, 0);
      const rest = small.reduce((sum, size) => sum + size, 0) - room;
      return large + middle.length + Math.max(0, Math.ceil(rest / capacity - 1e-12));
    }),
  );
}

/** The same cut is asked for by every run that has the same class, and again whenever another is changed. */
const MOST_KEPT = 500;

const searched = keepFew(MOST_KEPT, (key) => search(...(JSON.parse(key) as Parameters<typeof search>)));

function search(sizes: readonly Size[], capacity: number, most: number, atLeast: number): FewestResult {
  let best = most;
  let nodes = 0;
  const counts = sizes.map(({ count }) => count);
  const seen = new Map<string, number>();
  const complete = (used: number): void => {
    const first = counts.findIndex((count) => count > 0);
    if (first < 0) {
      best = Math.min(best, used);
      return;
    }
    nodes += 1;
    if (nodes > MOST_NODES || best === atLeast) return;
    const left = counts.reduce((sum, count, at) => sum + count * (sizes[at]?.size ?? 0), 0);
    if (used + Math.ceil(left / capacity - 1e-12) >= best) return;
    const key = counts.join(',');
    if ((seen.get(key) ?? Infinity) <= used) return;
    seen.set(key, used);
    for (const pattern of maximalPatterns(sizes, counts, capacity, first)) {
      // As often as it can be cut at once: the search for the next stick goes on from there.
      const times = Math.max(
        1,
        Math.min(...pattern.flatMap((n, at) => (n > 0 ? [Math.floor((counts[at] ?? 0) / n)] : []))),
      );
      for (const often of times > 1 ? [times, 1] : [1]) {
        pattern.forEach((n, at) => (counts[at] = (counts[at] ?? 0) - n * often));
        complete(used + often);
        pattern.forEach((n, at) => (counts[at] = (counts[at] ?? 0) + n * often));
      }
    }
  };
  complete(0);
  const isProven = best === atLeast || nodes <= MOST_NODES;
  return { kind: 'fewest', count: best, isProven, atLeast: isProven ? best : atLeast };
}

/** Ways to fill one stick that begin with the longest piece left and leave no room for another; fullest first. */
function maximalPatterns(
  sizes: readonly Size[],
  counts: readonly number[],
  capacity: number,
  first: number,
): number[][] {
  const found: { pattern: number[]; room: number }[] = [];
  const fill = (at: number, room: number, pattern: number[]): void => {
    if (found.length > 400) return;
    if (at === sizes.length) {
      const isFull = sizes.every(
        ({ size }, index) => (counts[index] ?? 0) - (pattern[index] ?? 0) === 0 || size > room,
      );
      if (isFull) found.push({ pattern: [...pattern], room });
      return;
    }
    const size = sizes[at]?.size ?? 0;
    const most = Math.min(counts[at] ?? 0, Math.floor(room / size));
    for (let n = most; n >= (at === first ? 1 : 0); n--) {
      pattern[at] = n;
      fill(at + 1, room - n * size, pattern);
    }
    pattern[at] = 0;
  };
  fill(
    0,
    capacity,
    sizes.map(() => 0),
  );
  return found.sort((a, b) => a.room - b.room).map(({ pattern }) => pattern);
}
