export { type MeantRemark, withMeant, withoutMeant } from './meant.ts';
export { type Mend, mendOf } from './mends.ts';
export type { Remark, RemarkCode } from './remark.ts';
export { remarksOf } from './remarks.ts';
export { type Review, reviewOf } from './reviewOf.ts';
