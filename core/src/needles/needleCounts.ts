import type { Pattern } from '../pattern/index.ts';
import { byFineness, type NeedleWanted, type Tool, wantedKey } from '../shelf/index.ts';
import { peakOf } from './fillings.ts';
import { fillingsOf } from './fillingsOf.ts';
import { needlePath } from './path.ts';

/** How many needles of one sort somebody who makes a build alone has in use at once. */
export interface NeedleCount {
  readonly wanted: NeedleWanted;
  readonly count: number;
  /** In the fingers, or in a holder of one’s own; what is in a holder that a table shares is the table’s. */
  readonly perPerson: number;
  readonly stepIds: readonly string[];
}

/**
 * The one arithmetic of needles: what is in the fingers and in holders at once, holders filled from their first step to
 * their last. Steps, cards, packs, boxes, kits, trays and costs all count by it.
 * @param tools holders of the shelf, which say for whom each is
 */
export function needleCounts(
  build: Pick<Pattern, 'steps' | 'parts' | 'school' | 'stageNeedles'>,
  tools: readonly Tool[] = [],
): NeedleCount[] {
  const path = needlePath(build);
  const fillings = fillingsOf(path, tools);
  const byKey = new Map<string, { wanted: NeedleWanted; stepIds: string[] }>();
  for (const { wanted, step } of path.stretches) {
    if (!wanted) continue;
    const counted = byKey.get(wantedKey(wanted)) ?? { wanted, stepIds: [] };
    counted.stepIds.push(step.id);
    byKey.set(wantedKey(wanted), counted);
  }
  return [...byKey]
    .map(([key, { wanted, stepIds }]) => {
      const ownFillings = fillings.filter((filling) => filling.key === key);
      const ofPerson = ownFillings.filter(({ per }) => per === 'person');
      return { wanted, count: peakOf(ownFillings), perPerson: peakOf(ofPerson), stepIds };
    })
    .sort((a, b) => byFineness(a.wanted, b.wanted));
}
