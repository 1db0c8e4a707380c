import { countRange, type CountRange } from './count.ts';
import { type Minutes, minutesRange, type MinutesRange } from './minutes.ts';
import type { Pattern } from './pattern.ts';
import type { Step } from './step.ts';

/** Minutes of several steps: low and high as their authors gave them, all at once. */
export interface MinutesTotal {
  /** The middle of what is known. */
  readonly known: number;
  readonly low: number;
  readonly high: number;
  /** Steps nobody has timed: the sum is then only "at least". */
  readonly unknownCount: number;
}

const ENDS = ['low', 'likely', 'high'] as const;
const ONCE: CountRange = { low: 1, likely: 1, high: 1 };
const NO_TIME: MinutesRange = { low: 0, likely: 0, high: 0 };

function totalOf(all: readonly (MinutesRange | null)[]): MinutesTotal {
  const ranges = all.filter((range) => range !== null);
  const sum = (of: (typeof ENDS)[number]) => ranges.reduce((total, range) => total + range[of], 0);
  return {
    known: sum('likely'),
    low: sum('low'),
    high: sum('high'),
    unknownCount: all.length - ranges.length,
  };
}

/** How often a step is done: as said, else once for each piece it acts on; null while nobody knows how many those are. */
export function repeatsOf(
  step: Pick<Step, 'repeat' | 'partIds'>,
  parts: Pattern['parts'],
): CountRange | null {
  if (!step.repeat) return ONCE;
  const { times } = step.repeat;
  if (times !== null) return { low: times, likely: times, high: times };
  const counts = parts.filter(({ id }) => step.partIds.includes(id)).map(({ count }) => countRange(count));
  if (counts.length === 0) return ONCE;
  return counts.reduce<CountRange | null>(
    (sum, minutes) =>
      sum &&
      minutes && {
        low: sum.low + minutes.low,
        likely: sum.likely + minutes.likely,
        high: sum.high + minutes.high,
      },
    { low: 0, likely: 0, high: 0 },
  );
}

/** All of a step’s work, every repeat; null where nobody has said. Nobody works while something only waits. */
export function workMinutes(step: Step, { parts }: Pick<Pattern, 'parts'>): MinutesRange | null {
  if (step.minutes === null) return step.act.kind === 'wait' ? NO_TIME : null;
  const onceMinutes = minutesRange(step.minutes);
  if (!step.areMinutesEach) return onceMinutes;
  const repeats = repeatsOf(step, parts);
  return (
    repeats && {
      low: onceMinutes.low * repeats.low,
      likely: onceMinutes.likely * repeats.likely,
      high: onceMinutes.high * repeats.high,
    }
  );
}

/** Steps in which something sets or dries, whether or not its time is said; glue that a later wait is about is not. */
export function isWaitedFor(step: Step, { steps }: Pick<Pattern, 'steps'>): boolean {
  if (step.waiting !== null || step.act.kind === 'wait') return true;
  if (step.act.kind !== 'glue') return false;
  const later = steps.slice(steps.findIndex(({ id }) => id === step.id) + 1);
  return !later.some(
    ({ act, partIds }) => act.kind === 'wait' && partIds.some((id) => step.partIds.includes(id)),
  );
}

type Timed = Pick<Pattern, 'steps' | 'parts'>;

/** At work: every step, every repeat. */
export const activeMinutes = (pattern: Timed): MinutesTotal =>
  totalOf(pattern.steps.map((step) => workMinutes(step, pattern)));

/**
 * Waiting, by the longest chain: waits follow one another where a later one is of the same part or waits for the earlier by
 * a link; others run side by side and are not added up.
 */
export function waitingMinutes(pattern: Pick<Pattern, 'steps' | 'links' | 'joins'>): MinutesTotal {
  const waits = pattern.steps.map((step) => (isWaitedFor(step, pattern) ? (step.waiting ?? 'unknown') : 0));
  const [low, known, high] = ENDS.map((end) =>
    longestChain(
      pattern,
      waits.map((wait) => (wait === 'unknown' ? 0 : endOf(wait, end))),
    ),
  );
  return {
    low: low ?? 0,
    known: known ?? 0,
    high: high ?? 0,
    unknownCount: waits.filter((wait) => wait === 'unknown').length,
  };
}

const endOf = (minutes: Minutes, end: (typeof ENDS)[number]): number => minutesRange(minutes)[end];

/** @param waits of each step, minutes */
function longestChain(
  { steps, links, joins }: Pick<Pattern, 'steps' | 'links' | 'joins'>,
  waits: readonly number[],
): number {
  const onPart = new Map<string, number>();
  const upTo = new Map<string, number>();
  let longest = 0;
  steps.forEach((step, at) => {
    const joined = joins
      .filter(({ id }) => step.joinIds.includes(id))
      .flatMap(({ partId, ontoId }) => [partId, ontoId]);
    const touched = new Set([...step.partIds, ...joined]);
    const before = [
      ...[...touched].map((partId) => onPart.get(partId) ?? 0),
      ...links.filter(({ afterId }) => afterId === step.id).map(({ beforeId }) => upTo.get(beforeId) ?? 0),
    ];
    const chain = Math.max(0, ...before) + (waits[at] ?? 0);
    for (const partId of touched) onPart.set(partId, chain);
    upTo.set(step.id, chain);
    longest = Math.max(longest, chain);
  });
  return longest;
}
