import { seededRandom } from '../../src/base/index.ts';

/** The core’s own seeded generator, 0 ≤ x < 1: drawings of chance are the judge, not the generator. */
export const uniform = seededRandom;

// Jest runs a test in a context whose every look at a global is slow: millions of draws take theirs once.
const { cos, log, PI, sqrt } = Math;

/** Seeded standard normal draws (Box–Muller). */
export function gaussian(seed: number): () => number {
  const random = uniform(seed);
  return () => sqrt(-2 * log(1 - random())) * cos(2 * PI * random());
}
