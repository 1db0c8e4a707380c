import type { Provision } from '../shelf/index.ts';

/** So many needles of one sort in one holder (or one in the fingers), from its first step to its last. */
export interface Filling {
  readonly key: string;
  readonly size: number;
  readonly per: Provision;
  /** Places of steps, from 0. */
  readonly first: number;
  readonly last: number;
}

/**
 * The most needles that are in holders at once. A holder that is taken up again later stays filled in between; one whose
 * last step is over is emptied, and its needles serve in the next.
 */
export function peakOf(fillings: readonly Filling[]): number {
  const at = fillings.map(({ first }) => first);
  return Math.max(
    0,
    ...at.map((place) =>
      fillings.reduce(
        (sum, { first, last, size }) => (first <= place && place <= last ? sum + size : sum),
        0,
      ),
    ),
  );
}
