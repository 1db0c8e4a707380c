import { counted } from './amounts.ts';
import { lengthOfTime } from './timetableWords.ts';

/** How long some steps take, and how much of it nobody has timed: never nought for what is not known. */
export function timeOfSteps(time: {
  readonly steps: number;
  /** Of those that are timed. */
  readonly minutes: number;
  readonly untimed: number;
}): string {
  const { steps, minutes, untimed } = time;
  if (untimed > 0 && untimed === steps) return `${counted(steps, 'step')}, untimed`;
  return untimed > 0
    ? `at least ${lengthOfTime(minutes)}, with ${counted(untimed, 'step')} untimed`
    : lengthOfTime(minutes);
}
