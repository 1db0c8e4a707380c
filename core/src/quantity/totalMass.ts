import { rangeAbout, type MassRangeG } from './quantity.ts';

/**
 * One addend of a total: `count` alike pieces of one fibre. `sharedSigma` is the error all uses of `group`
 * make together (one density, one hiding constant); `ownSigma` is each piece's own.
 */
export interface MassTerm {
  readonly group: string;
  readonly pieceG: number;
  readonly count: number;
  readonly sharedSigma: number;
  readonly ownSigma: number;
}

/** A sum; with `unknownCount` above zero it is only "at least". */
export interface TotalMass extends MassRangeG {
  readonly unknownCount: number;
}

/**
 * Sums masses so that columns add up: the likely total is the sum of the likelies. Its spread: shared errors
 * of one group add straight, own errors and different groups in quadrature of grams, read as a log-normal.
 */
export function totalMass(terms: readonly MassTerm[], unknownCount = 0): TotalMass {
  const likelyG = terms.reduce((sum, term) => sum + term.pieceG * term.count, 0);
  if (likelyG === 0) return { lowG: 0, likelyG: 0, highG: 0, unknownCount };
  const sigmaG = Math.sqrt(sharedVariance(terms) + ownVariance(terms));
  return { ...rangeAbout(likelyG, sigmaG / likelyG), unknownCount };
}

function sharedVariance(terms: readonly MassTerm[]): number {
  const sigmaByGroup = new Map<string, number>();
  for (const { group, pieceG, count, sharedSigma } of terms) {
    sigmaByGroup.set(group, (sigmaByGroup.get(group) ?? 0) + sharedSigma * pieceG * count);
  }
  return [...sigmaByGroup.values()].reduce((sum, sigma) => sum + sigma ** 2, 0);
}

function ownVariance(terms: readonly MassTerm[]): number {
  return terms.reduce((sum, term) => sum + term.count * (term.ownSigma * term.pieceG) ** 2, 0);
}
