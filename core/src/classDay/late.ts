import { areStepsMarked, isPassed, lastTouched, type Touched } from './touched.ts';

interface LateTerms {
  /** When the sitting was to begin. */
  readonly from: number;
  /** When it began; null: it has not. */
  readonly beganAt: number | null;
  readonly now: number;
}

/**
 * By how much a sitting is behind its plan, minutes; below nought: ahead of it. What the last thing that was begun or ended was late by;
 * and more, minute by minute, as soon as something goes on, or is not begun, past its time. Where no step is ever marked, steps tell
 * nothing.
 */
export function lateOf(touched: readonly Touched[], { from, beganAt, now }: LateTerms): number {
  if (beganAt === null) return Math.max(0, now - from);
  const last = lastTouched(touched);
  const isTold = areStepsMarked(touched);
  const open = touched.filter(
    (each) => each.endedAt === null && !isPassed(each, last) && (each.entry.kind !== 'step' || isTold),
  );
  const overdue = open.map(({ entry, beganAt: began }) =>
    began !== null || entry.kind === 'step' ? now - entry.to : now - entry.from,
  );
  return Math.max(last === null ? beganAt - from : lateBy(last), ...overdue);
}

/** What it says of the day that this was begun then, or ended then. */
function lateBy({ entry, beganAt, endedAt, extraMinutes }: Touched): number {
  if (endedAt !== null) return endedAt - entry.to;
  return (beganAt === null ? 0 : beganAt - entry.from) + extraMinutes;
}
