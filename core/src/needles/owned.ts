import { byCodePoint } from '../base/index.ts';
import { feelOf, finenessOf, isOfSort, type Needle, type NeedleWanted } from '../shelf/index.ts';
import { compareStrength, judgeNeedle, type Verdict } from './judge.ts';
import { factsOfNeedle, factsOfWanted } from './needleFacts.ts';
import { type NeedleRuleId, STRENGTHS } from './rules.ts';
import type { StepFacts } from './stepFacts.ts';

/** What the shelf has for a sort of needle that is asked for. */
export type Owned =
  | { readonly kind: 'owned'; readonly needle: Needle }
  /** None of this sort; the nearest that suits, and which rules it breaks that the wanted one does not. */
  | { readonly kind: 'nearest'; readonly needle: Needle; readonly lost: readonly NeedleRuleId[] }
  | { readonly kind: 'none' };

/** Needles that can be handed out: on the shelf, and not counted as gone. */
export const handedOut = (needles: readonly Needle[]): Needle[] =>
  needles.filter(({ archived, onHand }) => !archived && onHand !== 0);

const marksOf = (verdicts: readonly Verdict[]): number =>
  verdicts.reduce((sum, { strength }) => sum + STRENGTHS.indexOf(strength), 0);

/**
 * One needle of the shelf for each sort that is asked for, the same in all its steps: the best for them together, then
 * the one of which there are most.
 * @param steps those that are done with it
 */
export function ownedFor(
  wanted: NeedleWanted,
  steps: readonly StepFacts[],
  needles: readonly Needle[],
): Owned {
  const there = handedOut(needles);
  const ofSort = there.filter((needle) => isOfSort(needle, wanted));
  if (ofSort.length > 0) return { kind: 'owned', needle: bestOf(ofSort, steps, () => 0) };
  if (there.length === 0) return { kind: 'none' };
  const off = (needle: Needle) => Math.abs((factsOfNeedle(needle).gauge ?? 0) - finenessOf(wanted));
  const needle = bestOf(there, steps, off);
  return { kind: 'nearest', needle, lost: lostBy(wanted, needle, steps) };
}

function bestOf(
  needles: readonly Needle[],
  steps: readonly StepFacts[],
  off: (needle: Needle) => number,
): Needle {
  const ranked = needles
    .map((needle) => {
      const facts = factsOfNeedle(needle);
      return { needle, marks: marksOf(steps.map((step) => judgeNeedle(step, facts))), off: off(needle) };
    })
    .sort(
      (a, b) =>
        b.marks - a.marks ||
        a.off - b.off ||
        (b.needle.onHand ?? 0) - (a.needle.onHand ?? 0) ||
        byCodePoint(a.needle.id, b.needle.id),
    );
  const [first] = ranked;
  if (!first) throw new Error('there is no needle to choose from');
  return first.needle;
}

/** Rules against the needle that do not speak against the wanted one. */
function lostBy(wanted: NeedleWanted, needle: Needle, steps: readonly StepFacts[]): NeedleRuleId[] {
  const [needleFacts, ideal] = [factsOfNeedle(needle), factsOfWanted(wanted)];
  const lost = steps.flatMap((step) => {
    const [is, was] = [judgeNeedle(step, needleFacts), judgeNeedle(step, ideal)];
    return compareStrength(is.strength, was.strength) < 0
      ? is.because.filter((id) => !was.because.includes(id) && !was.also.includes(id))
      : [];
  });
  return [...new Set(lost)];
}

/** Needles of the shelf from the best for a step to the worst; each with why. */
export function rankedFor(
  step: StepFacts,
  needles: readonly Needle[],
): { readonly needle: Needle; readonly verdict: Verdict }[] {
  return handedOut(needles)
    .map((needle) => ({ needle, verdict: judgeNeedle(step, factsOfNeedle(needle)) }))
    .sort(
      (a, b) =>
        compareStrength(b.verdict.strength, a.verdict.strength) ||
        b.verdict.because.length - a.verdict.because.length ||
        (a.needle.gauge ?? 99) - (b.needle.gauge ?? 99),
    );
}

/** How a pattern asks for a needle of the shelf; null for one that has neither a gauge nor a size word. */
export function wantedOf(needle: Pick<Needle, 'gauge' | 'profile' | 'sizeWord'>): NeedleWanted | null {
  if (needle.gauge !== null) return { by: 'gauge', gauge: needle.gauge, profile: needle.profile };
  const feel = feelOf(needle);
  return feel && { by: 'feel', feel };
}
