import svgpath from 'svgpath';
import type { PointMm } from '../solid/solid.ts';

/** How far a straight piece may lie from the curve it stands for: a small leaf’s area then holds to 0.1 %. */
export const FLATTEN_MM = 0.01;

/** Deeper halving than any curve needs at that error; ends what would not end. */
const MOST_HALVINGS = 16;

/** Farther out no drawing reaches, and sums of what is would be no numbers. */
const FARTHEST = 1e7;

/** What a path becomes at most; more than that is given up at once, whatever is still to come. */
export interface Budget {
  readonly mostPoints: number;
}

export type Flattened =
  | { readonly ok: true; readonly runs: Run[] }
  | { readonly ok: false; readonly why: 'not-path' | 'too-many-points' };

class TooManyPoints extends Error {}

/** One closed or open run of a path, in the path's own units. */
export interface Run {
  readonly points: readonly PointMm[];
  readonly isClosed: boolean;
}

/**
 * An SVG path as straight runs. Curves are halved until they lie within `tolerance`. Takes time and room by the points it
 * makes, and makes no more than the budget.
 * @param tolerance in the path's own units, > 0
 */
export function flattenPath(path: string, tolerance: number, { mostPoints }: Budget): Flattened {
  const parsed = svgpath(path).abs().unshort().unarc();
  // The library keeps its refusal here and says so nowhere in its types.
  if ((parsed as unknown as { err: string }).err) return { ok: false, why: 'not-path' };
  const runs: { points: PointMm[]; isClosed: boolean }[] = [];
  let isNear = true;
  let left = mostPoints;
  try {
    parsed.iterate((segment, _index, x, y) => {
      const [command, ...n] = segment as [string, ...number[]];
      isNear &&= n.every((value) => Math.abs(value) <= FARTHEST);
      if (!isNear) return;
      const run = runs.at(-1);
      const before = run?.points.length ?? 0;
      if (command === 'M') runs.push({ points: [[n[0] ?? 0, n[1] ?? 0]], isClosed: false });
      else if (command === 'Z' && run) run.isClosed = true;
      else if (run) addSegment(run.points, command, n, { from: [x, y], tolerance, most: before + left });
      left -= command === 'M' ? 1 : (run?.points.length ?? 0) - before;
      if (left < 0) throw new TooManyPoints();
    });
  } catch (error) {
    if (error instanceof TooManyPoints) return { ok: false, why: 'too-many-points' };
    throw error;
  }
  if (!isNear) return { ok: false, why: 'not-path' };
  return { ok: true, runs: runs.map(withoutRepeats).filter(({ points }) => points.length > 1) };
}

interface SegmentStart {
  readonly from: PointMm;
  readonly tolerance: number;
  /** As many points as the run may have when the segment is done. */
  readonly most: number;
}

function addSegment(points: PointMm[], command: string, n: number[], start: SegmentStart) {
  const at = (i: number): PointMm => [n[i] ?? 0, n[i + 1] ?? 0];
  const { from } = start;
  if (command === 'L') points.push(at(0));
  if (command === 'H') points.push([n[0] ?? 0, from[1]]);
  if (command === 'V') points.push([from[0], n[0] ?? 0]);
  if (command === 'C') addCubic(points, [from, at(0), at(2), at(4)], start, MOST_HALVINGS);
  if (command === 'Q') addCubic(points, raised(from, at(0), at(2)), start, MOST_HALVINGS);
}

type Cubic = readonly [PointMm, PointMm, PointMm, PointMm];

/** A quadratic curve as the cubic it is. */
const raised = (from: PointMm, control: PointMm, to: PointMm): Cubic => [
  from,
  between(from, control, 2 / 3),
  between(to, control, 2 / 3),
  to,
];

const between = (a: PointMm, b: PointMm, t: number): PointMm => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];

/** De Casteljau: halves a curve until both its handles lie by its chord. */
function addCubic(points: PointMm[], [a, b, c, d]: Cubic, start: SegmentStart, halvingsLeft: number): void {
  if (points.length > start.most) throw new TooManyPoints();
  const { tolerance } = start;
  if (halvingsLeft === 0 || (offChord(b, a, d) <= tolerance && offChord(c, a, d) <= tolerance)) {
    points.push(d);
    return;
  }
  const [ab, bc, cd] = [between(a, b, 0.5), between(b, c, 0.5), between(c, d, 0.5)];
  const [abc, bcd] = [between(ab, bc, 0.5), between(bc, cd, 0.5)];
  const middle = between(abc, bcd, 0.5);
  addCubic(points, [a, ab, abc, middle], start, halvingsLeft - 1);
  addCubic(points, [middle, bcd, cd, d], start, halvingsLeft - 1);
}

/** Distance of a point from a piece of line, ends included. */
function offChord([x, y]: PointMm, [x0, y0]: PointMm, [x1, y1]: PointMm): number {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - x0) * dx + (y - y0) * dy) / length2));
  return Math.hypot(x - x0 - t * dx, y - y0 - t * dy);
}

/** A run whose last point is its first is closed, whether or not it says so. */
function withoutRepeats({ points, isClosed }: Run): Run {
  const kept = points.filter((point, i) => i === 0 || !same(point, points[i - 1]));
  const [first, last] = [kept[0], kept.at(-1)];
  if (kept.length > 2 && same(first, last)) return { points: kept.slice(0, -1), isClosed: true };
  return { points: kept, isClosed };
}

const same = (a: PointMm | undefined, b: PointMm | undefined): boolean =>
  a !== undefined && b !== undefined && Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-9;
