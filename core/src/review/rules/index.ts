import type { RemarkCode } from '../remark.ts';
import type { ReviewRule } from '../rule.ts';
import { CHECK_RULES } from './checks.ts';
import { COUNT_RULES } from './counts.ts';
import { FIGURE_RULES } from './figure.ts';
import { HAND_RULES } from './hands.ts';
import { LISTED_RULES } from './listed.ts';
import { MADE_RULES } from './made.ts';
import { ORDER_RULES } from './order.ts';
import { RIGHTS_RULES } from './rights.ts';
import { SESSION_RULES } from './sessions.ts';
import { SEEN_RULES } from './seen.ts';
import { SIZE_RULES } from './sizes.ts';
import { WORD_RULES } from './words.ts';

/** Every rule of the review, in the order in which a maker would mend what it finds. */
export const REVIEW_RULES: readonly ReviewRule[] = [
  ...MADE_RULES,
  ...LISTED_RULES,
  ...ORDER_RULES,
  ...CHECK_RULES,
  ...COUNT_RULES,
  ...SIZE_RULES,
  ...WORD_RULES,
  ...HAND_RULES,
  ...SESSION_RULES,
  ...FIGURE_RULES,
  ...SEEN_RULES,
  ...RIGHTS_RULES,
];

/** Of the pattern as a whole: that one build does without them is no fault, or no choice changes them. */
const OF_THE_WHOLE: ReadonlySet<RemarkCode> = new Set<RemarkCode>([
  ...CHECK_RULES.flatMap(({ code }) => (code === 'check_points_ahead' ? [] : [code])),
  'waiting_not_said',
  'sides_not_said',
  'sides_mixed',
  'same_side_mirrored',
  'count_in_words',
  'range_in_words',
  'curls_off',
  'tool_not_listed',
  'tool_not_used',
  'picture_never_shown',
  'picture_without_words',
  'caution_taken_off',
  'picture_of_other_build',
  'session_wool_not_in_build',
]);

/** What must be so in every build, whatever is chosen; nothing in it needs the figure put together. */
export const IN_EVERY_BUILD: readonly ReviewRule[] = [
  ...MADE_RULES,
  ...LISTED_RULES,
  ...ORDER_RULES,
  ...CHECK_RULES,
  ...COUNT_RULES,
  // A picture may be of one build alone.
  ...WORD_RULES.filter(({ code }) => code === 'picture_promised'),
].filter(({ code }) => !OF_THE_WHOLE.has(code));

/** What the figure put together must be in every build. Its height is stated of the usual one alone: a hat makes it higher. */
export const IN_EVERY_FIGURE: readonly ReviewRule[] = [
  ...FIGURE_RULES.filter(({ code }) => !code.startsWith('height_')),
  ...SEEN_RULES.filter(({ code }) => code === 'fine_work_hidden'),
];

const BY_CODE = new Map(REVIEW_RULES.map((rule) => [rule.code, rule]));

/** The rule that finds remarks of a code. Throws where there is none: every code has one. */
export function ruleOf(code: RemarkCode): ReviewRule {
  const rule = BY_CODE.get(code);
  if (!rule) throw new Error(`no rule ${code}`);
  return rule;
}

/** Of a pattern that is wool only nobody asks for steps: only what is said of the whole is held against it. */
export const WITHOUT_STEPS: ReadonlySet<ReviewRule> = new Set([
  ...SIZE_RULES,
  ...FIGURE_RULES,
  ...SEEN_RULES,
  ...RIGHTS_RULES,
]);
