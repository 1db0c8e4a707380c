import { toMm } from '../base/index.ts';
import type { Part, Pattern } from '../pattern/index.ts';
import { runMm, solidOf } from '../shapes/index.ts';
import type { Wool } from './wool.ts';

/** Volume of wire inside one piece of each part, mm³, by part id; a sleeve’s own wire is in its shape. */
export function wireThrough(
  { cuts }: Pick<Pattern, 'cuts'>,
  parts: readonly Part[],
  { findings }: Wool,
): Map<string, number> {
  const volumes = new Map<string, number>();
  for (const cut of cuts) {
    const measure = cut.findingId === null ? undefined : findings.get(cut.findingId)?.measure;
    if (cut.kind !== 'wire' || measure?.by !== 'length' || measure.diameterMm === null) continue;
    for (const { partId, length, strands } of cut.segments) {
      const insideMm = lengthInside(parts.find(({ id }) => id === partId));
      if (partId === null || insideMm === null) continue;
      const lengthMm = length ? Math.min(insideMm, toMm(length)) : insideMm;
      const mm3 = (Math.PI / 4) * measure.diameterMm ** 2 * lengthMm * strands;
      volumes.set(partId, (volumes.get(partId) ?? 0) + mm3);
    }
  }
  return volumes;
}

function lengthInside(part: Part | undefined): number | null {
  if (!part || part.shape.kind === 'sleeve') return null;
  const result = solidOf(part.shape);
  return result.kind === 'solid' ? runMm(result.solid) : null;
}
