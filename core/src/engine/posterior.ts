import { type Learnt, SIGMA } from '../learning/index.ts';
import type { Firmness } from '../shelf/index.ts';

/** A sample of the pattern at hand: ln of what was found over what is usual, of one fibre and firmness. */
export interface PartSample {
  readonly fibreId: string;
  readonly firmness: Firmness;
  readonly ln: number;
  /** Its own error, σ of ln. */
  readonly sigma: number;
}

/** How one fibre at one firmness felts against what is usual. */
export interface FeltedSoFar {
  /** By how much it felts denser than usual, ln. */
  readonly ln: number;
  /** What is left of the maker's own error in it, σ. */
  readonly commonSigma: number;
  /** What is left beside that. */
  readonly sigma: number;
  readonly samples: number;
}

/** How sure a weighed make is of the maker’s hands: as sure as takes 0.15 to 0.05. */
const WEIGHED_MAKE_PRECISION = 1 / SIGMA.commonOfWeighedMake ** 2 - 1 / SIGMA.common ** 2;

/** One fibre at one firmness before the pattern’s own samples: about `ln`, moving with the maker by `slope`. */
interface Before {
  readonly ln: number;
  readonly slope: number;
  readonly sigma: number;
  readonly samples: number;
}

interface Group {
  weight: number;
  sum: number;
  samples: number;
}

const keyOf = (fibreId: string | null, firmness: Firmness): string => `${fibreId ?? ''} ${firmness}`;

/**
 * Each sample is the maker's own firmness, plus what the fibre does, plus its own error, all normal in ln, about what the
 * logbook has taught so far; the posterior is closed form, because samples of different fibres meet only in the maker.
 * Gelman and others, Bayesian Data Analysis, section 5.4 (the hierarchical normal model with known variances).
 * @param lnOfMake ln of a whole weighed make over what it comes to with these samples; null: none
 */
export function makerAndFibres(
  learnt: Learnt | null,
  partSamples: readonly PartSample[],
  lnOfMake: number | null,
): (fibreId: string | null, firmness: Firmness) => FeltedSoFar {
  const maker = learnt?.maker ?? { ln: 0, sigma: SIGMA.common };
  const learntBefore = new Map(
    (learnt?.felted ?? []).map(({ fibreId, firmness, ln, sigma, makerSlope, samples }) => [
      keyOf(fibreId, firmness),
      { ln, sigma, slope: makerSlope, samples },
    ]),
  );
  const untaught: Before = { ln: maker.ln, slope: 1, sigma: SIGMA.coreShared, samples: 0 };
  const before = (key: string): Before => learntBefore.get(key) ?? untaught;
  const groups = grouped(partSamples);
  let precision = 1 / maker.sigma ** 2;
  let pulled = 0;
  for (const [key, { weight, sum }] of groups) {
    const { ln, slope, sigma } = before(key);
    const variance = sigma ** 2 + 1 / weight;
    precision += slope ** 2 / variance;
    pulled += (slope * (sum / weight - ln)) / variance;
  }
  const makePrecision = lnOfMake === null ? 0 : WEIGHED_MAKE_PRECISION;
  const makerMove = pulled / precision + ((lnOfMake ?? 0) * makePrecision) / (precision + makePrecision);
  const makerSigma = Math.sqrt(1 / (precision + makePrecision));
  return (fibreId, firmness) => {
    const key = keyOf(fibreId, firmness);
    const { ln, slope, sigma, samples } = before(key);
    const expected = ln + slope * makerMove;
    const group = groups.get(key);
    if (!group) return { ln: expected, commonSigma: slope * makerSigma, sigma, samples };
    // How much of what is left unexplained by the maker is taken for the fibre's.
    const taken = sigma ** 2 / (sigma ** 2 + 1 / group.weight);
    return {
      ln: expected + taken * (group.sum / group.weight - expected),
      commonSigma: (1 - taken) * slope * makerSigma,
      sigma: sigma * Math.sqrt(1 - taken),
      samples: samples + group.samples,
    };
  };
}

function grouped(partSamples: readonly PartSample[]): ReadonlyMap<string, Group> {
  const groups = new Map<string, Group>();
  for (const { fibreId, firmness, ln, sigma } of partSamples) {
    const key = keyOf(fibreId, firmness);
    const group = groups.get(key) ?? { weight: 0, sum: 0, samples: 0 };
    group.weight += 1 / sigma ** 2;
    group.sum += ln / sigma ** 2;
    group.samples += 1;
    groups.set(key, group);
  }
  return groups;
}
