import { normalCdf, normalQuantile } from '../../base/index.ts';
import {
  type ClassNeeds,
  estimateSigma,
  HAND_SHARE,
  type MakerKind,
  type NeededFibre,
} from './classNeeds.ts';

/** Points of the estimate’s errors that are gone through, in pairs of opposite sign. */
const POINT_PAIRS = 256;
/** A maker’s hand is gone through so far out and so finely, in σ. */
const WIDEST_HAND = 4.5;
const HAND_STEP = 0.45;

/**
 * The chance that nobody in a class is short of anything, each with their own pack alone: integrated over the common error,
 * each fibre’s own, and each maker’s hand, which wants more of all their fibres together.
 * @returns 0–1
 */
export function chanceEachAlone({ fibres, makers, toleranceFraction }: ClassNeeds): number {
  const kinds = makers
    .filter(({ count, takes }) => count > 0 && takes.length > 0)
    .map((maker) => marginsOf(maker, toleranceFraction));
  if (kinds.length === 0) return 1;
  const points = errorPoints(fibres);
  const sum = points.reduce((total, offBy) => total + allEnough(kinds, offBy), 0);
  return Math.min(1, Math.max(0, sum / points.length));
}

interface Margins {
  readonly count: number;
  readonly sigma: number;
  readonly at: readonly number[];
  /** ln of how much more each fibre may be wanted than is likely. */
  readonly ln: readonly number[];
}

const marginsOf = ({ count, sigma, takes }: MakerKind, toleranceFraction: number): Margins => ({
  count,
  sigma,
  at: takes.map(({ at }) => at),
  ln: takes.map(({ likelyG, packedG }) => Math.log((packedG * (1 + toleranceFraction)) / likelyG)),
});

/**
 * ln errors of every fibre at evenly spread points of all normal errors: an additive recurrence by the generalised golden
 * ratio (Roberts 2018), each point with its opposite.
 */
function errorPoints(fibres: readonly NeededFibre[]): Float64Array[] {
  const dimensions = fibres.length + 1;
  if (fibres.every((fibre) => estimateSigma(fibre) === 0)) return [new Float64Array(fibres.length)];
  const steps = recurrence(dimensions);
  return Array.from({ length: POINT_PAIRS }, (_, index) => {
    const z = steps.map((step) => normalQuantile((0.5 + (index + 1) * step) % 1 || 0.5));
    const common = z[0] ?? 0;
    const offBy = Float64Array.from(
      fibres,
      ({ commonSigma, sharedSigma }, at) => commonSigma * common + sharedSigma * (z[at + 1] ?? 0),
    );
    return [offBy, offBy.map((error) => -error)];
  }).flat();
}

/** Powers of 1/φ, where φ is the root of x^(d + 1) = x + 1. */
function recurrence(dimensions: number): number[] {
  let ratio = 2;
  for (let step = 0; step < 60; step++) ratio = (1 + ratio) ** (1 / (dimensions + 1));
  return Array.from({ length: dimensions }, (_, at) => ratio ** -(at + 1));
}

/** When the estimates are off by so much (ln), the chance that every pack is enough. */
function allEnough(kinds: readonly Margins[], offBy: Float64Array): number {
  let product = 1;
  for (const kind of kinds) {
    product *= oneEnough(kind, offBy) ** kind.count;
    if (product < 1e-12) return 0;
  }
  return product;
}

/** Of one maker: over their hand, which is the same for all fibres, each fibre straying a little by itself. */
function oneEnough({ sigma, at, ln }: Margins, offBy: Float64Array): number {
  const left = at.map((fibre, index) => (ln[index] ?? 0) - (offBy[fibre] ?? 0));
  if (sigma === 0) return left.every((margin) => margin >= 0) ? 1 : 0;
  if (left.length === 1) return normalCdf((left[0] ?? 0) / sigma);
  const hand = sigma * Math.sqrt(HAND_SHARE);
  const rest = sigma * Math.sqrt(1 - HAND_SHARE);
  let [sum, weights] = [0, 0];
  for (let z = -WIDEST_HAND; z <= WIDEST_HAND + 1e-9; z += HAND_STEP) {
    const weight = Math.exp((-z * z) / 2);
    let product = weight;
    for (const margin of left) {
      const x = (margin - hand * z) / rest;
      if (x < 6) product *= normalCdf(x);
    }
    sum += product;
    weights += weight;
  }
  return sum / weights;
}

/** More than anybody would pack: five times the likely amount. */
export const MOST_EXTRA_FRACTION = 4;

/** Packed over the likely amount, of one fibre for a maker who strays so far. Never less than is likely. */
export type ExtraFor = (fibre: NeededFibre, sigma: number) => number;

/** At a quantile of everything that is unsure about it, `z` σ out, less what may be wanting without being short. */
export const extraAt =
  (z: number, toleranceFraction: number): ExtraFor =>
  (fibre, sigma) =>
    Math.min(
      MOST_EXTRA_FRACTION,
      Math.max(0, Math.exp(z * Math.hypot(sigma, estimateSigma(fibre))) / (1 + toleranceFraction) - 1),
    );

/** Quantiles are looked for so finely, in σ. */
const FINEST_Z = 0.005;
const WIDEST_Z = 8;

/**
 * Every pack at the same quantile, so that nobody in the class is short of anything with a chance: who strays more gets
 * more. The smallest quantile that does.
 * @returns null where even five times as much is not enough
 */
export function extrasForChance(needs: ClassNeeds, chance: number): ExtraFor | null {
  const chanceAt = (z: number) => chanceEachAlone(packedWith(needs, extraAt(z, needs.toleranceFraction)));
  if (chanceAt(WIDEST_Z) < chance) return null;
  let [low, high] = [-1, WIDEST_Z / FINEST_Z];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (chanceAt(middle * FINEST_Z) >= chance) high = middle;
    else low = middle;
  }
  return extraAt(high * FINEST_Z, needs.toleranceFraction);
}

/** The class with so much over the likely amount in every pack. */
export const packedWith = (needs: ClassNeeds, extraOf: ExtraFor): ClassNeeds => ({
  ...needs,
  makers: needs.makers.map((maker) => ({
    ...maker,
    takes: maker.takes.map((take) => {
      const fibre = needs.fibres[take.at];
      return fibre ? { ...take, packedG: take.likelyG * (1 + extraOf(fibre, maker.sigma)) } : take;
    }),
  })),
});
