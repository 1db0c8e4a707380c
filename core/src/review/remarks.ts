import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { reviewContext } from './context.ts';
import type { Remark } from './remark.ts';
import { REVIEW_RULES, WITHOUT_STEPS } from './rules/index.ts';

/** Everything to look at in a pattern, in the order in which its author would mend it. */
export function remarksOf(pattern: Pattern, wool: Wool): Remark[] {
  const context = reviewContext(pattern, wool);
  const asked =
    pattern.steps.length === 0 ? REVIEW_RULES.filter((each) => WITHOUT_STEPS.has(each)) : REVIEW_RULES;
  return asked.flatMap(({ find }) => find(context));
}
