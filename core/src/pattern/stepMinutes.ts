import { minutesRange, type Minutes } from './minutes.ts';
import type { Pattern } from './pattern.ts';
import type { Step } from './step.ts';

/** Minutes of several steps: low and high as their authors gave them, all at once. */
export interface MinutesTotal {
  /** The middle of what is known. */
  readonly known: number;
  readonly low: number;
  readonly high: number;
  readonly unknownCount: number;
}

function totalOf(all: readonly (Minutes | null)[]): MinutesTotal {
  const ranges = all.flatMap((minutes) => (minutes === null ? [] : [minutesRange(minutes)]));
  const sum = (of: 'low' | 'likely' | 'high') => ranges.reduce((total, range) => total + range[of], 0);
  return {
    known: sum('likely'),
    low: sum('low'),
    high: sum('high'),
    unknownCount: all.length - ranges.length,
  };
}

/** Nobody works while something waits, so a wait without minutes of work has none. */
const activeOf = ({ act, minutes }: Step): Minutes | null =>
  act.kind === 'wait' && minutes === null ? 0 : minutes;

/** Steps in which something sets or dries, whether or not its time is said; glue that a later wait is about is not. */
export function isWaitedFor(step: Step, { steps }: Pick<Pattern, 'steps'>): boolean {
  if (step.waiting !== null || step.act.kind === 'wait') return true;
  if (step.act.kind !== 'glue') return false;
  const later = steps.slice(steps.findIndex(({ id }) => id === step.id) + 1);
  return !later.some(
    ({ act, partIds }) => act.kind === 'wait' && partIds.some((id) => step.partIds.includes(id)),
  );
}

export const activeMinutes = ({ steps }: Pick<Pattern, 'steps'>): MinutesTotal =>
  totalOf(steps.map(activeOf));

export const waitingMinutes = ({ steps }: Pick<Pattern, 'steps'>): MinutesTotal =>
  totalOf(steps.filter((step) => isWaitedFor(step, { steps })).map(({ waiting }) => waiting));
