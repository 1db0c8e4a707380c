import { normalCdf, normalQuantile } from '../../base/index.ts';
import { type ClassNeeds, estimateSigma, type NeededFibre } from './classNeeds.ts';
import { extraAt, type ExtraFor } from './eachAlone.ts';

/** Packed over the likely amount, so that only a share of learners come to the bag. */
export const extraForComing = (toBagFraction: number, toleranceFraction: number): ExtraFor =>
  extraAt(normalQuantile(1 - toBagFraction), toleranceFraction);

/** Those who take one fibre, alike ones together; grams as they have to be there so that nobody is short. */
interface OneFibre {
  readonly fibre: NeededFibre;
  readonly needs: readonly {
    readonly likelyG: number;
    readonly packedG: number;
    readonly sigma: number;
    readonly count: number;
  }[];
}

/** Cells a sum is kept in. */
const CELLS = 100;
/** The estimate’s errors are gone through so far out, in σ. */
const WIDEST = 4.6;
/** Looks at finer and finer cells until the answer fills most of them. */
const LOOKS = 5;
/** The common error is gone through in such steps, in σ. */
const COMMON_STEP = 0.2;

function fibreOf({ fibres, makers, toleranceFraction }: ClassNeeds, at: number): OneFibre {
  const fibre = fibres[at];
  if (!fibre) throw new Error('a fibre is among those of its class');
  return {
    fibre,
    needs: makers.flatMap(({ count, sigma, takes }) =>
      takes
        .filter((take) => take.at === at && count > 0)
        .map(({ likelyG, packedG }) => ({
          likelyG: likelyG / (1 + toleranceFraction),
          packedG,
          sigma,
          count,
        })),
    ),
  };
}

/** The chance that one fibre is enough for all, at each error of its estimate. */
interface Conditional {
  readonly fibre: NeededFibre;
  /** ln errors, evenly apart. */
  readonly offBy: readonly number[];
  readonly enough: readonly number[];
}

/**
 * The chance that packs and a bag of so many grams of each fibre are enough for a whole class. Given the common error
 * fibres are taken to go by themselves: that one hand wants more of all its fibres is evened out over a class, and left
 * out it never makes a class look surer.
 * @param bagsG in the order of the fibres
 */
export function chanceWithBags(needs: ClassNeeds, bagsG: readonly number[]): number {
  return joint(needs.fibres.map((_, at) => conditionalOf(fibreOf(needs, at), bagsG[at] ?? 0)));
}

/**
 * What has to lie in a bag for all, so that together with their packs nobody in a class is short of anything with this
 * chance: every fibre at the same chance of its own, the smallest that does.
 * @returns grams by fibre, unrounded; 0 where the packs alone are enough
 */
export function bagsForChance(needs: ClassNeeds, chance: number): number[] {
  const most = chance ** (1 / Math.max(1, needs.fibres.length));
  const tables = needs.fibres.map((_, at) => tableOf(fibreOf(needs, at), most));
  // Between bearing it all alike, as if fibres had nothing in common, and each bearing it as if alone.
  let [low, high] = [chance, most];
  for (let step = 0; step < 24; step++) {
    const middle = (low + high) / 2;
    const bags = tables.map((table) => quantileOf(table, middle));
    if (joint(tables.map((table, at) => columnOf(table, bags[at] ?? 0))) >= chance) high = middle;
    else low = middle;
  }
  return tables.map((table) => quantileOf(table, high));
}

/** How likely so many cells beyond the packs are enough, at each error of the estimate. */
interface Table extends Omit<Conditional, 'enough'> {
  readonly cellG: number;
  readonly rows: readonly Float64Array[];
  readonly weights: readonly number[];
}

/** Cells fine enough that the bag for this chance fills most of them. */
function tableOf(fibre: OneFibre, chance: number): Table {
  let mostG = fibre.needs.reduce(
    (sum, need) => sum + mostBeyondG(need, estimateSigma(fibre.fibre)) * need.count,
    0,
  );
  let table = tableWith(fibre, Math.max(mostG, 1e-6) / CELLS);
  for (let look = 0; look < LOOKS; look++) {
    const at = Math.ceil(quantileOf(table, chance) / table.cellG);
    if (at > CELLS / 2 && at < CELLS) break;
    if (at === 0) break;
    mostG = at >= CELLS ? mostG * 1.5 : Math.max(at, 4) * 1.4 * table.cellG;
    table = tableWith(fibre, mostG / CELLS);
  }
  return table;
}

