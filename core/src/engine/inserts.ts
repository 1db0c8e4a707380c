import type { Part, UseOf } from '../pattern/index.ts';
import type { Wool } from './wool.ts';

/** Volume of what lies inside one piece and is no wool, mm³; null while one of them has no size. */
export function insertsMm3(part: Part, wool: Wool): number | null {
  let sum = 0;
  for (const use of part.uses) {
    if (use.role !== 'insert') continue;
    const each = insertMm3(use, wool);
    if (each === null) return null;
    sum += each * use.count;
  }
  return sum;
}

/** A ball or bead takes its outer size; of a cup only the hollow is out, as half a ball. */
function insertMm3({ findingId, space }: UseOf<'insert'>, { findings }: Wool): number | null {
  const measure = findings.get(findingId ?? '')?.measure;
  if (measure?.by !== 'count') return null;
  if (space === 'hollow') return measure.innerMm === null ? null : (Math.PI / 12) * measure.innerMm ** 3;
  const { length, width, height } = measure.outerMm;
  return length === null || width === null || height === null
    ? null
    : (Math.PI / 6) * length * width * height;
}
