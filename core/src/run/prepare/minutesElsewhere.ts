import { type Pattern, workMinutes } from '../../pattern/index.ts';
import type { StepElsewhere } from '../document/classPlan.ts';

/** What of one build is done before the class, or after it. */
export interface MinutesElsewhere {
  readonly steps: number;
  /** Of those that are timed, for one piece, at the author’s pace. */
  readonly minutes: number;
  /** So many are not: `minutes` is only “at least”. */
  readonly untimed: number;
}

/** @param build with its options resolved: a step that is left out takes nobody’s time */
export function minutesElsewhere(
  { revisionId, build }: { readonly revisionId: string; readonly build: Pattern },
  elsewhere: readonly StepElsewhere[],
  where: StepElsewhere['where'],
): MinutesElsewhere {
  const steps = build.steps.filter(({ id }) =>
    elsewhere.some((each) => each.where === where && each.revisionId === revisionId && each.stepId === id),
  );
  const timed = steps.flatMap((step) => workMinutes(step, build)?.likely ?? []);
  return {
    steps: steps.length,
    minutes: timed.reduce((sum, each) => sum + each, 0),
    untimed: steps.length - timed.length,
  };
}
