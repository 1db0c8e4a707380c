import type { Factor } from './factor.ts';

/** Something that was weighed, measured or timed, held against what was expected of it before anything was learnt. */
export interface Observation {
  /** The same for the same weighing. */
  readonly id: string;
  /** ln of what was found over what was expected. */
  readonly ln: number;
  /** Its own error, σ of ln: what no other observation shares. */
  readonly sigma: number;
  /** What else it tells of, and how much of it is each, as a fraction of what was expected. */
  readonly of: readonly FactorShare[];
}

export interface FactorShare {
  readonly factor: Factor;
  /** d ln expected ÷ d factor. */
  readonly share: number;
}

/** Counts for less: as if its error were that much larger. @param weight 0–1, over nought */
export const weighedLess = (observation: Observation, weight: number): Observation => ({
  ...observation,
  sigma: observation.sigma / Math.sqrt(weight),
});

/** How far an observation is off what is believed without it, in its own standard deviations. */
export const ODD_SIGMAS = 3;
