import { toMm } from '../base/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { solidOf } from '../shapes/index.ts';

/** A stated height that its parts cannot come to. */
export type HeightFault =
  /** Less than its largest part is thick, however that lies. */
  | { readonly code: 'height_under_part'; readonly partId: string; readonly leastMm: number }
  /** More than all its parts set on end, one on the other. */
  | { readonly code: 'height_over_parts'; readonly mostMm: number };

/** Rounding of sizes and a little felting are no fault. */
const TOLERANCE = 1.05;

/** The finished height against the parts by themselves; null: possible, or not enough is known. */
export function heightFault({ finishedHeight, parts, cuts }: Pattern): HeightFault | null {
  if (finishedHeight === null || parts.length === 0) return null;
  const heightMm = toMm(finishedHeight);
  const solids = parts.map((part) => {
    const result = solidOf(part.shape);
    return { part, solid: result.kind === 'solid' ? result.solid : null };
  });
  const known = solids.flatMap(({ part, solid }) => (solid ? [{ part, solid }] : []));
  const largest = known.toSorted((a, b) => b.solid.volumeMm3 - a.solid.volumeMm3)[0];
  const leastMm = largest ? Math.min(...largest.solid.sizesMm) : 0;
  if (largest && heightMm * TOLERANCE < leastMm)
    return { code: 'height_under_part', partId: largest.part.id, leastMm };
  // What hangs on a cord or stands on wire is higher; what is only counted or weighed has no size to be set on end.
  if (cuts.length > 0 || known.length < parts.length || parts.some(({ count }) => count === null))
    return null;
  const mostMm = known.reduce((sum, { part, solid }) => {
    const count = typeof part.count === 'number' ? part.count : (part.count?.high ?? 1);
    return sum + count * Math.max(...solid.sizesMm);
  }, 0);
  return heightMm > mostMm * TOLERANCE ? { code: 'height_over_parts', mostMm } : null;
}
