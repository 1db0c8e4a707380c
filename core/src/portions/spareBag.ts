import { chanceEnough, normalCdf, type FibreNeed, type SeatNeed } from './howSure.ts';

type Needs = Pick<FibreNeed, 'needs' | 'sharedSigma'>;

/** The quantile of the normal distribution, by halving; to about 1e-12. */
export function normalQuantile(probability: number): number {
  let [low, high] = [-38, 38];
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (normalCdf(middle) < probability) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Packed over the likely amount, so that only a share of learners come to the bag: by how far each strays. */
export const extraForComing =
  (toBagFraction: number, sharedSigma: number) =>
  (sigma: number): number =>
    Math.expm1(normalQuantile(1 - toBagFraction) * Math.hypot(sigma, sharedSigma));

/** Cells a sum is kept in. */
const CELLS = 100;
/** The error all seats share is gone through so far out, in σ. */
const WIDEST = 4.6;
/** Looks at finer and finer cells until the answer fills most of them. */
const LOOKS = 5;

/**
 * What has to lie in a bag for all, so that together with their packs nobody is short of a fibre with this chance: over
 * the error that all seats share, the sum of what each takes beyond its pack, cell by cell.
 * @returns grams, unrounded; 0 where the packs alone are enough
 */
export function spareBagG(needs: Needs, chance: number): number {
  let mostG = needs.needs.reduce((sum, need) => sum + mostBeyondG(need, needs.sharedSigma) * need.count, 0);
  if (mostG <= 0 || chanceWithBag(needs, 0) >= chance) return 0;
  let bagG = mostG;
  for (let look = 0; look < LOOKS; look++) {
    const reached = cumulative(needs, mostG / CELLS, CELLS + 1);
    const at = reached.findIndex((own) => own >= chance);
    if (at < 0) {
      mostG *= 1.5;
      continue;
    }
    const before = at > 0 ? (reached[at - 1] ?? 0) : 0;
    const share = at > 0 ? (chance - before) / ((reached[at] ?? 1) - before) : 1;
    bagG = (at - 1 + share) * (mostG / CELLS);
    if (at > CELLS / 2) break;
    mostG = Math.max(at, 4) * 1.4 * (mostG / CELLS);
  }
  return Math.max(0, bagG);
}

/** The chance that packs and a bag of so many grams are enough. */
export function chanceWithBag(needs: Needs, bagG: number): number {
  if (bagG <= 0) return chanceEnough(needs);
  return cumulative(needs, bagG / CELLS, CELLS + 1)[CELLS] ?? 0;
}

/** More than this nobody takes beyond their pack, for the purposes of a grid. */
const mostBeyondG = ({ likelyG, packedG, sigma }: SeatNeed, sharedSigma: number): number =>
  Math.max(0, likelyG * Math.exp(4 * Math.hypot(sigma, sharedSigma)) - packedG);

/** The chance that all together take no more than k cells beyond their packs, for every k. */
function cumulative({ needs, sharedSigma }: Needs, cellG: number, cells: number): number[] {
  const total = new Array<number>(cells).fill(0);
  for (const { z, weight } of sharedNodes(needs, sharedSigma)) {
    let sum: Float64Array | null = null;
    for (const need of needs) {
      const all = power(beyondCells(need, sharedSigma * z, cellG, cells), need.count);
      sum = sum ? convolve(sum, all) : all;
    }
    let reached = 0;
    for (let k = 0; k < cells; k++) {
      reached += sum?.[k] ?? (k === 0 ? 1 : 0);
      total[k] = (total[k] ?? 0) + weight * reached;
    }
  }
  return total;
}

/** Steps over the shared error, finer where many seats make the sum a sharp function of it; weights add up to 1. */
function sharedNodes(needs: readonly SeatNeed[], sharedSigma: number): { z: number; weight: number }[] {
  if (sharedSigma === 0) return [{ z: 0, weight: 1 }];
  const count = needs.reduce((sum, need) => sum + need.count, 0);
  const sigma = Math.min(...needs.map((need) => need.sigma));
  const step = Math.min(0.5, Math.max(0.06, (1.2 * sigma) / (Math.sqrt(count) * sharedSigma)));
  const half = Math.ceil(WIDEST / step);
  const nodes = Array.from({ length: 2 * half + 1 }, (_, at) => {
    const z = (at - half) * step;
    return { z, weight: Math.exp((-z * z) / 2) };
  });
  const whole = nodes.reduce((sum, { weight }) => sum + weight, 0);
  return nodes.map(({ z, weight }) => ({ z, weight: weight / whole }));
}

/** What is left on average of so many grams after a need that is log-normal; σ may be 0. */
function leftOf(limitG: number, { likelyG, sigma }: SeatNeed, offBy: number): number {
  const middle = likelyG * Math.exp(offBy);
  if (sigma === 0) return Math.max(0, limitG - middle);
  const d = Math.log(limitG / middle) / sigma;
  return limitG * normalCdf(d) - middle * Math.exp(sigma ** 2 / 2) * normalCdf(d - sigma);
}

/**
 * How likely one maker takes k cells beyond the pack. What falls between two cells is shared between them, so that the
 * mean is kept however coarse they are: a pack's small excess is not lost by rounding, and two hundred of them add up.
 */
function beyondCells(need: SeatNeed, offBy: number, cellG: number, cells: number): Float64Array {
  const one = new Float64Array(cells);
  const { packedG } = need;
  let [before, integral] = [0, leftOf(packedG, need, offBy)];
  for (let k = 0; k < cells; k++) {
    const next = leftOf(packedG + (k + 1) * cellG, need, offBy);
    const within = (next - integral) / cellG;
    one[k] = Math.max(0, within - before);
    before = within;
    integral = next;
  }
  return one;
}

/** The sum of two, as far as there are cells. */
function convolve(a: Float64Array, b: Float64Array): Float64Array {
  const sum = new Float64Array(a.length);
  for (let i = 0; i < a.length; i++) {
    const own = a[i] as number;
    if (own < 1e-15) continue;
    for (let j = 0; i + j < sum.length; j++) sum[i + j] = (sum[i + j] as number) + own * (b[j] as number);
  }
  return sum;
}

/** The sum of so many alike. */
function power(one: Float64Array, count: number): Float64Array {
  let result: Float64Array | null = null;
  let square = one;
  for (let left = count; left > 0; left = Math.floor(left / 2)) {
    if (left % 2 === 1) result = result ? convolve(result, square) : square;
    if (left > 1) square = convolve(square, square);
  }
  return result ?? Float64Array.of(1);
}
