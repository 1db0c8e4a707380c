import { roundToMicrogram, wholeDown, wholeUp } from '../../base/index.ts';
/** What goes into one lot of a blend. */
export interface BlendLotPlan {
  /** What was asked for and what is held back, together, unrounded. */
  readonly wantedG: number;
  /** The same, or as much more as the scale needs to keep the recipe, unrounded. */
  readonly lotG: number;
  /** What is left once what was asked for is used. */
  readonly heldBackG: number;
  readonly components: readonly {
    readonly fibreId: string;
    readonly fraction: number;
    readonly exactG: number;
    /** Rounded up to the scale, so that the lot is never short. */
    readonly weighedG: number;
  }[];
  /** What is on the scale in all. */
  readonly totalG: number;
  /** The lot is larger than was wanted: in so little the scale would make another blend of it. */
  readonly isRaised: boolean;
}

/** No fibre of a lot may be further off its share of the recipe. */
const RECIPE_WITHIN = 0.02;

/**
 * Grams of each fibre for a lot of which `massG` is to be used now and a share of the whole is held back for later:
 * the lot is m/(1 − h). Every weighing is rounded up to the scale’s step; where that would shift a fibre’s share by more
 * than two points, the lot is the next larger one that keeps them (80 : 10 : 10 of 1.18 g on a scale of 0.1 g would be
 * 71 : 14 : 14; of 1.9 g it is 79 : 10½ : 10½).
 */
export function planBlendLot(
  fractions: ReadonlyMap<string, number>,
  massG: number,
  heldBackFraction: number,
  scaleStepG: number,
): BlendLotPlan {
  const wantedG = massG / (1 - heldBackFraction);
  // Each weighing is less than a step off, so that fifty steps for each fibre always keep the recipe.
  const most = Math.ceil(fractions.size / RECIPE_WITHIN) + 1;
  let lot = lotOf(fractions, wantedG, scaleStepG);
  const first = wholeDown(wantedG / scaleStepG);
  for (let steps = first + 1; !keepsRecipe(lot) && steps <= Math.max(first, most) + 1; steps++)
    lot = lotOf(fractions, steps * scaleStepG, scaleStepG);
  return { wantedG, ...lot, heldBackG: lot.lotG - massG, isRaised: lot.lotG > wantedG };
}

function lotOf(fractions: ReadonlyMap<string, number>, lotG: number, scaleStepG: number) {
  const components = [...fractions].map(([fibreId, fraction]) => {
    const exactG = lotG * fraction;
    const steps = wholeUp(exactG / scaleStepG);
    return { fibreId, fraction, exactG, weighedG: roundToMicrogram(steps * scaleStepG) };
  });
  const totalG = roundToMicrogram(components.reduce((sum, { weighedG }) => sum + weighedG, 0));
  return { lotG, components, totalG };
}

const keepsRecipe = ({ components, totalG }: Pick<BlendLotPlan, 'components' | 'totalG'>): boolean =>
  components.every(
    ({ weighedG, fraction }) => Math.abs(weighedG / totalG - fraction) <= RECIPE_WITHIN + 1e-9,
  );

export const BLEND_LOT_BOUNDS = {
  massG: { min: 0.1, max: 100_000 },
  heldBackFraction: { min: 0, max: 0.5 },
} as const;
