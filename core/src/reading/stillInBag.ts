import type { PatternEstimate, UseEstimate } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { stepOfWool } from '../writing/index.ts';

/** Wool of one colour in a bag before the first step, from the one with the least of it to the one with the most. */
export interface InBag {
  readonly fibreId: string;
  readonly leastG: number;
  readonly mostG: number;
  /** Of it only for who finds their wool wanting. */
  readonly ifNeededG: number;
  /** Uses of it that nobody knows the amount of: the grams are then only “at least”. */
  readonly unknownCount: number;
}

/** What of one colour should still be in the bag. */
export interface StillInBag extends InBag {
  /** Something of it is there, or was taken, whose amount nobody knows. */
  readonly isUnknown: boolean;
}

/** Less than this is a wisp: no kitchen scale shows it, and nobody looks for it, grams. */
export const WISP_G = 0.05;

/**
 * What should still be in a bag once some steps are done: what was in it less what they likely took. Wool that no step
 * takes up is used when the last is done.
 * @param afterStep from 1
 * @param copies makes that the bag is for
 */
export function stillInBag(
  inBag: readonly InBag[],
  build: Pattern,
  uses: readonly UseEstimate[],
  { afterStep, copies = 1 }: { readonly afterStep: number; readonly copies?: number },
): StillInBag[] {
  const isLast = afterStep >= build.steps.length;
  const used = uses.filter((use) => {
    if (use.isIfNeeded) return false;
    const at = stepOfWool(build, use);
    return at === null ? isLast : at + 1 <= afterStep;
  });
  return inBag.flatMap((ownInBag): StillInBag[] => {
    const ofIt = used.filter(({ fibreId }) => fibreId === ownInBag.fibreId);
    const tookG = copies * ofIt.reduce((sum, use) => sum + (use.kind === 'known' ? use.all.likelyG : 0), 0);
    const isUnknown = ownInBag.unknownCount > 0 || ofIt.some(({ kind }) => kind === 'unknown');
    const [leastG, mostG] = [Math.max(0, ownInBag.leastG - tookG), Math.max(0, ownInBag.mostG - tookG)];
    return mostG < WISP_G && !isUnknown ? [] : [{ ...ownInBag, leastG, mostG, isUnknown }];
  });
}

/** What a pattern takes, as if a bag held it and nothing more. */
export function bagOfPattern({ fibres, ifNeeded }: Pick<PatternEstimate, 'fibres' | 'ifNeeded'>): InBag[] {
  const apart = new Map(ifNeeded.map(({ fibreId, total }) => [fibreId, total.likelyG]));
  const taken = new Map(fibres.map(({ fibreId, total }) => [fibreId, total]));
  return [...new Set([...taken.keys(), ...apart.keys()])].map((fibreId) => {
    const ifNeededG = apart.get(fibreId) ?? 0;
    const { likelyG = 0, unknownCount = 0 } = taken.get(fibreId) ?? {};
    const massG = likelyG + ifNeededG;
    return { fibreId, leastG: massG, mostG: massG, ifNeededG, unknownCount };
  });
}
