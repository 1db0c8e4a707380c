/** A point of a plane, mm. */
export type Point2 = readonly [number, number];

/** The convex hull of points, counter-clockwise, no three on a line. Source: Andrew’s monotone chain (1979). */
export function hullOf(points: readonly Point2[]): Point2[] {
  if (points.length <= MANY) return hullOfFew(points);
  return hullOfMany(
    Float64Array.from(points, ([x]) => x),
    Float64Array.from(points, ([, y]) => y),
    points.length,
  );
}

/** From so many points on it pays to leave out first what lies well within. */
const MANY = 200;
const EIGHT_WAYS = [
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
] as const;

/**
 * The same of points kept as numbers side by side. What lies within the eight that reach farthest is left out first.
 * Source: Akl and Toussaint.
 */
export function hullOfMany(xs: Float64Array, ys: Float64Array, count: number): Point2[] {
  const corners = hullOfFew(EIGHT_WAYS.map((way) => farthest(xs, ys, count, way)));
  // Corners come back by themselves: they lie on their own edges, and so not within.
  const outer: Point2[] = [];
  for (let at = 0; at < count; at++) {
    const [x, y] = [xs[at] ?? 0, ys[at] ?? 0];
    if (!isWithinAll(corners, x, y)) outer.push([x, y]);
  }
  return hullOfFew(outer);
}

function farthest(
  xs: Float64Array,
  ys: Float64Array,
  count: number,
  [dx, dy]: readonly [number, number],
): Point2 {
  let [best, bestMm] = [0, -Infinity];
  for (let at = 0; at < count; at++) {
    const outMm = (xs[at] ?? 0) * dx + (ys[at] ?? 0) * dy;
    if (outMm > bestMm) [best, bestMm] = [at, outMm];
  }
  return [xs[best] ?? 0, ys[best] ?? 0];
}

function isWithinAll(corners: readonly Point2[], x: number, y: number): boolean {
  let before = corners[corners.length - 1];
  for (const corner of corners) {
    if (before) {
      const turned = (corner[0] - before[0]) * (y - before[1]) - (corner[1] - before[1]) * (x - before[0]);
      if (turned <= 0) return false;
    }
    before = corner;
  }
  return true;
}

function hullOfFew(points: readonly Point2[]): Point2[] {
  const sorted = points.toSorted(([ax, ay], [bx, by]) => ax - bx || ay - by);
  if (sorted.length < 3) return sorted;
  const lower = chain(sorted);
  const upper = chain(sorted.toReversed());
  return [...lower.slice(0, -1), ...upper.slice(0, -1)];
}

function chain(points: readonly Point2[]): Point2[] {
  const kept: Point2[] = [];
  for (const point of points) {
    for (;;) {
      const [before, last] = [kept[kept.length - 2], kept[kept.length - 1]];
      if (!before || !last || turn(before, last, point) > 0) break;
      kept.pop();
    }
    kept.push(point);
  }
  return kept;
}

const turn = (a: Point2, b: Point2, c: Point2): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** One edge of a hull as a point within sees it. */
export interface EdgeMargin {
  /** From the point out to the edge, mm; under nought outside. */
  readonly marginMm: number;
  /** Square to the edge, outward. */
  readonly outward: Point2;
}

/** Distances from a point to every edge of a hull with some area, counter-clockwise. */
export function edgeMargins(hull: readonly Point2[], [px, py]: Point2): EdgeMargin[] {
  return hull.flatMap(([ax, ay], at) => {
    const [bx, by] = hull[(at + 1) % hull.length] ?? [ax, ay];
    const size = Math.hypot(bx - ax, by - ay);
    if (size < 1e-9) return [];
    const outward: Point2 = [(by - ay) / size, -(bx - ax) / size];
    return [{ marginMm: (ax - px) * outward[0] + (ay - py) * outward[1], outward }];
  });
}
