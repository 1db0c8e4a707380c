import { toMm } from '../base/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { RESIZE_BOUNDS, resizePattern } from '../resize/index.ts';
import type { CommissionInput } from './commission.ts';

/** How much of the pattern’s own size is wanted, linear. */
export type SizeWanted =
  | { readonly kind: 'size'; readonly fraction: number }
  /** A height is wanted, and the pattern does not say its own. */
  | { readonly kind: 'unknown' }
  /** No figure is made so many times smaller or larger. */
  | { readonly kind: 'too_far'; readonly fraction: number };

/** @param pattern its options chosen */
export function sizeWanted(
  { height }: Pick<CommissionInput, 'height'>,
  pattern: Pick<Pattern, 'finishedHeight'>,
): SizeWanted {
  if (height === null) return { kind: 'size', fraction: 1 };
  const ownMm = pattern.finishedHeight === null ? 0 : toMm(pattern.finishedHeight);
  if (ownMm <= 0) return { kind: 'unknown' };
  const fraction = toMm(height) / ownMm;
  const isNear = fraction >= RESIZE_BOUNDS.min && fraction <= RESIZE_BOUNDS.max;
  return isNear ? { kind: 'size', fraction } : { kind: 'too_far', fraction };
}

/** The pattern as it is wanted; null: nobody can say how large that is. */
export function buildWanted(commission: Pick<CommissionInput, 'height'>, build: Pattern): Pattern | null {
  const size = sizeWanted(commission, build);
  if (size.kind !== 'size') return null;
  return size.fraction === 1 ? build : resizePattern(build, size.fraction);
}
