const { cos, imul, log, PI, sqrt } = Math;

/** Uniform numbers from a seed, always the same: a 32-bit linear congruential generator (Numerical Recipes). */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/** A number of the standard normal distribution from two uniform ones (Box and Muller, 1958). */
export const normalFrom = (random: () => number): number =>
  sqrt(-2 * log(1 - random())) * cos(2 * PI * random());
