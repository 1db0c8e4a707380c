import { isWool, type Part } from '../pattern/index.ts';
import { solidOf, type Solid } from '../shapes/index.ts';
import { toMm } from '../units/index.ts';
import type { Evidence } from './calibration.ts';
import type { SizedPart } from './derivedSizes.ts';
import { usualPacking } from './rollUp.ts';
import type { FibreLookup } from './wool.ts';

/** What the samples that an author measured tell of how her fibres felt. */
export function evidenceOf(parts: readonly SizedPart[], fibres: FibreLookup): Evidence[] {
  return parts.flatMap(({ part, fault }) => {
    const core = part.uses.find(({ role }) => role === 'core');
    if (fault || !part.sample || core?.role !== 'core' || core.fibreId === null) return [];
    const result = fibres.has(core.fibreId) ? solidOf(part.shape) : null;
    if (result?.kind !== 'solid') return [];
    return [
      {
        fibreId: core.fibreId,
        firmness: part.firmness,
        finishedGPerCm3: isBare(part) ? weighedDensity(part, result.solid) : null,
        growth: growthOf(part, result.solid),
      },
    ];
  });
}

/** Only a piece of one wool, and nothing else in it, tells how that wool felts. */
const isBare = ({ uses }: Part): boolean => uses.length === 1 && uses.every(isWool);

const weighedDensity = ({ sample }: Part, solid: Solid): number | null =>
  sample?.massG == null ? null : sample.massG / (solid.volumeMm3 / 1000);

/** Rolled over felted size across, as the volume it stands for: a round piece grows by q^⅓, a roll across by q^0.425. */
function growthOf({ sample, packing }: Part, solid: Solid): Evidence['growth'] {
  if (!sample?.rolled || !sample.felted || solid.family === 'flat' || solid.rolled) return null;
  const ratio = toMm(sample.rolled) / toMm(sample.felted);
  const q = solid.family === 'round' ? ratio ** 3 : ratio ** (1 / 0.425);
  return { packing: packing ?? usualPacking(solid), q };
}
