import { type FactorShare, type Observation, SIGMA } from '../learning/index.ts';

/** Where something was weighed. */
type EvidenceSource =
  { readonly kind: 'making'; readonly makingId: string } | { readonly kind: 'run'; readonly runId: string };

/** What kind of number it is held against. */

export type EvidenceKind = 'wool' | 'piece' | 'whole' | 'class' | 'rolled' | 'minutes';

/** Something found against what was expected of it, and where it is from. */
export interface Evidence extends Observation {
  readonly source: EvidenceSource;
  readonly kind: EvidenceKind;
  /** YYYY-MM-DD */
  readonly date: string;
  /** Empty: the studio’s own maker. */
  readonly who: string;
  readonly fibreId: string | null;
  readonly partId: string | null;
  readonly stepId: string | null;
  /** Grams; minutes of a step; of what was rolled, times as much room. */
  readonly expected: number;
  readonly found: number;
}

/** Why something that was written down teaches nothing. */
export type Untaught =
  | { readonly code: 'below_nothing'; readonly tookG: number }
  | { readonly code: 'no_pattern' }
  | { readonly code: 'fibre_not_found' }
  | { readonly code: 'not_in_pattern' }
  | { readonly code: 'expected_unknown' }
  | { readonly code: 'told_by_finer' }
  /** Nothing of it follows from a shape. */
  | { readonly code: 'only_stated' }
  | { readonly code: 'nothing_took' }
  /** What was on the scale holds more than wool. */
  | { readonly code: 'not_only_wool' }
  | { readonly code: 'not_all_finished'; readonly finished: number; readonly seats: number }
  | { readonly code: 'left_not_weighed' };

export interface NotTaught {
  readonly id: string;
  readonly why: Untaught;
}

export interface Gathered {
  readonly evidence: readonly Evidence[];
  readonly untaught: readonly NotTaught[];
}

/** What a weighing itself may be off by, σ of ln: it is a difference of two, each off by up to half a step. @param stepG what the scale reads to */
const weighingSigma = (massG: number, stepG: number): number =>
  Math.hypot(SIGMA.weighed, stepG / (Math.sqrt(6) * massG));

/** The error of what was weighed: its pieces’ own, and the scale’s. */
export const observed = (
  of: readonly FactorShare[],
  foundG: number,
  expectedG: number,
  ownSigma: number,
  stepG: number,
) => ({
  of,
  ln: Math.log(foundG / expectedG),
  sigma: Math.hypot(ownSigma, weighingSigma(foundG, stepG)),
});

/**
 * What another person’s hands add to the doubt, σ of ln: how thick a coat or hair is laid is the fibre’s and the hand’s, and
 * only the studio’s own hand is asked about. How firm they felt is a factor of its own.
 */
export const otherHandsSigma = (of: readonly FactorShare[], who: string): number => {
  if (who === '') return 0;
  const laid = of.filter(({ factor }) => factor.kind === 'hiding' || factor.kind === 'hair');
  return SIGMA.common * Math.abs(laid.reduce((sum, { share }) => sum + share, 0));
};
