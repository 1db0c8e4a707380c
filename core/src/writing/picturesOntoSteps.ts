import { minutesRange, type Pattern, type Step, workMinutes } from '../pattern/index.ts';

/** A picture that comes in: what its file is called, and when it was taken. */
export interface ComingPicture {
  readonly name: string;
  /** Milliseconds since 1970. */
  readonly atMs: number;
}

/** By the number in its name, or by when it was taken. */
export type PlacedBy = 'number' | 'time';

/**
 * Onto which step each of several pictures goes.
 * @returns of each the place of its step, from 0; null: nothing tells
 */
export const picturesOntoSteps = (
  pictures: readonly ComingPicture[],
  pattern: Pick<Pattern, 'steps' | 'parts'>,
  by: PlacedBy,
): (number | null)[] =>
  by === 'number'
    ? pictures.map(({ name }) => stepNamed(name, pattern.steps.length))
    : stepsByTime(pictures, pattern);

/** `step 12`, else the first number of up to three digits: what a camera counts has more. */
function stepNamed(name: string, stepCount: number): number | null {
  const found = /step[\s_-]*0*(\d{1,3})(?!\d)/i.exec(name) ?? /(?<!\d)(\d{1,3})(?!\d)/.exec(bareName(name));
  const number = Number(found?.[1] ?? 0);
  return number >= 1 && number <= stepCount ? number - 1 : null;
}

const bareName = (name: string): string => name.replace(/\.[^.]*$/, '');

/** The first shows the first step done, the last the last; between them time passes as the steps’ minutes and waits do. */
function stepsByTime(pictures: readonly ComingPicture[], { steps, parts }: Pick<Pattern, 'steps' | 'parts'>): (number | null)[] {
  if (steps.length === 0) return pictures.map(() => null);
  const doneAt = runningSum(lengthsOf(steps, parts));
  const [beginsAt = 0, endsAt = 0] = [doneAt[0], doneAt.at(-1)];
  const times = pictures.map(({ atMs }) => atMs);
  const [first, last] = [Math.min(...times), Math.max(...times)];
  return times.map((time) => {
    if (last === first) return steps.length - 1;
    const at = beginsAt + ((time - first) / (last - first)) * (endsAt - beginsAt);
    const step = doneAt.findIndex((end) => end >= at - SLACK);
    return step < 0 ? steps.length - 1 : step;
  });
} // prettier-ignore

/** Past what adding up strays. */
const SLACK = 1e-6;

/** Minutes of each, waits too; one that nobody timed is as long as the usual one of the others. */
function lengthsOf(steps: readonly Step[], parts: Pattern['parts']): number[] {
  const known = steps.map((step) => {
    const work = workMinutes(step, { parts });
    const waiting = step.waiting === null ? 0 : minutesRange(step.waiting).likely;
    return work && work.likely + waiting;
  });
  const timed = known.flatMap((minutes) => minutes ?? []).toSorted((a, b) => a - b);
  const usual = timed[Math.floor(timed.length / 2)] ?? 1;
  return known.map((minutes) => Math.max(minutes ?? usual, SHORTEST_MINUTES));
}

/** A step of no time is done when it is begun, and still may be photographed. */
const SHORTEST_MINUTES = 0.1;

function runningSum(lengths: readonly number[]): number[] {
  let sum = 0;
  return lengths.map((length) => (sum += length));
}
