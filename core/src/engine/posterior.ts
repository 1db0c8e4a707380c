import { SIGMA } from './sigmas.ts';

/** A sample: ln of what was found over what was expected, of one fibre and firmness. */
export interface Observation {
  readonly key: string;
  readonly ln: number;
  /** Its own error, σ of ln. */
  readonly sigma: number;
}

/** What samples say of one fibre and firmness. */
export interface Learnt {
  /** By how much it felts denser than usual, ln. */
  readonly ln: number;
  /** What is left of the maker's own error in it, σ. */
  readonly commonSigma: number;
  /** What is left beside that. */
  readonly sigma: number;
  readonly samples: number;
}

/** A weighed make as an observation of the maker's own error: as sure as takes it from 0.15 to 0.05. */
const WEIGHED_MAKE_PRECISION = 1 / SIGMA.commonOfWeighedMake ** 2 - 1 / SIGMA.common ** 2;

/**
 * Each sample is the maker's own firmness, plus what the fibre does, plus its own error, all normal in ln; the posterior is
 * closed form, because samples of different fibres meet only in the maker. Gelman and others, Bayesian Data Analysis,
 * section 5.4 (the hierarchical normal model with known variances).
 * @param lnOfMake ln of a whole weighed make over its calculated mass; null: none
 */
export function makerAndFibres(
  observations: readonly Observation[],
  lnOfMake: number | null,
): (key: string) => Learnt {
  const groups = new Map<string, { weight: number; sum: number; samples: number }>();
  for (const { key, ln, sigma } of observations) {
    const group = groups.get(key) ?? { weight: 0, sum: 0, samples: 0 };
    group.weight += 1 / sigma ** 2;
    group.sum += ln / sigma ** 2;
    group.samples += 1;
    groups.set(key, group);
  }
  let precision = 1 / SIGMA.common ** 2 + (lnOfMake === null ? 0 : WEIGHED_MAKE_PRECISION);
  let sum = lnOfMake === null ? 0 : lnOfMake * WEIGHED_MAKE_PRECISION;
  for (const group of groups.values()) {
    const variance = SIGMA.coreShared ** 2 + 1 / group.weight;
    precision += 1 / variance;
    sum += group.sum / group.weight / variance;
  }
  const makerLn = sum / precision;
  const makerSigma = Math.sqrt(1 / precision);
  return (key) => {
    const group = groups.get(key);
    if (!group) return { ln: makerLn, commonSigma: makerSigma, sigma: SIGMA.coreShared, samples: 0 };
    // How much of what is left unexplained by the maker is taken for the fibre's.
    const taken = SIGMA.coreShared ** 2 / (SIGMA.coreShared ** 2 + 1 / group.weight);
    return {
      ln: makerLn + taken * (group.sum / group.weight - makerLn),
      commonSigma: (1 - taken) * makerSigma,
      sigma: SIGMA.coreShared * Math.sqrt(1 - taken),
      samples: group.samples,
    };
  };
}
