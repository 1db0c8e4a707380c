import { type Pattern, type Step, workMinutes } from '../../pattern/index.ts';
import type { StepElsewhere } from '../document/classPlan.ts';
import { designsOfPacks } from '../packs/designsOfPacks.ts';
import type { PackGroup } from '../packs/packGroups.ts';

/** A step that is done before the day, for every pack that has it. */
interface PreparedStep {
  readonly revisionId: string;
  readonly pattern: Pattern;
  readonly step: Step;
  /** Packs whose build has it: seats, spares, what is shown. */
  readonly packs: number;
  /** Of all of them, at the author’s pace; null: nobody has timed it. */
  readonly minutes: number | null;
}

/** What of a plan is prepared beforehand, in the order of the steps; half-made samples are made apart. */
export function preparedSteps(
  groups: readonly PackGroup[],
  elsewhere: readonly StepElsewhere[],
): PreparedStep[] {
  return [...designsOfPacks(groups)].flatMap(([revisionId, pattern]) =>
    pattern.steps.flatMap((step): PreparedStep[] => {
      const isPrepared = elsewhere.some(
        (each) => each.where === 'before' && each.revisionId === revisionId && each.stepId === step.id,
      );
      if (!isPrepared) return [];
      const made = groups.flatMap(({ sample, makes, packs }) =>
        sample
          ? []
          : makes.flatMap(({ revisionId: its, build, copies }) => {
              const built = its === revisionId && build.steps.find(({ id }) => id === step.id);
              return built
                ? [{ packs: packs * copies, work: workMinutes(built, build)?.likely ?? null }]
                : [];
            }),
      );
      const packs = made.reduce((sum, each) => sum + each.packs, 0);
      const isTimed = made.every(({ work }) => work !== null);
      const minutes = made.reduce((sum, each) => sum + (each.work ?? 0) * each.packs, 0);
      return packs > 0 ? [{ revisionId, pattern, step, packs, minutes: isTimed ? minutes : null }] : [];
    }),
  );
}
