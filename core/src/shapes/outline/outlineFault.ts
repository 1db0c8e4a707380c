import { keepFew } from '../../base/index.ts';
import { firstCrossing } from './crossing.ts';
import { flattenPath, type Run } from './flattenPath.ts';
import { heightOfRuns, MOST_OUTLINE_POINTS } from './outlinePoints.ts';

/** Why an outline encloses nothing that can be cut or felted. */
export type OutlineFault = 'not-read' | 'open' | 'crosses' | 'too-fine';

/** Outlines looked at lately: every check of a draft asks again. */
const MOST_KEPT = 256;

/** What is wrong with stored path data; null when it is sound. */
export const outlineFault: (path: string) => OutlineFault | null = keepFew(MOST_KEPT, faultOf);

/** Finer than any point that a stored outline has, and than any hand follows. */
const UNIT_FRACTION = 0.01;
const HEIGHT_FRACTION = 1 / 5000;

function faultOf(path: string): OutlineFault | null {
  const read = storedRuns(path);
  if (!read.ok) return read.why === 'too-many-points' ? 'too-fine' : 'not-read';
  const { runs } = read;
  if (runs.length === 0) return 'not-read';
  if (runs.some(({ isClosed }) => !isClosed)) return 'open';
  return firstCrossing(runs.map(({ points }) => points)) ? 'crosses' : null;
}

/** How many points a stored outline has; one that is too fine has one more than there may be. */
export const outlinePointCount: (path: string) => number = keepFew(MOST_KEPT, (path) => {
  const read = storedRuns(path);
  if (!read.ok) return read.why === 'too-many-points' ? MOST_OUTLINE_POINTS + 1 : 0;
  return read.runs.reduce((sum: number, { points }: Run) => sum + points.length, 0);
});

function storedRuns(path: string) {
  const rough = flattenPath(path, Infinity, { mostPoints: MOST_OUTLINE_POINTS });
  if (!rough.ok) return rough;
  const tolerance = Math.max(
    UNIT_FRACTION,
    heightOfRuns(rough.runs.map(({ points }) => points)) * HEIGHT_FRACTION,
  );
  return flattenPath(path, tolerance, { mostPoints: MOST_OUTLINE_POINTS });
}
