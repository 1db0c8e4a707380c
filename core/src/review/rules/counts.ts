import { countRange, type Pattern, type Step } from '../../pattern/index.ts';
import { rule, stepRule } from '../rule.ts';

const SIDES = /\b(?:left|right)(?![\s-]*(?:over|angle|through|away|size))(?:-hand)?\b/i;

const NUMBER_WORDS = [
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
const NUMBER = `${NUMBER_WORDS.join('|')}|\\d{1,2}`;

/** Counts and pairs. */
export const COUNT_RULES = [
  stepRule(
    'sides_not_said',
    'counts',
    'stumble',
    ({ text }, _at, { pattern }) => pattern.sidesSeen === null && SIDES.test(text),
  ),
  rule('repeat_off', 'counts', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap((step) => {
      const times = step.repeat?.times ?? null;
      const count = countOfOnly(step, pattern);
      // Once, or a divisor of it, is a way to work: two at a time.
      return times !== null && count !== null && times > 1 && times !== count && count % times !== 0
        ? [{ stepId: step.id, times, count }]
        : [];
    }),
  ),
  rule('count_in_words', 'counts', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap((step) =>
      namedCounts(step, pattern).map((found) => ({ stepId: step.id, ...found })),
    ),
  ),
];

/** Plurals that do not end as others do. */
const IRREGULAR: Readonly<Record<string, string>> = {
  foot: 'feet',
  tooth: 'teeth',
  goose: 'geese',
  mouse: 'mice',
};

/** How many there are of the one part a step makes; null: of several, or nobody says. */
function countOfOnly({ act, partIds }: Step, { parts }: Pattern): number | null {
  if (act.kind !== 'make' || partIds.length !== 1) return null;
  const count = countRange(parts.find(({ id }) => id === partIds[0])?.count ?? null);
  return count && count.low === count.high && count.high > 1 ? count.high : null;
}

/** Making says all of a part: `Three legs` where there are four. Elsewhere some of them may be meant, and never more. */
function namedCounts(
  { act, text, partIds }: Step,
  { parts }: Pattern,
): { inWords: number; name: string; count: number }[] {
  return parts.flatMap(({ id, name, count }) => {
    const range = countRange(count);
    if (!partIds.includes(id) || !range || range.low !== range.high || name.trim() === '') return [];
    const inWords = numberBefore(text, name);
    if (inWords === null) return [];
    const isOff = act.kind === 'make' ? inWords !== range.high : inWords > range.high;
    return isOff ? [{ inWords, name, count: range.high }] : [];
  });
}

/** A number before one of these measures; it does not count: `12 mm legs`. */
const UNITS = 'mm|cm|m|g|kg|oz|lb|in|inch|inches|min|mins|minutes?|h|hours?|times|gauge|star|twisted|percent';

/** `four legs`, `4 legs`, `four small legs`; not `0.5 cm legs`, `step 4 legs`; null: no number stands before its name. */
function numberBefore(text: string, name: string): number | null {
  const words = name
    .trim()
    .toLowerCase()
    .replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const plural = words.replace(/\w+$/, (last) => IRREGULAR[last] ?? last);
  const stem = plural === words ? words.replace(/(?:f|fe)$/, '(?:f|fe|ve)') : plural;
  const found = new RegExp(
    `(?<![\\w.,/–×-]|(?:step|part|piece|×|–) )(${NUMBER})\\s+(?:(?!(?:${UNITS})\\b)\\w+\\s+)?${stem}(?:s|es)?\\b`,
    'i',
  ).exec(text);
  const number = found?.[1]?.toLowerCase();
  if (number === undefined) return null;
  const at = NUMBER_WORDS.indexOf(number);
  return at < 0 ? Number(number) : at + 2;
}
