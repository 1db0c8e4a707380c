/** Where a number came from. Unknown is never zero. */
export type Source = 'weighed' | 'stated' | 'calculated' | 'estimated' | 'unknown';

/** A mass in grams: 10th percentile, middle, 90th percentile. */
export interface MassRangeG {
  readonly lowG: number;
  readonly likelyG: number;
  readonly highG: number;
}

/** z of the 90th percentile of a normal distribution. */
export const Z90 = 1.2815515655446004;

/**
 * The range about a likely mass whose log has standard deviation `sigmaLn`, read as a log-normal.
 * @param sigmaLn dimensionless, ≥ 0
 */
export function rangeAbout(likelyG: number, sigmaLn: number): MassRangeG {
  const spread = Math.exp(Z90 * sigmaLn);
  return { lowG: likelyG / spread, likelyG, highG: likelyG * spread };
}
