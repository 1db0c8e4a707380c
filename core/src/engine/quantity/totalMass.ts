import { type MassRangeG, rangeAbout } from '../../base/index.ts';

/** What an error comes from: the one thing that, better known, would make it smaller. */
export type ErrorCause =
  'common' | 'density' | 'hiding' | 'stated' | 'weighed' | 'hand' | 'unmeasured' | 'hair' | 'count' | 'piece';

/**
 * One addend of a total: `count` alike pieces. `commonSigma` is the error of everything one maker felts (how firm firm
 * is); `sharedSigma` that which all terms of `group` make together (one density, one hiding constant, one shared weight);
 * `ownSigma` is each piece's own; `allSigma` is the term's: all its pieces together, but no other term. All are standard
 * deviations of the log.
 */
export interface MassTerm {
  readonly group: string;
  readonly cause: ErrorCause;
  readonly pieceG: number;
  readonly count: number;
  readonly commonSigma?: number;
  readonly sharedSigma: number;
  readonly ownSigma: number;
  readonly allSigma?: number;
  /** Nobody knows how many pieces, only about. */
  readonly countSigma?: number;
}

/** A sum; with `unknownCount` above zero it is only "at least". */
export interface TotalMass extends MassRangeG {
  readonly unknownCount: number;
}

/**
 * Sums masses so that columns add up: the likely total is the sum of the likelies. Its spread: the common error, and
 * shared errors of one group, add straight; own errors and different groups in quadrature of grams, read as a log-normal.
 * So a figure does not look surer for having more colours.
 */
export function totalMass(terms: readonly MassTerm[], unknownCount = 0): TotalMass {
  let likelyG = 0;
  let ownG2 = 0;
  for (const term of terms) {
    likelyG += term.pieceG * term.count;
    ownG2 += ownVariance(term);
  }
  if (likelyG === 0) return { lowG: 0, likelyG: 0, highG: 0, unknownCount };
  const varianceG2 = commonSigmaG(terms) ** 2 + sharedVariance(terms) + ownG2;
  const { lowG, highG } = rangeAbout(likelyG, Math.sqrt(varianceG2) / likelyG);
  return { lowG, likelyG, highG, unknownCount };
}

/** One term alone, with its range. */
export function massOfTerm(term: MassTerm): MassRangeG {
  const likelyG = term.pieceG * term.count;
  if (likelyG === 0) return { lowG: 0, likelyG: 0, highG: 0 };
  const { commonSigma = 0, sharedSigma } = term;
  const straightG2 = (commonSigma * likelyG) ** 2 + (sharedSigma * likelyG) ** 2;
  return rangeAbout(likelyG, Math.sqrt(straightG2 + ownVariance(term)) / likelyG);
}

/** What of a term’s error is not everybody’s: where a figure’s middle lies does not move with how firm all of it is felted. */
export const commonSigmaFree = ({
  group,
  sharedSigma,
  ownSigma,
  allSigma = 0,
  countSigma = 0,
}: MassTerm) => ({
  group,
  sharedSigma,
  ownSigma: Math.hypot(ownSigma, allSigma, countSigma),
});

/** Grams of the error that everything felted by one maker makes together. */
export const commonSigmaG = (terms: readonly MassTerm[]): number =>
  terms.reduce((sum, { pieceG, count, commonSigma = 0 }) => sum + commonSigma * pieceG * count, 0);

function sharedVariance(terms: readonly MassTerm[]): number {
  let sum = 0;
  for (const sigmaG of sharedSigmaByGroup(terms).values()) sum += sigmaG ** 2;
  return sum;
}

/** Grams of shared error of each group, added straight. */
export function sharedSigmaByGroup(terms: readonly MassTerm[]): Map<string, number> {
  const sigmaByGroup = new Map<string, number>();
  for (const { group, pieceG, count, sharedSigma } of terms) {
    sigmaByGroup.set(group, (sigmaByGroup.get(group) ?? 0) + sharedSigma * pieceG * count);
  }
  return sigmaByGroup;
}

/** Square grams of what is a term's own: each piece's error, and that of all of them. */
export function ownVariance({ pieceG, count, ownSigma, allSigma = 0, countSigma = 0 }: MassTerm): number {
  const massG = pieceG * count;
  return count * (ownSigma * pieceG) ** 2 + (allSigma * massG) ** 2 + (countSigma * massG) ** 2;
}
