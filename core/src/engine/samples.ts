import { toMm } from '../base/index.ts';
import type { Part } from '../pattern/index.ts';
import { type Solid, solidOf } from '../shapes/index.ts';
import type { Evidence } from './calibration.ts';
import type { SizedPart } from './derivedSizes.ts';
import type { PartWorking } from './partWorking.ts';
import { growthFromAcross, usualPacking } from './rollUp.ts';
import { SIGMA } from '../learning/index.ts';
import type { FibreLookup } from './wool.ts';

/**
 * What the samples that an author measured tell of how her fibres felt. A finished piece on the scale teaches whether it
 * is bare or coated: what lies over its core is taken off as it is calculated, and makes the sample less sure.
 * @param workingOf parts as they come out before anything is learnt
 */
export function evidenceOf(
  parts: readonly SizedPart[],
  fibres: FibreLookup,
  workingOf: (partId: string) => PartWorking | undefined,
): Evidence[] {
  return parts.flatMap(({ part, fault }) => {
    const core = part.uses.find(({ role }) => role === 'core');
    if (fault || !part.sample || core?.role !== 'core' || core.fibreId === null) return [];
    const result = fibres.has(core.fibreId) ? solidOf(part.shape) : null;
    if (result?.kind !== 'solid') return [];
    return [
      {
        fibreId: core.fibreId,
        firmness: part.firmness,
        finished: coreDensity(part.sample, workingOf(part.id)),
        growth: growthOf(part, result.solid),
      },
    ];
  });
}

/** Whether any part has been on the scale: only then is it worth working everything out twice. */
export const isAnyWeighed = (parts: readonly SizedPart[]): boolean =>
  parts.some(({ part }) => part.sample?.massG != null);

/**
 * The core's density in a finished piece of this weight, in the size it was made in: what lies over it goes with the
 * surface. Null where the core is not told by it.
 */
function coreDensity(
  { massG, sizeFraction: k }: NonNullable<Part['sample']>,
  working: PartWorking | undefined,
): Evidence['finished'] {
  if (massG === null || !working?.layers || !hasCalculatedCore(working)) return null;
  const { layers, uses } = working;
  // Hair stands off the piece: it is weighed, and takes no room.
  const hair = uses.filter(({ use }) => use.role === 'hair' && !use.isIfNeeded);
  if (hair.some(({ calculated }) => calculated.kind === 'unknown')) return null;
  const hairG = hair.reduce(
    (sum, { calculated }) => sum + (calculated.kind === 'known' ? calculated.massG : 0),
    0,
  );
  const overG = (layers.shares.reduce((sum, share) => sum + share.massG, 0) + hairG) * k ** 2;
  const overCm3 = layers.shares.reduce((sum, share) => sum + share.volumeCm3, 0) * k ** 2;
  const coreCm3 = (layers.volumeCm3 - layers.insertsCm3) * k ** 3 - overCm3;
  const coreG = massG - overG;
  if (coreG <= 0 || coreCm3 <= 0) return null;
  const overSigma = (Math.hypot(SIGMA.coatShared, SIGMA.coatOwn) * overG) / coreG;
  return { gPerCm3: coreG / coreCm3, sigma: Math.hypot(SIGMA.coreOwn, overSigma) };
}

const hasCalculatedCore = ({ uses }: PartWorking): boolean =>
  uses.some(({ use, calculated }) => use.role === 'core' && calculated.kind === 'known');

/** Rolled over felted size across, as the volume it stands for. */
function growthOf({ sample, packing }: Part, solid: Solid): Evidence['growth'] {
  if (!sample?.rolled || !sample.felted || solid.family === 'flat' || solid.rolled) return null;
  const q = growthFromAcross(solid, toMm(sample.rolled) / toMm(sample.felted));
  return { packing: packing ?? usualPacking(solid), q };
}
