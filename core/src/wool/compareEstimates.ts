import type { PatternEstimate } from './estimatePattern.ts';

/** How one make's wool moved between two versions of a pattern. */
export interface WoolMove {
  /** Grams more now; negative when less. */
  readonly moreG: number;
  /** The part whose grams moved most; null when none did. */
  readonly mostPartId: string | null;
}

/** Below this nobody's scale or eye would tell. */
const STILL_G = 0.005;

export function compareEstimates(now: PatternEstimate, before: PatternEstimate): WoolMove {
  const nowG = gramsByPart(now);
  const beforeG = gramsByPart(before);
  let most: { partId: string; byG: number } | null = null;
  for (const partId of new Set([...nowG.keys(), ...beforeG.keys()])) {
    const byG = Math.abs((nowG.get(partId) ?? 0) - (beforeG.get(partId) ?? 0));
    if (byG >= (most?.byG ?? STILL_G)) most = { partId, byG };
  }
  return { moreG: now.total.likelyG - before.total.likelyG, mostPartId: most?.partId ?? null };
}

const gramsByPart = (estimate: PatternEstimate): Map<string, number> =>
  new Map(estimate.parts.map((part) => [part.partId, part.total.likelyG]));
