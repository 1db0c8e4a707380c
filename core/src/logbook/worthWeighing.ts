import {
  type Belief,
  believedOf,
  covarianceOf,
  type Factor,
  factorKey,
  type FactorShare,
  SIGMA,
} from '../learning/index.ts';
import type { ExpectedUse } from './expected.ts';

/** One sample that could be made. */
export interface WorthWeighing {
  readonly factor: Extract<Factor, { kind: 'felted' | 'hiding' | 'hair' }>;
  /** Grams of it in what is ahead, as expected. */
  readonly aheadG: number;
  /** How unsure all that is ahead is now, and after one sample of it: σ, grams. */
  readonly sigmaG: number;
  readonly sigmaAfterG: number;
}

type Worth = WorthWeighing['factor'];

const isWorth = (factor: Factor): factor is Worth =>
  factor.kind === 'felted' || factor.kind === 'hiding' || factor.kind === 'hair';

/**
 * Which one sample would take most doubt off what is ahead: the variance of its grams that one more weighing of each factor
 * explains, (aᵀ·C·b)² ÷ (bᵀ·C·b + σ²).
 * @param ahead all uses of the runs ahead, as often as they are made
 * @returns the best first
 */
export function worthWeighing(belief: Belief, ahead: readonly ExpectedUse[]): WorthWeighing[] {
  const grams = gramsByFactor(ahead);
  const all: FactorShare[] = [...grams.values()].map(({ factor, massG }) => ({ factor, share: massG }));
  const variance = believedOf(belief, all).sigma ** 2;
  return [...grams.values()]
    .flatMap(({ factor, massG }): WorthWeighing[] => {
      if (!isWorth(factor)) return [];
      const sample = sampleOf(factor);
      const together = all.reduce(
        (sum, { factor: other, share }) =>
          sum +
          share *
            sample.reduce(
              (each, sampled) => each + sampled.share * covarianceOf(belief, other, sampled.factor),
              0,
            ),
        0,
      );
      const explained = together ** 2 / (believedOf(belief, sample).sigma ** 2 + SIGMA.coreOwn ** 2);
      const after = Math.sqrt(Math.max(0, variance - explained));
      return [{ factor, aheadG: massG, sigmaG: Math.sqrt(variance), sigmaAfterG: after }];
    })
    .toSorted((a, b) => a.sigmaAfterG - b.sigmaAfterG);
}

/** A sample by the studio’s own maker. */
const sampleOf = (factor: Worth): FactorShare[] =>
  factor.kind === 'felted'
    ? [
        { factor, share: 1 },
        { factor: { kind: 'maker', who: '' }, share: 1 },
      ]
    : [{ factor, share: 1 }];

function gramsByFactor(ahead: readonly ExpectedUse[]) {
  const grams = new Map<string, { factor: Factor; massG: number }>();
  for (const { factors, pieceG, count } of ahead) {
    for (const { factor, share } of factors) {
      const key = factorKey(factor);
      const entry = grams.get(key) ?? { factor, massG: 0 };
      entry.massG += share * pieceG * count;
      grams.set(key, entry);
    }
  }
  return grams;
}
