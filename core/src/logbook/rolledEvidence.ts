import { growthFromAcross, usualPacking, type Wool } from '../engine/index.ts';
import { SIGMA } from '../learning/index.ts';
import { PACKED_DENSITY_G_PER_CM3 } from '../shelf/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Evidence } from './evidence.ts';
import type { Expected } from './expected.ts';
import type { Making } from './making.ts';

/** How much larger pieces were rolled than they felted: of the hands that rolled them, and of how dense they felted. */
export function rolledEvidence(
  making: Making,
  build: Pattern,
  wool: Wool,
  { estimate, uses }: Expected,
): Evidence[] {
  return making.pieces.flatMap(({ id, partId, rolledMm, feltedMm }): Evidence[] => {
    const part = build.parts.find((candidate) => candidate.id === partId);
    const solid = estimate.parts.find((candidate) => candidate.partId === partId)?.solid;
    const core = part?.uses.find(({ role }) => role === 'core');
    if (!part || !solid || core?.role !== 'core' || core.fibreId === null) return [];
    if (rolledMm === null || feltedMm === null || rolledMm <= feltedMm) return [];
    if (solid.family === 'flat' || solid.rolled) return [];
    const packing = part.packing ?? usualPacking(solid);
    const factors = uses.find((use) => use.partId === partId && use.useId === core.id)?.factors ?? [];
    const expected =
      estimate.calibration.finished(wool.fibres.get(core.fibreId) ?? null, part.firmness).value /
      PACKED_DENSITY_G_PER_CM3[packing];
    const found = growthFromAcross(solid, rolledMm / feltedMm);
    return [
      {
        id: `${making.id}:${id}-rolled`,
        source: { kind: 'making', makingId: making.id },
        kind: 'rolled',
        date: making.date,
        who: making.madeBy,
        fibreId: core.fibreId,
        partId: part.id,
        stepId: null,
        expected,
        found,
        ln: Math.log(found / expected),
        // How tightly another packs is nobody’s here: it is only more doubt.
        sigma: making.madeBy === '' ? SIGMA.coreOwn : Math.hypot(SIGMA.coreOwn, SIGMA.packing),
        of: making.madeBy === '' ? [...factors, { factor: { kind: 'packed', packing }, share: -1 }] : factors,
      },
    ];
  });
}
