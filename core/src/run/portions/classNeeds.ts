import type { Skill } from '../../needles/index.ts';

/** How far one learner’s hand strays from what a make likely takes: σ of ln grams. Ours, uncalibrated. */
export const NEED_SIGMA: Readonly<Record<Skill, number>> = {
  practised: 0.08,
  some: 0.12,
  'first-timer': 0.18,
};

/** Of a learner’s variance, so much is the same for all their fibres: one hand. */
export const HAND_SHARE = 0.75;

/** Short is wanting over so much more than is there: wool gives, and 10 % less is 3 % in size. Settable. */
export const SHORT_FRACTION = 0.1;

/** How unsure the estimate of one fibre is, the same for everybody who makes it: σ of ln grams. */
export interface NeededFibre {
  readonly fibreId: string;
  /** Of everything that is felted: common to all fibres. */
  readonly commonSigma: number;
  /** Of this fibre beside that. */
  readonly sharedSigma: number;
}

/** What one maker takes of one fibre. */
export interface Take {
  /** Place among the fibres. */
  readonly at: number;
  readonly likelyG: number;
  readonly packedG: number;
}

/** Learners who make the same and stray as far. */
export interface MakerKind {
  readonly groupKey: string;
  readonly count: number;
  readonly sigma: number;
  readonly takes: readonly Take[];
}

/**
 * A class and its packs. A make takes likely × exp(common + shared of the fibre + the maker’s hand); of the hand three
 * quarters of the variance go to all of a maker’s fibres alike.
 */
export interface ClassNeeds {
  readonly fibres: readonly NeededFibre[];
  readonly makers: readonly MakerKind[];
  /** Wanting up to so much more than is there is not short. */
  readonly toleranceFraction: number;
}

/** All that is unsure about one fibre’s estimate. */
export const estimateSigma = ({ commonSigma, sharedSigma }: Omit<NeededFibre, 'fibreId'>): number =>
  Math.hypot(commonSigma, sharedSigma);

/** The class as if only one of its fibres could run short. */
export const onlyFibre = ({ fibres, makers, toleranceFraction }: ClassNeeds, at: number): ClassNeeds => ({
  fibres: fibres.slice(at, at + 1),
  makers: makers.map((maker) => ({
    ...maker,
    takes: maker.takes.filter((take) => take.at === at).map((take) => ({ ...take, at: 0 })),
  })),
  toleranceFraction,
});
