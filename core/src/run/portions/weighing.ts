import { wholeUp } from '../../base/index.ts';
import { bestGroups, type Parting } from './parting.ts';

/** The relative error a weighed portion may have. */
const WANTED_ERROR_FRACTION = 0.1;

/** What a hand measure is off by (σ of ln grams, uncalibrated): a weighing that is no better is not worth it. */
export const HAND_ERROR_FRACTION = 0.35;

/** How one fibre's portions are weighed. Masses are whole scale steps, so that every total is exact. */
export type Weighing =
  | { readonly kind: 'single'; readonly stepsPerPack: number; readonly classSteps: number }
  /** Too little for this scale: weighed for several packs together and parted by eye. */
  | {
      readonly kind: 'together';
      readonly groups: readonly WeighingGroup[];
      /** Of these packs; with other sorts of pack weighed along, their share of the steps. */
      readonly classSteps: number;
      /** The largest error left in any pack. */
      readonly errorFraction: number;
      /** Even so it is no better than a hand measure. */
      readonly isByHand: boolean;
      /** Packs of all sorts that are weighed together. */
      readonly packs: number;
    };

interface WeighingGroup {
  /** How many packs share one weighing. */
  readonly packs: number;
  readonly steps: number;
  readonly parting: Parting;
  /** Of the scale and of parting by eye, in one pack. */
  readonly errorFraction: number;
}

/** Steps that hold a mass, rounded up, forgiving the last bits of floating point. */
export const stepsUp = (massG: number, scaleStepG: number): number => wholeUp(massG / scaleStepG);

/** The least that a scale with this step weighs well enough by itself: r / 2e, grams. */
export const leastWeighableG = (scaleStepG: number): number => scaleStepG / (2 * WANTED_ERROR_FRACTION);

/**
 * At least r / 2e is weighed singly, rounded up. Less is weighed for several packs together and parted: as few weighings
 * as leave each pack within a fifth, each rounded up.
 * @param packG what one pack needs, above 0
 */
export function weighPortions(packG: number, packs: number, scaleStepG: number): Weighing {
  if (packG >= leastWeighableG(scaleStepG) || packs === 1) {
    const stepsPerPack = stepsUp(packG, scaleStepG);
    return { kind: 'single', stepsPerPack, classSteps: stepsPerPack * packs };
  }
  const groups = bestGroups(packs, packG, scaleStepG).map((group) => ({
    ...group,
    steps: stepsUp(group.packs * packG, scaleStepG),
  }));
  const errorFraction = Math.max(...groups.map((group) => group.errorFraction));
  return {
    kind: 'together',
    groups,
    classSteps: groups.reduce((sum, group) => sum + group.steps, 0),
    errorFraction,
    isByHand: errorFraction > HAND_ERROR_FRACTION,
    packs,
  };
}
