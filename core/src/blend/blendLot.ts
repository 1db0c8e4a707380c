/** What goes into one lot of a blend. */
export interface BlendLotPlan {
  /** What was asked for and what is held back, together, unrounded. */
  readonly lotG: number;
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
}

/**
 * Grams of each fibre for a lot of which `massG` is to be used now and a share of the whole is held back for later:
 * the lot is m/(1 − h). Every weighing is rounded up to the scale's step.
 */
export function planBlendLot(
  fractions: ReadonlyMap<string, number>,
  massG: number,
  heldBackFraction: number,
  scaleStepG: number,
): BlendLotPlan {
  const lotG = massG / (1 - heldBackFraction);
  const components = [...fractions].map(([fibreId, fraction]) => {
    const exactG = lotG * fraction;
    const steps = Math.ceil(exactG / scaleStepG - 1e-9);
    return { fibreId, fraction, exactG, weighedG: Math.round(steps * scaleStepG * 1e6) / 1e6 };
  });
  const totalG = Math.round(components.reduce((sum, one) => sum + one.weighedG, 0) * 1e6) / 1e6;
  return { lotG, heldBackG: lotG - massG, components, totalG };
}

export const BLEND_LOT_BOUNDS = {
  massG: { min: 0.1, max: 100_000 },
  heldBackFraction: { min: 0, max: 0.5 },
} as const;
