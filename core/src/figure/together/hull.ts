/** A point of a plane, mm. */
export type Point2 = readonly [number, number];

/** The convex hull of points, counter-clockwise, no three on a line. Source: Andrew’s monotone chain (1979). */
export function hullOf(points: readonly Point2[]): Point2[] {
  return hullOfFew(points.length > MANY ? outerOf(points) : points);
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

/** Those that do not lie within the eight that reach farthest. Source: Akl and Toussaint. */
function outerOf(points: readonly Point2[]): Point2[] {
  const far = EIGHT_WAYS.map(([dx, dy]) =>
    points.reduce((best, point) =>
      point[0] * dx + point[1] * dy > best[0] * dx + best[1] * dy ? point : best,
    ),
  );
  const corners = hullOfFew(far);
  return points.filter((point) =>
    corners.some((corner, at) => turn(corner, corners[(at + 1) % corners.length] ?? corner, point) <= 0),
  );
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
