import { type Pattern, workMinutes } from '../pattern/index.ts';
import type { Making } from './making.ts';

/** One step in several makings. */
export interface StepMinutes {
  readonly stepId: string;
  /** From 1. */
  readonly number: number;
  /** As the pattern has it; null: nobody has said. */
  readonly planned: number | null;
  readonly took: readonly { readonly who: string; readonly minutes: number }[];
}

/** Minutes of each step that was timed, by whoever made it; steps nobody timed are left out. */
export const minutesByPerson = (build: Pattern, makings: readonly Making[]): StepMinutes[] =>
  build.steps.flatMap((step, at): StepMinutes[] => {
    const took = makings.flatMap(({ madeBy, steps }) =>
      steps.flatMap(({ stepId, minutes }) =>
        stepId === step.id && minutes !== null && minutes > 0 ? [{ who: madeBy, minutes }] : [],
      ),
    );
    if (took.length === 0) return [];
    return [{ stepId: step.id, number: at + 1, planned: workMinutes(step, build)?.likely ?? null, took }];
  });
