import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { type Factor, factorKey, priorSigma } from './factor.ts';
import type { FactorShare, Observation } from './observation.ts';

/** What is believed of every factor that was observed, together: normal in ln. */
export interface Belief {
  readonly factors: readonly Factor[];
  /** By key, the place in `mean` and `covariance`. */
  readonly places: ReadonlyMap<string, number>;
  readonly mean: Float64Array;
  /** Row by row, `factors.length` squared. */
  readonly covariance: Float64Array;
  /** How many observations tell of each. */
  readonly samples: Int32Array;
}

/** Under this an observation says next to nothing of a factor, and is not counted as a sample of it. */
export const COUNTED_SHARE = 0.2;

/**
 * The posterior of all factors: each is normal about nought with its prior σ, each observation is a weighted sum of factors
 * and an error of its own. Closed form: precision = prior + Σ a·aᵀ ÷ σ². Bishop, Pattern Recognition and Machine Learning,
 * 3.3.1 (Bayesian linear regression).
 */
export function believe(observations: readonly Observation[]): Belief {
  const { factors, places } = factorsOf(observations);
  const size = factors.length;
  const precision = new Float64Array(size * size);
  const weighted = new Float64Array(size);
  const samples = new Int32Array(size);
  factors.forEach((factor, at) => (precision[at * size + at] = 1 / priorSigma(factor) ** 2));
  for (const { of, ln, sigma } of observations) {
    const weight = 1 / sigma ** 2;
    const entries = placed(of, places);
    for (const [row, share] of entries) {
      weighted[row] = (weighted[row] ?? 0) + share * ln * weight;
      if (Math.abs(share) >= COUNTED_SHARE) samples[row] = (samples[row] ?? 0) + 1;
      for (const [column, other] of entries) {
        const cell = row * size + column;
        precision[cell] = (precision[cell] ?? 0) + share * other * weight;
      }
    }
  }
  return { factors, places, samples, ...solved(precision, weighted, size) };
}

function factorsOf(observations: readonly Observation[]) {
  const places = new Map<string, number>();
  const factors: Factor[] = [];
  for (const { of } of observations) {
    for (const { factor } of of) {
      const key = factorKey(factor);
      if (places.has(key)) continue;
      places.set(key, factors.length);
      factors.push(factor);
    }
  }
  return { factors, places };
}

/** Shares of one factor in one observation are one share. */
function placed(of: readonly FactorShare[], places: ReadonlyMap<string, number>): [number, number][] {
  const byPlace = new Map<number, number>();
  for (const { factor, share } of of) {
    const place = places.get(factorKey(factor));
    if (place !== undefined) byPlace.set(place, (byPlace.get(place) ?? 0) + share);
  }
  return [...byPlace];
}

function solved(precision: Float64Array, weighted: Float64Array, size: number) {
  if (size === 0) return { mean: new Float64Array(0), covariance: new Float64Array(0) };
  // Priors are proper: the precision is positive definite whatever was observed.
  const inverse = new CholeskyDecomposition(Matrix.from1DArray(size, size, precision)).solve(
    Matrix.eye(size),
  );
  const covariance = Float64Array.from(inverse.to1DArray());
  const mean = new Float64Array(size);
  for (let row = 0; row < size; row++) {
    let sum = 0;
    for (let column = 0; column < size; column++)
      sum += (covariance[row * size + column] ?? 0) * (weighted[column] ?? 0);
    mean[row] = sum;
  }
  return { mean, covariance };
}

/** What is believed of a weighted sum of factors: one that was never observed has its prior, apart from all others. */
export interface Believed {
  readonly ln: number;
  readonly sigma: number;
}

/** Mean and spread of what an observation would show, without its own error. */
export function believedOf(belief: Belief, of: readonly FactorShare[]): Believed {
  const { ln, sigma } = believedAt(belief, placed(of, belief.places));
  return { ln, sigma: Math.sqrt(sigma ** 2 + unseenVariance(belief, of)) };
}

/** Shares by their factors’ places in a belief. */
export type PlacedShares = readonly (readonly [place: number, share: number])[];

/** Worked out once where the same is asked of many beliefs about the same factors. */
export const placedShares = ({ places }: Pick<Belief, 'places'>, of: readonly FactorShare[]): PlacedShares =>
  placed(of, places);

/** As `believedOf`, of factors that are all in the belief. */
export function believedAt(belief: Belief, entries: PlacedShares): Believed {
  const size = belief.factors.length;
  let [ln, variance] = [0, 0];
  for (const [row, share] of entries) {
    ln += share * (belief.mean[row] ?? 0);
    for (const [column, other] of entries)
      variance += share * other * (belief.covariance[row * size + column] ?? 0);
  }
  return { ln, sigma: Math.sqrt(Math.max(0, variance)) };
}

function unseenVariance({ places }: Belief, of: readonly FactorShare[]): number {
  const byKey = new Map<string, { share: number; sigma: number }>();
  for (const { factor, share } of of) {
    const key = factorKey(factor);
    if (places.has(key)) continue;
    byKey.set(key, { share: (byKey.get(key)?.share ?? 0) + share, sigma: priorSigma(factor) });
  }
  return [...byKey.values()].reduce((sum, { share, sigma }) => sum + (share * sigma) ** 2, 0);
}

/** Covariance of two factors; that of one with itself is its variance. */
export function covarianceOf(belief: Belief, a: Factor, b: Factor): number {
  const [row, column] = [belief.places.get(factorKey(a)), belief.places.get(factorKey(b))];
  if (row === undefined || column === undefined)
    return factorKey(a) === factorKey(b) ? priorSigma(a) ** 2 : 0;
  return belief.covariance[row * belief.factors.length + column] ?? 0;
}
