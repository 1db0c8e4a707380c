import type { Stretch } from './path.ts';

/** Where a step lies along the ladder, in fractions of its length. */
export interface LaidStretch {
  readonly stretch: Stretch;
  readonly startFraction: number;
  readonly lengthFraction: number;
  /** As long as the middle of the others: nobody has said how long it takes. */
  readonly isGuessed: boolean;
}

/** A shorter step could not be hit: so much of the whole ladder each has at least, while there are few. */
const LEAST_FRACTION = 0.008;

/** Steps one after another, each as long as its minutes. */
export function layOut(stretches: readonly Stretch[]): LaidStretch[] {
  const known = stretches.flatMap(({ minutes, wanted }) => (minutes !== null && wanted ? [minutes] : []));
  const middle = [...known].sort((a, b) => a - b)[Math.floor(known.length / 2)] ?? 1;
  const lengths = stretches.map(({ minutes, wanted }) => minutes ?? (wanted ? middle : 0));
  const total = lengths.reduce((sum, length) => sum + length, 0) || 1;
  const least = Math.min(LEAST_FRACTION, 0.5 / Math.max(1, stretches.length)) * total;
  const shown = lengths.map((length) => Math.max(length, least));
  const whole = shown.reduce((sum, length) => sum + length, 0);
  let start = 0;
  return stretches.map((stretch, index) => {
    const length = (shown[index] ?? 0) / whole;
    const isGuessed = stretch.minutes === null && stretch.wanted !== null;
    const laid = { stretch, startFraction: start, lengthFraction: length, isGuessed };
    start += length;
    return laid;
  });
}
