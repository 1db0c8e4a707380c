import { keepFew } from '../../base/index.ts';
import type { Contours } from '../solid/plate.ts';
import type { PointMm } from '../solid/solid.ts';
import { FLATTEN_MM, flattenPath } from './flattenPath.ts';

/** As many outlines as a figure has; older ones are worked out again. */
const MOST_KEPT = 64;

const contoursAt = keepFew(MOST_KEPT, (key) => {
  const [heightMm = '', ...path] = key.split(' ');
  return contoursOf(path.join(' '), Number(heightMm));
});

/**
 * The contours of a stored outline at its real size, from 0, 0. An outline that is no path has none.
 * @param heightMm of the whole outline
 */
export const outlineContours = (path: string, heightMm: number): Contours =>
  contoursAt(`${heightMm} ${path}`);

function contoursOf(path: string, heightMm: number): Contours {
  const rough = boxOf(runsOf(path, Infinity));
  if (!(rough.height > 0)) return [];
  // Coarse first, for the scale; then again as fine as that scale asks.
  const fine = runsOf(path, FLATTEN_MM / (heightMm / rough.height));
  const box = boxOf(fine);
  const k = heightMm / box.height;
  return fine.map((points) => points.map(([x, y]): PointMm => [(x - box.left) * k, (y - box.top) * k]));
}

/** Ten times what is stored: curves that would become more are drawn coarser, each time by half the points. */
const MOST_POINTS = 20_000;
const COARSER = 4;

function runsOf(path: string, tolerance: number): PointMm[][] {
  const flat = flattenPath(path, tolerance, { mostPoints: MOST_POINTS });
  if (flat.ok) return flat.runs.map(({ points }) => [...points]);
  const isAtItsCoarsest = flat.why === 'not-path' || tolerance === Infinity;
  return isAtItsCoarsest ? [] : runsOf(path, tolerance > COARSEST ? Infinity : tolerance * COARSER);
}

/** Wider than any drawing is. */
const COARSEST = 1e7;

function boxOf(runs: readonly (readonly PointMm[])[]) {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of runs.flat()) {
    [left, right] = [Math.min(left, x), Math.max(right, x)];
    [top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
  }
  return { left, top, width: right - left, height: bottom - top };
}
