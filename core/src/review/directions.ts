import type { Pattern, Step } from '../pattern/index.ts';
import { remembered } from './remembered.ts';

/** Ways to go round or along a thing, each with its opposite. */
const WAYS: readonly (readonly [axis: string, way: string, words: RegExp])[] = [
  ['round', 'on', /(?<!\p{L}|anti-|counter-|anti |counter )clockwise\b/iu],
  ['round', 'back', /\b(?:anti|counter)[-\s]?clockwise\b/iu],
  ['across', 'on', /\bleft to right\b/iu],
  ['across', 'back', /\bright to left\b/iu],
  ['upright', 'on', /\b(?:top to bottom|top down|downwards?)\b/iu],
  ['upright', 'back', /\b(?:bottom to top|bottom up|upwards?)\b/iu],
  ['reach', 'on', /\btowards? you\b/iu],
  ['reach', 'back', /\baway from (?:you|yourself)\b/iu],
  ['along', 'on', /\b(?:head|nose|beak|neck) to (?:the )?(?:tail|rump)\b/iu],
  ['along', 'back', /\b(?:tail|rump) to (?:the )?(?:head|nose|beak|neck)\b/iu],
];
/** Wool is laid with its fibre: which way matters. */
const LAYS = /\b(?:wrap|wind|coil|spiral|roll|lay|brush|comb)\w*\b/i;
/** Whoever says so means to turn back. */
const TURNED =
  /\b(?:then|now|back|cross\w*|other way|revers\w*|opposite|altern\w*|this time|mirror\w*|second|next layer)\b/i;
/** Left to the maker. */
const LEFT_OPEN = /\b(?:if|or|whichever|chose|chosen|either|decided)\b/i;

interface Way {
  readonly axis: string;
  readonly way: string;
  readonly inText: string;
}

/** The way a text goes; where it goes both, neither. */
const waysIn = remembered((text: string): readonly Way[] => {
  const found = WAYS.flatMap(([axis, way, words]) => {
    const inText = words.exec(text)?.[0];
    return inText === undefined ? [] : [{ axis, way, inText }];
  });
  return found.filter(({ axis }) => found.filter((each) => each.axis === axis).length === 1);
});

/** A step that lays wool against the way of an earlier one on the same part, or against one that is left to the maker. */
export interface Against {
  readonly stepId: string;
  readonly inText: string;
  readonly beforeId: string;
  readonly was: 'laid' | 'left open';
}

export function wrappedAgainst({ steps }: Pattern): Against[] {
  return steps.flatMap((step, at) => {
    if (!isLaying(step)) return [];
    const before = steps.slice(0, at).filter((each) => isOnSame(each, step));
    const [first] = waysIn(step.text).flatMap((way) => againstOne(step, way, before));
    const chosen = first ?? againstChoice(step, steps);
    return chosen ? [chosen] : [];
  });
}

const isLaying = ({ act, text }: Step): boolean =>
  (act.kind === 'wrap' || LAYS.test(text)) && !TURNED.test(text) && !LEFT_OPEN.test(text);

const isOnSame = (a: Step, b: Step): boolean => a.partIds.some((id) => b.partIds.includes(id));

function againstOne({ id: stepId }: Step, { axis, way, inText }: Way, before: readonly Step[]): Against[] {
  const earlier = before.findLast(
    (each) =>
      each.act.kind !== 'decide' &&
      LAYS.test(each.text) &&
      waysIn(each.text).some((other) => other.axis === axis),
  );
  const isOpposite =
    earlier && waysIn(earlier.text).some((other) => other.axis === axis && other.way !== way);
  return isOpposite ? [{ stepId, inText, beforeId: earlier.id, was: 'laid' }] : [];
}

/** It recalls a choice and then makes it itself: one of the answers stands in its words, and no other. */
function againstChoice({ id: stepId, text, recallsStepId }: Step, steps: readonly Step[]): Against | null {
  const decided = steps.find(({ id }) => id === recallsStepId);
  if (decided?.act.kind !== 'decide') return null;
  const found = decided.act.answers.filter((answer) => isSaid(text, answer));
  const [inText] = found;
  return inText !== undefined && found.length === 1
    ? { stepId, inText, beforeId: decided.id, was: 'left open' }
    : null;
}

const isSaid = (text: string, answer: string): boolean => {
  const words = answer.trim().toLowerCase();
  const at = words === '' ? -1 : text.toLowerCase().search(new RegExp(`(?<![\\p{L}-])${words.replaceAll(/[^\p{L}\p{N} ]/gu, '.')}(?!\\p{L})`, 'u')); // prettier-ignore
  return at >= 0;
};
