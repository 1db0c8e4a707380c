import { type Belief, believedAt, believedOf, type PlacedShares, placedShares } from './belief.ts';
import type { Observation } from './observation.ts';

/** An observation against what all others say of it. */
export interface Surprise {
  /** ln expected by the others. */
  readonly expectedLn: number;
  /** How unsure that is, the observation’s own error in it, σ of ln. */
  readonly sigma: number;
  /** How far off it is, in those. */
  readonly z: number;
}

/**
 * What the others say of an observation that is among them, without going through them again. Cook and Weisberg, Residuals
 * and Influence in Regression, 2.2 (the deletion formulas of a linear model).
 * @param belief made with it
 * @param entries its shares by their places, where they are worked out already
 */
export function surpriseAmong(
  belief: Belief,
  { of, ln, sigma }: Observation,
  entries: PlacedShares = placedShares(belief, of),
): Surprise {
  const among = believedAt(belief, entries);
  const left = Math.max(1e-12, sigma ** 2 - among.sigma ** 2);
  const off = ((ln - among.ln) * sigma ** 2) / left;
  const spread = sigma ** 2 / Math.sqrt(left);
  return { expectedLn: ln - off, sigma: spread, z: off / spread };
}

/** The same of one that is not among them. */
export function surpriseOf(belief: Belief, { of, ln, sigma }: Observation): Surprise {
  const expected = believedOf(belief, of);
  const spread = Math.hypot(expected.sigma, sigma);
  return { expectedLn: expected.ln, sigma: spread, z: (ln - expected.ln) / spread };
}
