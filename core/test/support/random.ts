import { seededRandom } from '../../src/index.ts';

/** The core’s own seeded generator, 0 ≤ x < 1: drawings of chance are the judge, not the generator. */
export const uniform = seededRandom;

/** Seeded standard normal draws (Box–Muller). */
export function gaussian(seed: number): () => number {
  const random = uniform(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}
