import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { type MeantRemark, sortedByMeant } from './meant.ts';
import { inReadingOrder } from './place.ts';
import type { Remark } from './remark.ts';
import { remarksOf } from './remarks.ts';

/** The whole review: what is open in a pattern, and what its author means so. */
export interface Review {
  readonly open: readonly Remark[];
  readonly meant: readonly MeantRemark[];
}

export const reviewOf = (pattern: Pattern, wool: Wool): Review =>
  sortedByMeant(pattern, inReadingOrder(remarksOf(pattern, wool), pattern));
