import type { PatternEstimate } from './estimatePattern.ts';

/** How one make's wool moved between two versions of a pattern. */
export interface WoolMove {
  /** Grams more now; negative when less. */
  readonly moreG: number;
  /** The part whose grams moved most; null when none did. */
  readonly mostPartId: string | null;
  /** Joins moved more than any part. */
  readonly isMostInJoins: boolean;
}

/** Below this nobody's scale or eye would tell. */
const STILL_G = 0.005;
const JOINS = '';

export function compareEstimates(now: PatternEstimate, before: PatternEstimate): WoolMove {
  const [nowG, beforeG] = [gramsByOwner(now), gramsByOwner(before)];
  let most: { owner: string; byG: number } | null = null;
  for (const owner of new Set([...nowG.keys(), ...beforeG.keys()])) {
    const byG = Math.abs((nowG.get(owner) ?? 0) - (beforeG.get(owner) ?? 0));
    if (byG >= (most?.byG ?? STILL_G)) most = { owner, byG };
  }
  const isMostInJoins = most?.owner === JOINS;
  return {
    moreG: now.total.likelyG - before.total.likelyG,
    mostPartId: isMostInJoins ? null : (most?.owner ?? null),
    isMostInJoins,
  };
}

/** Grams of each part, and of all covers of joins together. */
function gramsByOwner({ parts, joins }: PatternEstimate): Map<string, number> {
  const covers = joins.reduce(
    (sum, { cover }) => (cover?.kind === 'known' && !cover.isIfNeeded ? sum + cover.all.likelyG : sum),
    0,
  );
  return new Map([
    ...parts.map((part) => [part.partId, part.total.likelyG] as const),
    [JOINS, covers] as const,
  ]);
}
