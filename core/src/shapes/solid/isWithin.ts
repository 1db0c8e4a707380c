import type { PointMm } from './solid.ts';

/** Whether a point lies within contours, even-odd. */
export function isWithin(px: number, py: number, contours: readonly (readonly PointMm[])[]): boolean {
  let isIn = false;
  for (const contour of contours) {
    let [x0, y0] = contour.at(-1) ?? [0, 0];
    for (const [x, y] of contour) {
      if (y > py !== y0 > py && px < ((x0 - x) * (py - y)) / (y0 - y) + x) isIn = !isIn;
      [x0, y0] = [x, y];
    }
  }
  return isIn;
}
