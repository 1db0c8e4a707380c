import { countRange, mmOrNull, type CountRange, type Join, type Part } from '../pattern/index.ts';
import { massOfTerm, type MassTerm } from '../quantity/index.ts';
import type { Solid } from '../shapes/index.ts';
import type { PartWorking } from './partWorking.ts';
import { fibreOf } from './useWorking.ts';
import type { Calibration } from './calibration.ts';
import { coatOver, type CoatWeight } from './coat.ts';
import { joinCoverMm2, usualBandMm } from './joinCover.ts';
import { looseEndMassG, usualTailMm } from './looseEnd.ts';
import { countSigma } from './resolveAmounts.ts';
import { sectionMm2 } from './rollUp.ts';
import { showingOutside } from './showing.ts';
import { SIGMA } from './sigmas.ts';
import type { UnknownReason } from './unknown.ts';
import type { UseEstimate, WoolRole } from './useEstimate.ts';
import type { Wool } from './wool.ts';

/** One join as it came out. */
export interface JoinEstimate {
  readonly joinId: string;
  readonly count: CountRange | null;
  /** Across the place where the parts meet; null while the part set on has no size. */
  readonly acrossMm: number | null;
  readonly tailMm: number | null;
  readonly bandMm: number | null;
  readonly coat: CoatWeight | null;
  /** Wool of the loose end, which is rolled with its part. */
  readonly looseEnd: UseEstimate | null;
  readonly cover: UseEstimate | null;
}

interface JoinSurroundings {
  readonly parts: ReadonlyMap<string, PartWorking>;
  readonly wool: Wool;
  readonly calibration: Calibration;
}

/** How many such joins there are: as said, else one for each piece that is set on. */
export function joinCount(join: Join, parts: readonly Part[]): CountRange | null {
  const part = parts.find(({ id }) => id === join.partId);
  return countRange(join.count) ?? countRange(part?.count ?? null);
}

/** What a join takes: the loose end that is rolled with its part, and the wool over it. */
export function estimateJoin(join: Join, count: CountRange | null, around: JoinSurroundings): JoinEstimate {
  const setOn = around.parts.get(join.partId);
  const acrossMm = mmOrNull(join.across) ?? (setOn?.solid ? acrossAtEnd(setOn.solid) : null);
  const bandMm = mmOrNull(join.cover?.band ?? null) ?? (acrossMm === null ? null : usualBandMm(acrossMm));
  const loose = looseEndOf(join, count, around);
  const cover = coverOf(join, count, acrossMm, bandMm, around);
  return {
    joinId: join.id,
    count,
    acrossMm,
    bandMm: join.cover ? bandMm : null,
    tailMm: loose?.tailMm ?? null,
    coat: cover?.coat ?? null,
    looseEnd: loose?.use ?? null,
    cover: cover?.use ?? null,
  };
}

/**
 * How thick a part is where it is set on: a roll at its thick end; a flat piece as the roll of the same girth as half
 * its narrow side; anything else at its narrowest.
 */
function acrossAtEnd({ family, build, widthMm, heightMm, depthMm }: Solid): number {
  if (family === 'flat') return (Math.min(widthMm, heightMm) + 2 * depthMm) / Math.PI;
  return family === 'roll' && build === 'turned' ? widthMm : Math.min(widthMm, heightMm, depthMm);
}

interface Owner {
  readonly owner: UseEstimate['owner'];
  readonly useId: string;
  readonly role: WoolRole;
  readonly fibreId: string | null;
  readonly isIfNeeded: boolean;
  readonly count: CountRange | null;
}

const unknownUse = (base: Owner, reason: UnknownReason): UseEstimate => ({
  ...base,
  kind: 'unknown',
  reason,
});

function knownUse(
  { owner, useId, role, isIfNeeded }: Owner,
  {
    fibreId,
    count,
    pieceG,
    cause,
  }: { fibreId: string; count: CountRange; pieceG: number; cause: 'density' | 'hiding' },
): UseEstimate {
  const term: MassTerm = {
    group: fibreId,
    cause,
    pieceG,
    count: count.likely,
    sharedSigma: cause === 'density' ? SIGMA.coreShared : SIGMA.coatShared,
    ownSigma: cause === 'density' ? SIGMA.coreOwn : SIGMA.coatOwn,
    allSigma: 0,
    countSigma: countSigma(count),
  };
  return {
    kind: 'known',
    owner,
    useId,
    role,
    fibreId,
    isIfNeeded,
    count,
    pieceG,
    all: massOfTerm(term),
    packG: pieceG * count.high,
    term,
    source: 'calculated',
    comparison: null,
    isUntil: false,
  };
}

function looseEndOf(join: Join, count: CountRange | null, { parts }: JoinSurroundings) {
  if (!join.looseEnd) return null;
  const own = parts.get(join.looseEnd.partId);
  const core = own?.uses.find(({ use }) => use.role === 'core');
  const base: Owner = {
    owner: { kind: 'part', id: join.looseEnd.partId },
    useId: `${join.id}-end`,
    role: 'loose-end',
    fibreId: core?.use.fibreId ?? null,
    isIfNeeded: false,
    count,
  };
  const tailMm = mmOrNull(join.looseEnd.length) ?? (own?.solid ? usualTailMm(acrossAtEnd(own.solid)) : null);
  if (!core || typeof core.fibre !== 'object') {
    return {
      tailMm,
      use: unknownUse(base, core && typeof core.fibre === 'string' ? core.fibre : 'fibre_missing'),
    };
  }
  if (!own?.rollUp || tailMm === null) return { tailMm, use: unknownUse(base, 'sizes_missing') };
  if (!count) return { tailMm, use: unknownUse(base, 'count_missing') };
  const pieceG = looseEndMassG(sectionMm2(own.rollUp), tailMm, own.rollUp.packedGPerCm3);
  return { tailMm, use: knownUse(base, { fibreId: core.fibre.id, count, pieceG, cause: 'density' }) };
}

function coverOf(
  join: Join,
  count: CountRange | null,
  acrossMm: number | null,
  bandMm: number | null,
  { parts, wool, calibration }: JoinSurroundings,
) {
  if (!join.cover) return null;
  const fibre = fibreOf(join.cover.fibreId, wool);
  const base: Owner = {
    owner: { kind: 'join', id: join.id },
    useId: `${join.id}-cover`,
    role: 'join-cover',
    fibreId: join.cover.fibreId,
    isIfNeeded: join.cover.isIfNeeded,
    count,
  };
  if (typeof fibre !== 'object') return { coat: null, use: unknownUse(base, fibre) };
  if (acrossMm === null || bandMm === null) return { coat: null, use: unknownUse(base, 'sizes_missing') };
  if (!count) return { coat: null, use: unknownUse(base, 'count_missing') };
  // It lies on both parts: enough for the one that is harder to hide.
  const colours = [join.partId, join.ontoId].flatMap((id) => {
    const part = parts.get(id)?.part;
    return part ? showingOutside(part, wool) : [null];
  });
  const coat = coatOver(colours, fibre, calibration.hiding(fibre).value);
  const pieceG = (joinCoverMm2(acrossMm, bandMm) * coat.arealGPerM2) / 1e6;
  return { coat, use: knownUse(base, { fibreId: fibre.id, count, pieceG, cause: 'hiding' }) };
}
