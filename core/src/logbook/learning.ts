import { daysBetween } from '../base/index.ts';
import {
  type Belief,
  believe,
  handsLearnt,
  type HandSample,
  type Learnt,
  learntFrom,
  ODD_SIGMAS,
  type PlacedShares,
  placedShares,
  surpriseAmong,
  surpriseOf,
  weighedLess,
  withoutOne,
} from '../learning/index.ts';
import type { HandMeasure } from '../shelf/index.ts';
import type { Evidence } from './evidence.ts';
import type { Making } from './making.ts';

/** How what was written down counts. */
export interface LearningTerms {
  /** Left out by the maker, by id. */
  readonly leftOut: ReadonlySet<string>;
  /** Odd ones that the maker looked at and means so. */
  readonly meant: ReadonlySet<string>;
  /** After so many months a weighing counts half; null: for good. */
  readonly halfLifeMonths: number | null;
  /** YYYY-MM-DD */
  readonly today: string;
}

export interface JudgedEvidence extends Evidence {
  /** Off what the others say, in standard deviations. */
  readonly z: number;
  /** So far off that it is asked about, and does not count until it is meant so. */
  readonly isOdd: boolean;
  readonly isLeftOut: boolean;
  readonly counts: boolean;
}

export interface Learning {
  readonly judged: readonly JudgedEvidence[];
  readonly belief: Belief;
  readonly learnt: Learnt;
}

const DAYS_A_MONTH = 365.25 / 12;

const faded = (evidence: Evidence, { halfLifeMonths, today }: LearningTerms): Evidence => {
  if (halfLifeMonths === null) return evidence;
  const months = Math.max(0, daysBetween(evidence.date, today)) / DAYS_A_MONTH;
  return { ...evidence, ...weighedLess(evidence, 0.5 ** (months / halfLifeMonths)) };
};

/**
 * Everything that was weighed, made one belief. What is over three standard deviations off what the others say does not
 * count until somebody says that it is meant so; the worst is set aside first, for one wild number makes its neighbours odd.
 */
export function learn(
  evidence: readonly Evidence[],
  terms: LearningTerms,
  hands: { readonly samples: readonly HandSample[]; readonly measured: readonly HandMeasure[] },
): Learning {
  const offered = evidence.filter(({ id }) => !terms.leftOut.has(id));
  const { belief, odd } = withoutOdd(
    offered.map((each) => faded(each, terms)),
    terms.meant,
  );
  const judged = evidence.map((each): JudgedEvidence => {
    const isLeftOut = terms.leftOut.has(each.id);
    const weighed = faded(each, terms);
    const counts = !isLeftOut && !odd.has(each.id);
    const { z } = counts ? surpriseAmong(belief, weighed) : surpriseOf(belief, weighed);
    return { ...each, z, isOdd: odd.has(each.id), isLeftOut, counts };
  });
  const handSamples = hands.samples.filter(({ id }) => !terms.leftOut.has(id));
  return { judged, belief, learnt: learntFrom(belief, handsLearnt(handSamples, hands.measured)) };
}

/** Looked for one after another, but not for ever: a book in which a hundred are odd is asked about as it is. */
const MOST_ODD = 100;

function withoutOdd(offered: readonly Evidence[], meant: ReadonlySet<string>) {
  const odd = new Set<string>();
  let belief = believe(offered);
  let kept = offered.map((each) => ({ each, entries: placedShares(belief, each.of) }));
  while (odd.size < MOST_ODD) {
    const worst = farthest(belief, kept, meant);
    if (!worst) break;
    odd.add(worst.id);
    kept = kept.filter(({ each }) => each !== worst);
    belief = withoutOne(belief, worst);
  }
  return { belief, odd };
}

interface Kept {
  readonly each: Evidence;
  readonly entries: PlacedShares;
}

function farthest(belief: Belief, kept: readonly Kept[], meant: ReadonlySet<string>): Evidence | null {
  let [worst, far]: [Evidence | null, number] = [null, ODD_SIGMAS];
  for (const { each, entries } of kept) {
    const off = Math.abs(surpriseAmong(belief, each, entries).z);
    if (off > far && !meant.has(each.id)) [worst, far] = [each, off];
  }
  return worst;
}

/** Times ten, or a tenth: a point that slipped, or another unit. */
const SLIPS = [0.1, 10, 0.001, 1000] as const;
/** How near to it, ln. */
const NEAR = 0.4;

/** What to multiply a number by that is about a power of ten off; null: it is not. */
export function unitSlip({ expected, found }: Pick<Evidence, 'expected' | 'found'>): number | null {
  if (!(expected > 0) || !(found > 0)) return null;
  const slip = SLIPS.find((times) => Math.abs(Math.log((found * times) / expected)) < NEAR);
  return slip ?? null;
}

/** A making without what of it does not count: what is left out, or odd and not meant so. */
export function withoutUncounted(making: Making, judged: readonly JudgedEvidence[]): Making {
  const counts = countsIn(making, judged);
  return {
    ...making,
    lines: making.lines.filter(counts),
    pieces: making.pieces.filter(counts),
    steps: making.steps.filter(counts),
    wholeG: counts({ id: 'whole' }) ? making.wholeG : null,
  };
}

/** The same with what does not count as unknown: in a sum it is missing, and said to be. */
export function uncountedUnknown(making: Making, judged: readonly JudgedEvidence[]): Making {
  const counts = countsIn(making, judged);
  return {
    ...making,
    lines: making.lines.map((line) => (counts(line) ? line : { ...line, beforeG: null, afterG: null })),
    steps: making.steps.map((step) => (counts(step) ? step : { ...step, minutes: null })),
  };
}

function countsIn(making: Making, judged: readonly JudgedEvidence[]) {
  const uncounted = new Set(judged.filter(({ counts }) => !counts).map(({ id }) => id));
  return ({ id }: { readonly id: string }): boolean => !uncounted.has(`${making.id}:${id}`);
}
