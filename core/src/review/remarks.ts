import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { reviewContext } from './context.ts';
import { remarksNearby } from './remarksNearby.ts';
import type { Remark } from './remark.ts';
import { REVIEW_RULES, WITHOUT_STEPS } from './rules/index.ts';

/** Everything to look at in a pattern and the builds one choice away, in the order in which its author would mend it. */
export function remarksOf(pattern: Pattern, wool: Wool): Remark[] {
  const context = reviewContext(pattern, wool);
  if (pattern.steps.length === 0)
    return REVIEW_RULES.filter((each) => WITHOUT_STEPS.has(each)).flatMap(({ find }) => find(context));
  const written = REVIEW_RULES.flatMap(({ find }) => find(context));
  return [...written, ...remarksNearby(context, written)];
}
