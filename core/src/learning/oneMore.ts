import { type Belief, COUNTED_SHARE } from './belief.ts';
import { factorKey, priorSigma } from './factor.ts';
import type { Observation } from './observation.ts';

/**
 * What is believed after one more observation, without going through the others again: a Kalman step. The same as all of
 * them together, to rounding.
 */
export function withOneMore(belief: Belief, observation: Observation): Belief {
  return stepped(belief, observation, observation.sigma ** 2);
}

/** What would be believed had this one of them never been there: the same step, backwards. */
export function withoutOne(belief: Belief, observation: Observation): Belief {
  return stepped(belief, observation, -(observation.sigma ** 2));
}

/** @param errorVariance of the observation; below nothing: it is taken out again */
function stepped(belief: Belief, observation: Observation, errorVariance: number): Belief {
  const { factors, places, size, mean, covariance, samples } = widened(belief, observation);
  const share = new Float64Array(size);
  for (const { factor, share: more } of observation.of) {
    const place = places.get(factorKey(factor)) ?? 0;
    share[place] = (share[place] ?? 0) + more;
  }
  const gain = times(covariance, share, size);
  const variance = dot(share, gain) + errorVariance;
  const surprise = observation.ln - dot(share, mean);
  for (let row = 0; row < size; row++) {
    const rowGain = gain[row] ?? 0;
    mean[row] = (mean[row] ?? 0) + (rowGain * surprise) / variance;
    for (let column = 0; column < size; column++) {
      const cell = row * size + column;
      covariance[cell] = (covariance[cell] ?? 0) - (rowGain * (gain[column] ?? 0)) / variance;
    }
    if (Math.abs(share[row] ?? 0) >= COUNTED_SHARE)
      samples[row] = (samples[row] ?? 0) + Math.sign(errorVariance);
  }
  return { factors, places, mean, covariance, samples };
}

/** With room for factors that were not seen before, at their priors. */
function widened(belief: Belief, { of }: Observation) {
  const places = new Map(belief.places);
  const factors = [...belief.factors];
  for (const { factor } of of) {
    const key = factorKey(factor);
    if (places.has(key)) continue;
    places.set(key, factors.length);
    factors.push(factor);
  }
  const [size, before] = [factors.length, belief.factors.length];
  const [mean, samples] = [new Float64Array(size), new Int32Array(size)];
  mean.set(belief.mean);
  samples.set(belief.samples);
  const covariance = new Float64Array(size * size);
  for (let row = 0; row < before; row++)
    covariance.set(belief.covariance.subarray(row * before, (row + 1) * before), row * size);
  factors.slice(before).forEach((factor, offset) => {
    const at = before + offset;
    covariance[at * size + at] = priorSigma(factor) ** 2;
  });
  return { factors, places, size, mean, covariance, samples };
}

function times(matrix: Float64Array, vector: Float64Array, size: number): Float64Array {
  const product = new Float64Array(size);
  for (let row = 0; row < size; row++) {
    let sum = 0;
    for (let column = 0; column < size; column++)
      sum += (matrix[row * size + column] ?? 0) * (vector[column] ?? 0);
    product[row] = sum;
  }
  return product;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let at = 0; at < a.length; at++) sum += (a[at] ?? 0) * (b[at] ?? 0);
  return sum;
};
