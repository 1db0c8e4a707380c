/** The chance that no more than `most` come about, where `mean` are to be expected (Poisson). */
export function atMost(most: number, mean: number): number {
  let term = Math.exp(-mean);
  let sum = term;
  for (let count = 1; count <= most; count++) {
    term *= mean / count;
    sum += term;
  }
  return Math.min(1, sum);
}

/** How many spares of each sort, and how sure they make it. */
export interface Spares {
  readonly counts: readonly number[];
  /** The chance that any sort runs out. */
  readonly riskFraction: number;
}

/** More than anybody would carry into a room. */
const MOST_SPARES = 2000;

/**
 * The fewest spares in all with which the chance that any sort runs out is at most the wanted one. The logarithm of a
 * Poisson’s distribution function is concave, so taking the spare that helps most, one after another, is best.
 * @param means breakages to be expected of each sort
 */
export function fewestSpares(means: readonly number[], riskFraction: number): Spares {
  const counts = means.map(() => 0);
  const goal = Math.log(1 - riskFraction);
  const chances = means.map((mean) => Math.log(atMost(0, mean)));
  let all = chances.reduce((sum, chance) => sum + chance, 0);
  for (let spent = 0; all < goal && spent < MOST_SPARES; spent++) {
    let best = 0;
    let gain = -1;
    means.forEach((mean, index) => {
      const more = Math.log(atMost((counts[index] ?? 0) + 1, mean)) - (chances[index] ?? 0);
      if (more > gain) [best, gain] = [index, more];
    });
    counts[best] = (counts[best] ?? 0) + 1;
    chances[best] = (chances[best] ?? 0) + gain;
    all = chances.reduce((sum, chance) => sum + chance, 0);
  }
  return { counts, riskFraction: Math.max(0, -Math.expm1(all)) };
}
