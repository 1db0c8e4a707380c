import { type Choice, chancesOfSum } from './chancesOfSum.ts';

/** What of a sum of chances is the computer’s own rounding. */
const ROUNDING = 1e-11;

/**
 * The least sum that so many choosers stay within, with a chance; everybody chooses for themselves. Exact where what is
 * chosen takes one of two masses, as a fibre of one colourway does; else in cells (see `chancesOfSum`), never too small.
 */
export function quantileOfSum(choices: readonly Choice[], choosers: number, chance: number): number {
  const shares = new Map<number, number>();
  for (const { share, massG } of choices) shares.set(massG, (shares.get(massG) ?? 0) + share);
  const alike = [...shares]
    .map(([massG, share]): Choice => ({ massG, share }))
    .sort((a, b) => a.massG - b.massG);
  const [least, most, ...others] = alike;
  if (!least || choosers <= 0) return 0;
  if (!most) return least.massG * choosers;
  if (others.length > 0) return quantileInCells(alike, choosers, chance);
  const takers = binomialQuantile(choosers, most.share / (least.share + most.share), chance);
  return least.massG * (choosers - takers) + most.massG * takers;
}

/** The least number of successes that so many trials stay within, with a chance. */
function binomialQuantile(trials: number, success: number, chance: number): number {
  const [logSuccess, logFailure] = [Math.log(success), Math.log1p(-success)];
  let logWays = 0;
  let reached = 0;
  for (let successes = 0; successes < trials; successes++) {
    // In logarithms: of two hundred the first chances are smaller than any number.
    reached += Math.exp(logWays + successes * logSuccess + (trials - successes) * logFailure);
    if (reached >= chance - ROUNDING) return successes;
    logWays += Math.log((trials - successes) / (successes + 1));
  }
  return trials;
}

function quantileInCells(choices: readonly Choice[], choosers: number, chance: number): number {
  const { cellG, chances } = chancesOfSum(choices, choosers);
  let reached = 0;
  for (let at = 0; at < chances.length; at++) {
    reached += chances[at] ?? 0;
    if (reached >= chance - ROUNDING) return at * cellG;
  }
  return (chances.length - 1) * cellG;
}
