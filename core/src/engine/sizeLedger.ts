import { alongAxis, type Solid } from '../shapes/index.ts';
import { looseAcrossMm } from './looseEnd.ts';
import type { PartEstimate } from './partEstimate.ts';

/** Where a part is on its way; every printed size says which. */
export type SizeStage = 'laid-out' | 'rolled' | 'felted' | 'coated' | 'detailed' | 'joined';

export interface StageSize {
  readonly stage: SizeStage;
  readonly sizesMm: readonly number[];
  /** Loose ends in the length, mm. */
  readonly tailMm: number;
}

/**
 * The sizes of one piece from the table to the figure. The finished size is over everything; each layer’s thickness
 * comes off what is below, and joining buries or bends away the rest.
 */
export function sizeLedger({ working, rollUp, tailMm, sunkMm, solid }: PartEstimate): StageSize[] {
  const { layers, uses } = working;
  if (!solid) return [];
  const stages: StageSize[] = [];
  if (rollUp?.kind === 'rolled') stages.push(withTail('rolled', rollUp.solid, tailMm));
  if (rollUp?.kind === 'laid') {
    stages.push({
      stage: 'laid-out',
      sizesMm: [rollUp.lengthMm + tailMm, rollUp.widthMm, rollUp.depthMm],
      tailMm,
    });
  }
  if (layers) {
    // Layers of coat come before the first detail that lies over them all.
    const roleOf = (useId: string) => uses.find(({ use }) => use.id === useId)?.use.role;
    const coats = lastIndex(layers.shares, ({ useId }) => roleOf(useId) === 'coat') + 1;
    const bare = layers.shares.length > 0 ? layers.solidAfter(0) : solid;
    const coated = coats > 0 ? layers.solidAfter(coats) : null;
    if (bare) stages.push(withTail('felted', bare, tailMm));
    if (coated) stages.push(withTail('coated', coated, tailMm));
    if (layers.shares.length > coats) stages.push(withTail('detailed', solid, tailMm));
  } else {
    stages.push(withTail('felted', solid, 0));
  }
  if (tailMm > 0 || sunkMm > 0) {
    stages.push({ stage: 'joined', sizesMm: alongAxis(solid, solid.sizesMm, -sunkMm), tailMm: 0 });
  }
  return stages;
}

/** With its loose ends in the length; what is round all over has no length, and its tail is told beside it. */
const withTail = (stage: SizeStage, solid: Solid, tailMm: number): StageSize => ({
  stage,
  sizesMm: looseAcrossMm(solid) === null ? solid.sizesMm : alongAxis(solid, solid.sizesMm, tailMm),
  tailMm,
});

function lastIndex<T>(items: readonly T[], is: (item: T) => boolean): number {
  for (let index = items.length - 1; index >= 0; index--) {
    const item = items[index];
    if (item !== undefined && is(item)) return index;
  }
  return -1;
}
