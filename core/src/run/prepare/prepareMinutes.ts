import type { ToPack } from '../packs/toPack.ts';
import type { RunPortions } from '../portions/planGroups.ts';
import { shortOfPlan } from '../portions/planPortions.ts';
import type { StepElsewhere } from '../document/classPlan.ts';
import { RECKONED_PACE, type WorkPace } from './pace.ts';
import { preparedSteps } from './preparedSteps.ts';
import { workMinutes } from '../../pattern/index.ts';

/** Minutes that work beforehand takes. Ours, to be overruled by what you know. */
export const MINUTES_A_CUT = 0.5;
export const MINUTES_A_BLEND = 12;

/** Work before the day of a run, in minutes: what is weighed, packed, cut, blended and half made. */
export interface PrepareMinutes {
  readonly weighing: number;
  readonly packing: number;
  readonly cutting: number;
  readonly blending: number;
  /** Of half-made pieces, as far as their steps are known. */
  readonly samples: number;
  /** Of steps that are done for every pack before the day, as far as they are timed. */
  readonly pieces: number;
  readonly total: number;
}

/** @param blendIds things of the shelf that are blended */
export function prepareMinutes(
  { groups, estimates }: Pick<ToPack, 'groups' | 'estimates'>,
  plan: Pick<RunPortions, 'groups' | 'fibres'>,
  blendIds: ReadonlySet<string>,
  elsewhere: readonly StepElsewhere[] = [],
  pace: WorkPace = RECKONED_PACE,
): PrepareMinutes {
  const sum = (amounts: readonly number[]) => amounts.reduce((total, amount) => total + amount, 0);
  const weighed = sum(plan.groups.map((group) => group.packs * group.plan.fibres.length));
  const packs = sum(plan.groups.map((group) => group.packs));
  const cuts = sum(
    groups
      .filter(({ sample, recipe }) => !sample && recipe?.form !== 'pattern-only')
      .flatMap((group) =>
        group.makes.map((make, at) => {
          const estimated = estimates.get(group.key)?.makes[at]?.cuts ?? [];
          return sum(estimated.map(({ count }) => count)) * make.copies * group.packs;
        }),
      ),
  );
  const blended = shortOfPlan(plan).filter(({ fibreId }) => blendIds.has(fibreId)).length;
  const samples = sum(
    groups.flatMap(({ sample, build }) =>
      sample
        ? build.steps.slice(0, sample.stepNumber).map((step) => workMinutes(step, build)?.high ?? 0)
        : [],
    ),
  );
  const minutes = {
    weighing: weighed * pace.minutesAWeighing,
    packing: packs * pace.minutesAPack,
    cutting: cuts * MINUTES_A_CUT,
    blending: blended * MINUTES_A_BLEND,
    samples,
    pieces: sum(preparedSteps(groups, elsewhere).map(({ minutes }) => minutes ?? 0)),
  };
  return { ...minutes, total: sum(Object.values(minutes)) };
}
