import type { Solid } from '../shapes/index.ts';
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
  if (rollUp?.kind === 'rolled') stages.push(withTail('rolled', rollUp.solid.sizesMm, tailMm));
  if (rollUp?.kind === 'laid') {
    stages.push(withTail('laid-out', [rollUp.lengthMm, rollUp.widthMm, rollUp.depthMm], tailMm));
  }
  if (layers) {
    // Layers of coat come before the first detail that lies over them all.
    const roleOf = (useId: string) => uses.find(({ use }) => use.id === useId)?.use.role;
    const coats = lastIndex(layers.shares, ({ useId }) => roleOf(useId) === 'coat') + 1;
    const bare = layers.shares.length > 0 ? layers.solidAfter(0) : solid;
    if (bare) stages.push(withTail('felted', bare.sizesMm, tailMm));
    if (coats > 0) stages.push(coatedSize(layers.solidAfter(coats), tailMm));
    if (layers.shares.length > coats) stages.push(withTail('detailed', solid.sizesMm, tailMm));
  } else {
    stages.push(withTail('felted', solid.sizesMm, 0));
  }
  if (tailMm > 0 || sunkMm > 0) stages.push({ stage: 'joined', sizesMm: buried(solid, sunkMm), tailMm: 0 });
  return stages;
}

const withTail = (
  stage: SizeStage,
  [lengthMm = 0, ...rest]: readonly number[],
  tailMm: number,
): StageSize => ({
  stage,
  sizesMm: [lengthMm + tailMm, ...rest],
  tailMm,
});

const coatedSize = (solid: Solid | null, tailMm: number): StageSize =>
  withTail('coated', solid?.sizesMm ?? [], tailMm);

/** The length that still shows once the part is sunk in. */
function buried({ sizesMm }: Solid, sunkMm: number): number[] {
  const [lengthMm = 0, ...rest] = sizesMm;
  return [Math.max(0, lengthMm - sunkMm), ...rest];
}

function lastIndex<T>(items: readonly T[], is: (item: T) => boolean): number {
  for (let index = items.length - 1; index >= 0; index--) {
    const item = items[index];
    if (item !== undefined && is(item)) return index;
  }
  return -1;
}
