export { withMeant, withoutMeant } from './meant.ts';
export { mendOf } from './mends.ts';
export { placeInMaking, type RemarkPlace } from './place.ts';
export type { Remark, RemarkCode } from './remark.ts';
export { remarksOf } from './remarks.ts';
export { reviewOf } from './reviewOf.ts';
export { RULE_KINDS, type RuleKind, type Weight } from './rule.ts';
export { ruleOf } from './rules/index.ts';
export { subjectOf } from './subject.ts';
