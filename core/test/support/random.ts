/** A seeded generator (LCG of Numerical Recipes), 0 ≤ x < 1. */
export function uniform(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 4_294_967_296;
  };
}

/** Seeded standard normal draws (Box–Muller). */
export function gaussian(seed: number): () => number {
  const random = uniform(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}
