import type { PartEstimate } from '../engine/index.ts';
import type { Solid } from '../shapes/index.ts';

/** One layer of a piece cut open: its wool, and how large it is over everything within it. */
export interface InnerSolid {
  readonly fibreId: string | null;
  readonly solid: Solid;
}

/** From the finished surface down to the core; none while its amounts are unknown. */
export function innerSolids({ working: { layers, uses } }: PartEstimate): InnerSolid[] {
  if (!layers) return [];
  const fibreIdOf = (useId: string) => uses.find(({ use }) => use.id === useId)?.use.fibreId ?? null;
  const over = layers.shares.flatMap(({ useId }, index): InnerSolid[] => {
    const solid = layers.solidAfter(index + 1);
    return solid ? [{ fibreId: fibreIdOf(useId), solid }] : [];
  });
  const core = uses.find(({ use }) => use.role === 'core');
  const bare = layers.coreSolid;
  return [...over.reverse(), ...(core && bare ? [{ fibreId: core.use.fibreId, solid: bare }] : [])];
}
