import { massOfArea } from '../base/index.ts';
import {
  type ACROSS_BY,
  countRange,
  type CountRange,
  type Join,
  mmOrNull,
  type Part,
} from '../pattern/index.ts';
import { baseMm, type Solid } from '../shapes/index.ts';
import type { Fibre, Firmness } from '../shelf/index.ts';
import type { Calibration } from './calibration.ts';
import { coatOver, type CoatWeight } from './coat.ts';
import { joinCoverMm2, usualBandMm } from './joinCover.ts';
import type { Layers } from './layers.ts';
import { looseAcrossMm, looseEndMassG, MOST_TAIL_FRACTION, usualTailMm } from './looseEnd.ts';
import type { PartWorking } from './partWorking.ts';
import { massOfTerm, type MassTerm } from './quantity/totalMass.ts';
import { countSigma } from './resolveAmounts.ts';
import { type RollUp, sectionMm2 } from './rollUp.ts';
import { showingOutside } from './showing.ts';
import { SIGMA } from '../learning/index.ts';
import type { UnknownReason } from './unknown.ts';
import type { UseEstimate, WoolRole } from './useEstimate.ts';
import { fibreOf } from './useWorking.ts';
import type { Wool } from './wool.ts';

/** How wide a join is, by what somebody typed, by the surfaces that meet, or by the thickness of what is set on. */
export type AcrossBy = 'typed' | (typeof ACROSS_BY)[number];

/** One join as it came out. */
export interface JoinEstimate {
  readonly joinId: string;
  readonly count: CountRange | null;
  /** Across the place where the parts meet; null while the part set on has no size. */
  readonly acrossMm: number | null;
  readonly acrossBy: AcrossBy;
  readonly tailMm: number | null;
  readonly bandMm: number | null;
  readonly coat: CoatWeight | null;
  /** Wool of the loose ends, which are rolled with their part; null where there are none, or they are in its amount. */
  readonly looseEnd: UseEstimate | null;
  /** The part's stated or weighed amount holds them already. */
  readonly isEndIncluded: boolean;
  readonly cover: UseEstimate | null;
}

interface JoinSurroundings {
  readonly parts: ReadonlyMap<string, PartWorking>;
  /** Amounts of every use of a part, as they were settled. */
  readonly settled: ReadonlyMap<string, UseEstimate>;
  readonly wool: Wool;
  readonly calibration: Calibration;
  /** Where the surfaces meet, mm across, of joins that are as wide as that. */
  readonly contactsMm: ReadonlyMap<string, number>;
}

/** How many such joins there are: as said, else one for each piece that is set on. */
export function joinCount(join: Join, parts: readonly Part[]): CountRange | null {
  const part = parts.find(({ id }) => id === join.partId);
  return countRange(join.count) ?? countRange(part?.count ?? null);
}

/** What a join takes: the loose end that is rolled with its part, and the wool over it. */
export function estimateJoin(join: Join, count: CountRange | null, around: JoinSurroundings): JoinEstimate {
  const setOn = around.parts.get(join.partId);
  const known = acrossOf(join, around);
  const acrossMm = known?.mm ?? (setOn?.solid ? baseMm(setOn.solid) : null);
  const bandMm = mmOrNull(join.cover?.band ?? null) ?? (acrossMm === null ? null : usualBandMm(acrossMm));
  const loose = looseEndOf(join, count, around);
  const cover = coverOf(join, count, acrossMm, bandMm, around);
  return {
    joinId: join.id,
    count,
    acrossMm,
    acrossBy: known?.by ?? 'thickness',
    bandMm: join.cover ? bandMm : null,
    tailMm: loose?.tailMm ?? null,
    coat: cover?.coat ?? null,
    looseEnd: loose?.use ?? null,
    isEndIncluded: loose?.isIncluded ?? false,
    cover: cover?.use ?? null,
  };
}

