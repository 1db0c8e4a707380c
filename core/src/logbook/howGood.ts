import { normalCdf, Z90 } from '../base/index.ts';
import { believe, believedOf, type Belief, withOneMore } from '../learning/index.ts';
import type { Evidence, EvidenceKind } from './evidence.ts';

/** What would have been said of something the day before it was weighed, and what it was. */
export interface Foretold {
  readonly id: string;
  readonly date: string;
  readonly kind: EvidenceKind;
  readonly fibreId: string | null;
  readonly partId: string | null;
  readonly stepId: string | null;
  /** As estimated from all that was weighed before. */
  readonly estimated: number;
  /** 10th and 90th percentile of that. */
  readonly low: number;
  readonly high: number;
  readonly found: number;
  readonly isInside: boolean;
}

const byDate = (a: Evidence, b: Evidence): number => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0);

/**
 * Estimates in the order things were weighed, each from what was weighed before it and from nothing else: so nothing is praised
 * for what it was told.
 */
export function foretold(evidence: readonly Evidence[]): Foretold[] {
  let belief: Belief = believe([]);
  return evidence.toSorted(byDate).map((each) => {
    const { ln, sigma } = believedOf(belief, each.of);
    const spread = Z90 * Math.hypot(sigma, each.sigma);
    const estimated = each.expected * Math.exp(ln);
    const [low, high] = [estimated * Math.exp(-spread), estimated * Math.exp(spread)];
    belief = withOneMore(belief, each);
    const { id, date, kind, fibreId, partId, stepId, found } = each;
    const isInside = found >= low && found <= high;
    return { id, date, kind, fibreId, partId, stepId, estimated, low, high, found, isInside };
  });
}

/** How good some estimates were. */
export interface HowGood {
  readonly count: number;
  readonly inside: number;
  /** Half of them were nearer than this, as a fraction. Null: there are none. */
  readonly typicalOff: number | null;
  /** The middle of found over estimated: over 1 we estimate too little. Null: there are none. */
  readonly lean: number | null;
  readonly verdict: 'too-few' | 'as-promised' | 'too-sure' | 'too-unsure';
}

/** What a range promises: eight in ten. */
const PROMISED = 0.8;
/** Under this a count of hits says nothing. */
const FEWEST = 10;
/** Nobody is blamed for what chance does one time in forty. */
const BLAME = 0.025;

export function howGood(all: readonly Pick<Foretold, 'estimated' | 'found' | 'isInside'>[]): HowGood {
  const inside = all.filter(({ isInside }) => isInside).length;
  const logs = all.map(({ estimated, found }) => Math.log(found / estimated));
  return {
    count: all.length,
    inside,
    typicalOff: all.length === 0 ? null : Math.expm1(median(logs.map(Math.abs))),
    lean: all.length === 0 ? null : Math.exp(median(logs)),
    verdict: verdictOf(inside, all.length),
  };
}

function verdictOf(inside: number, count: number): HowGood['verdict'] {
  if (count < FEWEST) return 'too-few';
  if (binomialAtMost(inside, count, PROMISED) < BLAME) return 'too-sure';
  // As many or more.
  if (1 - binomialAtMost(inside - 1, count, PROMISED) < BLAME) return 'too-unsure';
  return 'as-promised';
}

/** Chance of at most so many of `count`, each with this chance: summed; over a thousand by the normal. */
function binomialAtMost(most: number, count: number, chance: number): number {
  if (most < 0) return 0;
  if (count > 1000)
    return normalCdf((most + 0.5 - count * chance) / Math.sqrt(count * chance * (1 - chance)));
  let term = (1 - chance) ** count;
  let sum = term;
  for (let at = 1; at <= most; at++) {
    term *= ((count - at + 1) / at) * (chance / (1 - chance));
    sum += term;
  }
  return Math.min(1, sum);
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? 0)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}
