import type { Skill } from '../ladder/index.ts';

/** How far learners stray from the amount a make likely takes: σ of ln grams. Ours, uncalibrated. */
export const NEED_SIGMA: Readonly<Record<Skill, number>> = {
  practised: 0.1,
  some: 0.18,
  'first-timer': 0.28,
};

/** Packs that are alike in one fibre: what one likely takes, what is in it, and how far its maker strays. */
export interface SeatNeed {
  readonly likelyG: number;
  readonly packedG: number;
  /** σ of ln grams of one maker about what the figure takes. */
  readonly sigma: number;
  readonly count: number;
}

/** One fibre over a whole class. */
export interface FibreNeed {
  readonly fibreId: string;
  readonly needs: readonly SeatNeed[];
  /** σ of ln grams of the estimate itself: the same for every seat, whoever makes it. */
  readonly sharedSigma: number;
}

/** The normal distribution function by Hart’s rational approximation (Computer Approximations, 1968, no. 5666), to about 1e-14. */
export function normalCdf(z: number): number {
  const x = Math.abs(z);
  if (x > 37) return z > 0 ? 1 : 0;
  const e = Math.exp((-x * x) / 2);
  const tail =
    x < 7.07106781186547
      ? (e *
          ((((((3.52624965998911e-2 * x + 0.700383064443688) * x + 6.37396220353165) * x + 33.912866078383) *
            x +
            112.079291497871) *
            x +
            221.213596169931) *
            x +
            220.206867912376)) /
        (((((((8.83883476483184e-2 * x + 1.75566716318264) * x + 16.064177579207) * x + 86.7807322029461) *
          x +
          296.564248779674) *
          x +
          637.333633378831) *
          x +
          793.826512519948) *
          x +
          440.413735824752)
      : e / (x + 1 / (x + 2 / (x + 3 / (x + 4 / (x + 0.65))))) / 2.506628274631;
  return z > 0 ? 1 - tail : tail;
}

/** Where a normal error is no longer looked for, and in how many steps it is gone through (Simpson). */
const WIDEST = 7;
const STEPS = 280;

/**
 * The chance that nobody is short of a fibre: over the error all seats share, each maker straying by themselves.
 * @returns 0–1
 */
export function chanceEnough({ needs, sharedSigma }: Omit<FibreNeed, 'fibreId'>): number {
  const h = (2 * WIDEST) / STEPS;
  let sum = 0;
  for (let step = 0; step <= STEPS; step++) {
    const z = -WIDEST + step * h;
    const weight = step === 0 || step === STEPS ? 1 : step % 2 === 1 ? 4 : 2;
    sum += weight * Math.exp((-z * z) / 2) * allEnough(needs, sharedSigma * z);
  }
  return Math.min(1, (sum * h) / 3 / Math.sqrt(2 * Math.PI));
}

/** When the estimate is off by so much (ln), the chance that every pack is enough. */
function allEnough(needs: readonly SeatNeed[], offBy: number): number {
  let product = 1;
  for (const { likelyG, packedG, sigma, count } of needs) {
    const margin = Math.log(packedG / likelyG) - offBy;
    product *= (sigma > 0 ? normalCdf(margin / sigma) : margin >= 0 ? 1 : 0) ** count;
  }
  return product;
}

/** The chance that nobody in the class is short of anything; fibres go by themselves. */
export const chanceNobodyShort = (fibres: readonly FibreNeed[]): number =>
  fibres.reduce((product, fibre) => product * chanceEnough(fibre), 1);

/** More than anybody would pack: five times the likely amount. */
const MOST_EXTRA = 4;

/** How much over the likely amount a pack holds at a quantile of everything that is unsure about it, `z` σ out. */
const extraAt = (z: number, sigma: number, sharedSigma: number): number =>
  Math.min(MOST_EXTRA, Math.expm1(z * Math.hypot(sigma, sharedSigma)));

/** Quantiles are looked for so finely, in σ. */
const FINEST_Z = 0.001;
const WIDEST_Z = 8;

/**
 * Every pack at the same quantile, so that nobody in the class is short of this fibre with a chance: who strays more gets
 * more. The smallest quantile that does, in thousandths of σ.
 * @returns over the likely amount, by how far a maker strays; null where even five times as much is not enough
 */
export function extrasForChance(
  { needs, sharedSigma }: Omit<FibreNeed, 'fibreId'>,
  chance: number,
): ((sigma: number) => number) | null {
  const chanceAt = (z: number) =>
    chanceEnough({
      sharedSigma,
      needs: needs.map((need) => ({
        ...need,
        packedG: need.likelyG * (1 + extraAt(z, need.sigma, sharedSigma)),
      })),
    });
  if (chanceAt(WIDEST_Z) < chance) return null;
  let [low, high] = [-WIDEST_Z / FINEST_Z, WIDEST_Z / FINEST_Z];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (chanceAt(middle * FINEST_Z) >= chance) high = middle;
    else low = middle;
  }
  const z = high * FINEST_Z;
  return (sigma) => extraAt(z, sigma, sharedSigma);
}
