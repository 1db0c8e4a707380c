export { type MeantRemark, withMeant, withoutMeant } from './meant.ts';
export { type Mend, mendOf } from './mends.ts';
export { inReadingOrder, placeInMaking, type RemarkPlace } from './place.ts';
export type { Remark, RemarkCode } from './remark.ts';
export { remarksOf } from './remarks.ts';
export { type Review, reviewOf } from './reviewOf.ts';
export { RULE_KINDS, type RuleKind, type Weight } from './rule.ts';
export { ruleOf } from './rules/index.ts';
export { type RemarkSubject, subjectOf } from './subject.ts';
