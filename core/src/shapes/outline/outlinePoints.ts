import type { PointMm } from '../solid/solid.ts';

/** More than this no hand cuts or felts; an outline with more is simplified when it is read, and never stored. */
export const MOST_OUTLINE_POINTS = 2000;

/** From the topmost point to the lowest; nought without points. */
export function heightOfRuns(runs: readonly (readonly PointMm[])[]): number {
  let [top, bottom] = [Infinity, -Infinity];
  for (const run of runs) for (const [, y] of run) [top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
  return Math.max(0, bottom - top);
}
