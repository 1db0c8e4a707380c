/** The relative error a weighed portion may have. */
export const WANTED_ERROR_FRACTION = 0.1;

/** How one fibre's portions are weighed. Masses are whole scale steps, so that every total is exact. */
export type Weighing =
  | { readonly kind: 'single'; readonly stepsPerPack: number; readonly classSteps: number }
  /** Too little for this scale: weighed for several packs together and split by eye into equal parts. */
  | { readonly kind: 'together'; readonly groups: readonly WeighingGroup[]; readonly classSteps: number };

export interface WeighingGroup {
  /** How many packs share one weighing. */
  readonly packs: number;
  readonly steps: number;
}

/** Steps that hold a mass, rounded up, forgiving the last bits of floating point. */
export const stepsUp = (massG: number, scaleStepG: number): number => Math.ceil(massG / scaleStepG - 1e-9);

/**
 * Under scale step r, a portion of at least r/(2e) is weighed singly, rounded up. Less is weighed for
 * k = ⌈r/(2em)⌉ packs together, at most all of them, each group rounded up.
 * @param packG what one pack needs, above 0
 */
export function weighPortions(packG: number, packs: number, scaleStepG: number): Weighing {
  const leastG = scaleStepG / (2 * WANTED_ERROR_FRACTION);
  if (packG >= leastG || packs === 1) {
    const stepsPerPack = stepsUp(packG, scaleStepG);
    return { kind: 'single', stepsPerPack, classSteps: stepsPerPack * packs };
  }
  const together = Math.min(packs, Math.ceil(leastG / packG - 1e-9));
  const groups = evenGroups(packs, Math.floor(packs / together)).map((size) => ({
    packs: size,
    steps: stepsUp(size * packG, scaleStepG),
  }));
  return { kind: 'together', groups, classSteps: groups.reduce((sum, group) => sum + group.steps, 0) };
}

/** `packs` in `groupCount` groups whose sizes differ by one at most, larger first. */
function evenGroups(packs: number, groupCount: number): number[] {
  const base = Math.floor(packs / groupCount);
  const larger = packs - base * groupCount;
  return Array.from({ length: groupCount }, (_, index) => base + (index < larger ? 1 : 0));
}
