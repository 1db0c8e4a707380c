export { type MeantRemark, sortedByMeant, withMeant, withoutMeant } from './meant.ts';
export { type Mend, mendOf } from './mends.ts';
export type { Remark, RemarkCode } from './remark.ts';
export { remarksOf } from './remarks.ts';
