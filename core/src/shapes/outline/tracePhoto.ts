import { contours } from 'd3-contour';
import simplify from 'simplify-js';
import type { PointMm } from '../solid/solid.ts';

/** A photograph as it is traced: brightness row by row, 0 black to 1 white. */
export interface GreyPhoto {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly brightness: ArrayLike<number>;
}

/** The outer edge of what is darkest in it, in its own points; or why there is none. */
export type TracedPhoto =
  | { readonly ok: true; readonly points: readonly PointMm[]; readonly heightPx: number }
  | { readonly ok: false; readonly why: 'nothing-dark' | 'leaves-the-picture' };

const LEVELS = 256;

/**
 * The brightness that parts ink from paper: where the two sides differ most between them (Otsu, A Threshold Selection Method from
 * Gray-Level Histograms, 1979).
 */
export function inkThreshold({ brightness }: Pick<GreyPhoto, 'brightness'>): number {
  const counts = Array.from({ length: LEVELS }, () => 0);
  for (let at = 0; at < brightness.length; at++) {
    const level = Math.min(LEVELS - 1, Math.max(0, Math.round((brightness[at] ?? 0) * (LEVELS - 1))));
    counts[level] = (counts[level] ?? 0) + 1;
  }
  const total = brightness.length;
  const sum = counts.reduce((all, count, level) => all + count * level, 0);
  let [dark, darkSum, best, first, last] = [0, 0, -1, 0, 0];
  counts.forEach((count, level) => {
    dark += count;
    darkSum += count * level;
    if (dark === 0 || dark === total) return;
    const apart = dark * (total - dark) * (darkSum / dark - (sum - darkSum) / (total - dark)) ** 2;
    if (apart > best * (1 + 1e-12)) [best, first, last] = [apart, level, level];
    else if (apart >= best * (1 - 1e-12)) last = level;
  });
  // Between ink and paper there may be no level at all: its middle is safest.
  return ((first + last) / 2 + 0.5) / (LEVELS - 1);
}

/** Of all specks and letters the largest shape is meant. @param darkerThan brightness, of 0 to 1 */
export function tracePhoto({ widthPx, heightPx, brightness }: GreyPhoto, darkerThan: number): TracedPhoto {
  const darkness = Array.from({ length: widthPx * heightPx }, (_each, at) => 1 - (brightness[at] ?? 1));
  const [traced] = contours().size([widthPx, heightPx]).smooth(true).thresholds([1 - darkerThan])(darkness);
  const rings = (traced?.coordinates ?? []).flatMap(([outer]) => (outer ? [outer.map(([x = 0, y = 0]): PointMm => [x, y])] : []));
  const large = rings
    .map((points) => ({ points, areaPx2: areaOf(points) }))
    .filter(({ areaPx2 }) => areaPx2 > widthPx * heightPx * LEAST_FRACTION)
    .toSorted((a, b) => b.areaPx2 - a.areaPx2);
  if (large.length === 0) return { ok: false, why: 'nothing-dark' };
  const inside = large.find(({ points }) => !points.some(([x, y]) => x < 1 || y < 1 || x > widthPx - 1 || y > heightPx - 1));
  if (!inside) return { ok: false, why: 'leaves-the-picture' };
  const points = cleaned(inside.points);
  const ys = points.map(([, y]) => y);
  return { ok: true, points, heightPx: Math.max(...ys) - Math.min(...ys) };
} // prettier-ignore

/** Smaller than this part of the picture nobody draws a piece. */
const LEAST_FRACTION = 0.002;

/** Steps of the grid are taken out: a hand is no finer. */
const TOLERANCE_PX = 0.6;

function cleaned(points: readonly PointMm[]): PointMm[] {
  // Closed, its end is its beginning.
  const open = points.slice(0, -1).map(([x, y]) => ({ x, y }));
  return simplify(open, TOLERANCE_PX, true).map(({ x, y }): PointMm => [x, y]);
}

const areaOf = (points: readonly PointMm[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nextX, nextY] = points[(at + 1) % points.length] ?? [x, y];
      return sum + x * nextY - nextX * y;
    }, 0) / 2,
  );

/**
 * What was traced as a drawing that `readOutline` reads like any other.
 * @param heightMm one real length: from its lowest to its highest point; null: nobody has measured it
 */
export function drawingOfTrace(
  { points, heightPx }: Extract<TracedPhoto, { ok: true }>,
  heightMm: number | null,
): string {
  const path = `M${points.map(([x, y]) => `${fine(x)} ${fine(y)}`).join('L')}Z`;
  if (heightMm === null) return path;
  const mmPerPx = heightMm / heightPx;
  const width = Math.max(...points.map(([x]) => x)) + 1;
  const height = Math.max(...points.map(([, y]) => y)) + 1;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width * mmPerPx}mm" height="${height * mmPerPx}mm" viewBox="0 0 ${width} ${height}"><path d="${path}"/></svg>`;
}

const fine = (px: number): number => Math.round(px * 100) / 100;
