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
import { WORD_RULES } from './words.ts';

/** Every rule of the review, in the order in which a maker would mend what it finds. */
export const REVIEW_RULES: readonly ReviewRule[] = [
  ...MADE_RULES,
  ...LISTED_RULES,
  ...ORDER_RULES,
  ...CHECK_RULES,
  ...COUNT_RULES,
  ...WORD_RULES,
  ...HAND_RULES,
  ...SESSION_RULES,
  ...FIGURE_RULES,
  ...RIGHTS_RULES,
];

/** Of a pattern that is wool only nobody asks for steps: only what is said of the whole is held against it. */
export const WITHOUT_STEPS: ReadonlySet<ReviewRule> = new Set([...FIGURE_RULES, ...RIGHTS_RULES]);