function tableWith(fibre: OneFibre, cellG: number): Table {
  const nodes = errorNodes(fibre);
  return {
    fibre: fibre.fibre,
    cellG,
    offBy: nodes.map(({ offBy }) => offBy),
    weights: nodes.map(({ weight }) => weight),
    rows: nodes.map(({ offBy }) => beyondSoFar(fibre, offBy, cellG, CELLS + 1)),
  };
}

/** The chance that all together take no more than k cells beyond their packs, for every k, at one error. */
function beyondSoFar({ needs }: OneFibre, offBy: number, cellG: number, cells: number): Float64Array {
  let sum: Float64Array | null = null;
  for (const need of needs) {
    const all = power(beyondCells(need, offBy, cellG, cells), need.count);
    sum = sum ? convolve(sum, all) : all;
  }
  const reached = new Float64Array(cells);
  let total = 0;
  for (let k = 0; k < cells; k++) {
    total += sum?.[k] ?? (k === 0 ? 1 : 0);
    reached[k] = Math.min(1, total);
  }
  return reached;
}

/** The bag with which one fibre alone is enough with this chance, grams; more than the table holds: all of it. */
function quantileOf({ rows, weights, cellG }: Table, chance: number): number {
  let before = 0;
  for (let k = 0; k <= CELLS; k++) {
    const reached = rows.reduce((sum, row, at) => sum + (weights[at] ?? 0) * (row[k] ?? 0), 0);
    if (reached >= chance) {
      return k === 0 ? 0 : (k - 1 + (chance - before) / (reached - before)) * cellG;
    }
    before = reached;
  }
  return CELLS * cellG;
}

function columnOf({ fibre, offBy, rows, cellG }: Table, bagG: number): Conditional {
  const at = Math.min(CELLS, bagG / cellG);
  const [below, share] = [Math.floor(at), at - Math.floor(at)];
  const enough = rows.map(
    (row) => (1 - share) * (row[below] ?? 1) + share * (row[below + 1] ?? row[below] ?? 1),
  );
  return { fibre, offBy, enough };
}

function conditionalOf(fibre: OneFibre, bagG: number): Conditional {
  const offBy = errorNodes(fibre).map((node) => node.offBy);
  if (bagG > 0) {
    const enough = offBy.map((error) => beyondSoFar(fibre, error, bagG / CELLS, CELLS + 1)[CELLS] ?? 0);
    return { fibre: fibre.fibre, offBy, enough };
  }
  return { fibre: fibre.fibre, offBy, enough: offBy.map((error) => allHaveEnough(fibre, error)) };
}

function allHaveEnough({ needs }: OneFibre, offBy: number): number {
  return needs.reduce((product, { likelyG, packedG, sigma, count }) => {
    const margin = Math.log(packedG / likelyG) - offBy;
    return product * (sigma > 0 ? normalCdf(margin / sigma) : margin >= 0 ? 1 : 0) ** count;
  }, 1);
}

/** Over the common error, all fibres enough; given it, each by itself over its own. */
function joint(fibres: readonly Conditional[]): number {
  let [sum, weights] = [0, 0];
  for (let z = -WIDEST; z <= WIDEST + 1e-9; z += COMMON_STEP) {
    const weight = Math.exp((-z * z) / 2);
    sum += weight * fibres.reduce((product, fibre) => product * enoughGiven(fibre, z), 1);
    weights += weight;
  }
  return Math.min(1, sum / weights);
}

/** One fibre enough, given the common error: its own error is what is left around it. */
function enoughGiven({ fibre, offBy, enough }: Conditional, common: number): number {
  const centre = fibre.commonSigma * common;
  const apart = (offBy[1] ?? 0) - (offBy[0] ?? 0);
  if (offBy.length === 1) return enough[0] ?? 0;
  // Hardly any error of its own: read where the common one puts it.
  if (fibre.sharedSigma < apart) return interpolated(offBy, enough, centre);
  let [sum, weights] = [0, 0];
  offBy.forEach((error, at) => {
    const z = (error - centre) / fibre.sharedSigma;
    const weight = Math.exp((-z * z) / 2);
    sum += weight * (enough[at] ?? 0);
    weights += weight;
  });
  return weights > 0 ? sum / weights : interpolated(offBy, enough, centre);
}

