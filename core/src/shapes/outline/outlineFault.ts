import { keepFew } from '../../base/index.ts';
import { firstCrossing } from './crossing.ts';
import { flattenPath } from './flattenPath.ts';

/** Why an outline encloses nothing that can be cut or felted. */
export type OutlineFault = 'not-read' | 'open' | 'crosses';

/** Outlines looked at lately: every check of a draft asks again. */
const MOST_KEPT = 64;

/** What is wrong with stored path data; null when it is sound. */
export const outlineFault: (path: string) => OutlineFault | null = keepFew(MOST_KEPT, faultOf);

/** Finer than any point that a stored outline has. */
const UNIT_FRACTION = 0.01;

function faultOf(path: string): OutlineFault | null {
  const runs = flattenPath(path, UNIT_FRACTION);
  if (!runs || runs.length === 0) return 'not-read';
  if (runs.some(({ isClosed }) => !isClosed)) return 'open';
  return firstCrossing(runs.map(({ points }) => points)) ? 'crosses' : null;
}
