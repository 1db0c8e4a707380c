import type { PatternEstimate } from '../../engine/index.ts';
import { mmOrNull, type Pattern } from '../../pattern/index.ts';
import { runMm } from '../../shapes/index.ts';

/** An end of a wire: within the wool that hides it, or so far out of it. */
export interface WireEnd {
  readonly cutId: string;
  /** What it ends in; null: in nothing that is made of wool. */
  readonly partId: string | null;
  /** Out of its wool, mm; nought or less: within. Null: not known, for one of the two has no length. */
  readonly outMm: number | null;
}

/**
 * Both ends of every wire that runs through a part: a stretch that is longer than its part comes out of it. A curl is bent
 * back along its own stretch, and takes nothing of that.
 */
export function wireEnds(
  { cuts }: Pick<Pattern, 'cuts'>,
  { parts }: Pick<PatternEstimate, 'parts'>,
): WireEnd[] {
  return cuts.flatMap((cut): WireEnd[] => {
    if (cut.kind !== 'wire' || !cut.segments.some(({ partId }) => partId !== null)) return [];
    const [first, last] = [cut.segments[0], cut.segments.at(-1)];
    const ends = first === last ? [first] : [first, last];
    return ends.flatMap((segment): WireEnd[] => {
      if (!segment) return [];
      const { partId, length } = segment;
      if (partId === null) return [{ cutId: cut.id, partId, outMm: mmOrNull(length) }];
      const solid = parts.find((part) => part.partId === partId)?.solid;
      // Where nobody has said how long, it is as long as its part.
      if (!length) return [{ cutId: cut.id, partId, outMm: solid ? 0 : null }];
      return [{ cutId: cut.id, partId, outMm: solid ? (mmOrNull(length) ?? 0) - runMm(solid) : null }];
    });
  });
}