/** As typed, or as the surfaces meet; null: neither is known. */
function acrossOf(
  join: Join,
  { contactsMm }: JoinSurroundings,
): { readonly mm: number; readonly by: AcrossBy } | null {
  const typedMm = mmOrNull(join.across);
  if (typedMm !== null) return { mm: typedMm, by: 'typed' };
  const contactMm = join.acrossBy === 'contact' ? contactsMm.get(join.id) : undefined;
  return contactMm === undefined ? null : { mm: contactMm, by: 'contact' };
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

type JoinDoubt = Pick<MassTerm, 'cause' | 'commonSigma' | 'sharedSigma' | 'ownSigma'>;

/** A loose end is as dense as its core is felted; a cover hides as any coat of its fibre does. */
const doubtOfEnd = (calibration: Calibration, fibre: Fibre, firmness: Firmness): JoinDoubt => {
  const { commonSigma, sigma } = calibration.finished(fibre, firmness);
  return { cause: 'density', commonSigma, sharedSigma: sigma, ownSigma: SIGMA.coreOwn };
};
const doubtOfCover = (calibration: Calibration, fibre: Fibre): JoinDoubt => ({
  cause: 'hiding',
  commonSigma: 0,
  sharedSigma: calibration.hiding(fibre).sigma,
  ownSigma: SIGMA.coatOwn,
});

function knownUse(
  { owner, useId, role, isIfNeeded }: Owner,
  { fibreId, count, pieceG, doubt }: { fibreId: string; count: CountRange; pieceG: number; doubt: JoinDoubt },
): UseEstimate {
  const term: MassTerm = {
    group: fibreId,
    ...doubt,
    pieceG,
    count: count.likely,
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
    packMiddleG: pieceG * count.high,
    range: null,
    otherStatements: [],
    term,
    source: 'calculated',
    comparison: null,
    isUntil: false,
  };
}

interface LooseEnd {
  /** Of one end; null while nobody knows. */
  readonly tailMm: number | null;
  readonly use: UseEstimate | null;
  readonly isIncluded: boolean;
}

function looseEndOf(join: Join, count: CountRange | null, around: JoinSurroundings): LooseEnd | null {
  if (!join.looseEnd) return null;
  const part = around.parts.get(join.looseEnd.partId);
  const across = acrossOf(join, around);
  const tailMm = part ? tailOf(join.looseEnd, part, across?.by === 'contact' ? across.mm : null) : null;
  // Round all over, and its maker has not said that it has one.
  if (tailMm === 'none') return null;
  if (part && holdsItsEnds(part, around.settled)) return { tailMm, use: null, isIncluded: true };
  return { tailMm, use: endUse(join, join.looseEnd, count, tailMm, around), isIncluded: false };
}

type JoinEnd = NonNullable<Join['looseEnd']>;

/**
 * How long one end is, mm: as typed; else as is usual for its contact or its shape, and no more than a share of its part.
 */
function tailOf(
  { length, ends, amount }: JoinEnd,
  { solid, rollUp, part, layers }: PartWorking,
  contactMm: number | null,
): number | null | 'none' {
  const typedMm = mmOrNull(length);
  if (typedMm !== null) return typedMm;
  if (amount?.by === 'grams') return null;
  // Of what is only counted, laid or weighed nobody can tell by its shape: its maker has to say.
  if (!solid || !layers || isShapeless({ part })) return null;
  const across = looseAcrossMm(solid);
  if (across === null) return 'none';
  const usualMm = usualTailMm(contactMm ?? across);
  if (!rollUp) return usualMm;
  const gPerMm = looseEndMassG(endSectionMm2(solid, rollUp, null), 1, rollUp.packedGPerCm3);
  const mostG = (MOST_TAIL_FRACTION * pieceG(layers)) / ends;
  return Math.min(usualMm, mostG / gPerMm);
}

const SHAPELESS = new Set<Part['shape']['kind']>(['by-count', 'by-grams', 'patch', 'fringe']);

const isShapeless = ({ part }: Pick<PartWorking, 'part'>): boolean => SHAPELESS.has(part.shape.kind);

const pieceG = ({ coreG, shares }: Layers): number => shares.reduce((sum, { massG }) => sum + massG, coreG);

/** Ends are in an amount that its author states or weighs, unless she says they come on top. */
function holdsItsEnds({ part, uses }: PartWorking, settled: ReadonlyMap<string, UseEstimate>): boolean {
  if (part.endsApart) return false;
  if (part.shape.kind === 'by-grams') return true;
  const core = uses.find(({ use }) => use.role === 'core');
  const amount = core && settled.get(core.use.id);
  return amount?.kind === 'known' && amount.source !== 'calculated';
}

/**
 * Across what is left loose, mm²: of a roll its own; of a flat piece its laid width; of what is round all over, a neck as
 * thick as the join is, else half as thick as the piece.
 */
function endSectionMm2(solid: Solid, rollUp: RollUp, acrossMm: number | null): number {
  const loose = looseAcrossMm(solid);
  if (rollUp.kind === 'laid') return sectionMm2(rollUp);
  const growth = rollUp.solid.widthMm / solid.scaled(1, 1).widthMm;
  const finishedMm = loose ?? acrossMm ?? baseMm(solid) / 2;
  return finishedMm === solid.baseAcrossMm ? sectionMm2(rollUp) : (Math.PI / 4) * (finishedMm * growth) ** 2;
}

function endUse(
  join: Join,
  { partId, ends, amount }: JoinEnd,
  count: CountRange | null,
  tailMm: number | null,
  around: JoinSurroundings,
): UseEstimate {
  const part = around.parts.get(partId);
  const core = part?.uses.find(({ use }) => use.role === 'core');
  const base: Owner = {
    owner: { kind: 'part', id: partId },
    useId: `${join.id}-end`,
    role: 'loose-end',
    fibreId: core?.use.fibreId ?? null,
    isIfNeeded: false,
    count,
  };
  if (!core || typeof core.fibre !== 'object') {
    return unknownUse(base, core && typeof core.fibre === 'string' ? core.fibre : 'fibre_missing');
  }
  const endG = massOfEnd(amount, tailMm, core.fibre, part, acrossOf(join, around)?.mm ?? null);
  if (typeof endG === 'string') return unknownUse(base, endG);
  if (!count) return unknownUse(base, 'count_missing');
  const doubt = doubtOfEnd(around.calibration, core.fibre, part?.part.firmness ?? 'firm');
  return knownUse(base, { fibreId: core.fibre.id, count, pieceG: endG * ends, doubt });
}

/** Grams of one end, or why they cannot be said. */
function massOfEnd(
  amount: JoinEnd['amount'],
  tailMm: number | null,
  fibre: Fibre,
  partWorking: PartWorking | undefined,
  acrossMm: number | null,
): number | UnknownReason {
  if (amount?.by === 'grams') return amount.massG ?? 'loose_end_unknown';
  if (tailMm === null || !partWorking)
    return partWorking && isShapeless(partWorking) ? 'loose_end_unknown' : 'sizes_missing';
  if (amount) {
    return fibre.linearGPerM === null
      ? 'linear_unknown'
      : ((tailMm / 1000) * fibre.linearGPerM) / amount.ways;
  }
  if (isShapeless(partWorking)) return 'loose_end_unknown';
  if (!partWorking.solid || !partWorking.rollUp) return 'sizes_missing';
  return looseEndMassG(
    endSectionMm2(partWorking.solid, partWorking.rollUp, acrossMm),
    tailMm,
    partWorking.rollUp.packedGPerCm3,
  );
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
  const pieceG = massOfArea(joinCoverMm2(acrossMm, bandMm), coat.arealGPerM2);
  return {
    coat,
    use: knownUse(base, { fibreId: fibre.id, count, pieceG, doubt: doubtOfCover(calibration, fibre) }),
  };
}