function interpolated(xs: readonly number[], ys: readonly number[], x: number): number {
  const first = xs[0] ?? 0;
  const apart = (xs[1] ?? 1) - first;
  const at = Math.min(xs.length - 1, Math.max(0, (x - first) / apart));
  const [below, share] = [Math.floor(at), at - Math.floor(at)];
  return (1 - share) * (ys[below] ?? 0) + share * (ys[below + 1] ?? ys[below] ?? 0);
}

type Need = OneFibre['needs'][number];

/** More than this nobody takes beyond their pack, for the purposes of a grid. */
const mostBeyondG = ({ likelyG, packedG, sigma }: Need, sharedSigma: number): number =>
  Math.max(0, likelyG * Math.exp(4 * Math.hypot(sigma, sharedSigma)) - packedG);

/**
 * Steps over the estimate’s error, finer where many seats make the sum a sharp function of it, and than the fibre’s own
 * error is wide; weights add up to 1.
 */
function errorNodes({ fibre, needs }: OneFibre): { offBy: number; weight: number }[] {
  const sigma = estimateSigma(fibre);
  if (sigma === 0 || needs.length === 0) return [{ offBy: 0, weight: 1 }];
  const count = needs.reduce((sum, need) => sum + need.count, 0);
  const hand = Math.min(...needs.map((need) => need.sigma));
  const sharp = (1.2 * hand) / (Math.sqrt(count) * sigma);
  const step = Math.min(0.5, Math.max(0.06, Math.min(sharp, fibre.sharedSigma / sigma)));
  const half = Math.ceil(WIDEST / step);
  const nodes = Array.from({ length: 2 * half + 1 }, (_, at) => {
    const z = (at - half) * step;
    return { offBy: sigma * z, weight: Math.exp((-z * z) / 2) };
  });
  const whole = nodes.reduce((sum, { weight }) => sum + weight, 0);
  return nodes.map(({ offBy, weight }) => ({ offBy, weight: weight / whole }));
}

/** What is left on average of so many grams after a need that is log-normal; σ may be 0. */
function leftOf(limitG: number, { likelyG, sigma }: Need, offBy: number): number {
  const middle = likelyG * Math.exp(offBy);
  if (sigma === 0) return Math.max(0, limitG - middle);
  const d = Math.log(limitG / middle) / sigma;
  return limitG * normalCdf(d) - middle * Math.exp(sigma ** 2 / 2) * normalCdf(d - sigma);
}

/**
 * How likely one maker takes k cells beyond the pack. What falls between two cells is shared between them, so that the
 * mean is kept however coarse they are: a pack's small excess is not lost by rounding, and two hundred of them add up.
 */
function beyondCells(need: Need, offBy: number, cellG: number, cells: number): Float64Array {
  const table = new Float64Array(cells);
  const { packedG } = need;
  let [before, integral] = [0, leftOf(packedG, need, offBy)];
  for (let k = 0; k < cells; k++) {
    const next = leftOf(packedG + (k + 1) * cellG, need, offBy);
    const within = Math.min(1, (next - integral) / cellG);
    table[k] = Math.max(0, within - before);
    before = within;
    integral = next;
  }
  return table;
}

/** The sum of two, as far as there are cells. */
function convolve(a: Float64Array, b: Float64Array): Float64Array {
  const sum = new Float64Array(a.length);
  for (let i = 0; i < a.length; i++) {
    const chance = a[i] as number;
    if (chance < 1e-15) continue;
    for (let j = 0; i + j < sum.length; j++) sum[i + j] = (sum[i + j] as number) + chance * (b[j] as number);
  }
  return sum;
}

/** The sum of so many alike. */
function power(base: Float64Array, count: number): Float64Array {
  let result: Float64Array | null = null;
  let square = base;
  for (let left = count; left > 0; left = Math.floor(left / 2)) {
    if (left % 2 === 1) result = result ? convolve(result, square) : square;
    if (left > 1) square = convolve(square, square);
  }
  return result ?? Float64Array.of(1);
}
