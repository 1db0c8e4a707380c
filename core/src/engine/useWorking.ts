import { massOfArea } from '../base/index.ts';
import {
  type Amount,
  countRange,
  type CountRange,
  mmOrNull,
  type Part,
  type UseOf,
  type WoolUse,
} from '../pattern/index.ts';
import type { Fibre } from '../shelf/index.ts';
import { type Calibration, DENSEST_FELT_G_PER_CM3 } from './calibration.ts';
import { coatOver, type CoatWeight, SHADING_G_PER_M2 } from './coat.ts';
import { dotMassG, lineMassG, patchMm2 } from './detail.ts';
import { type Hair, hairMass } from './hair.ts';
import type { PartSurroundings } from './partSurroundings.ts';
import type { ErrorCause } from './quantity/totalMass.ts';
import type { Colours } from './showing.ts';
import { SIGMA } from '../learning/index.ts';
import { type Stated, statedMass } from './statedMass.ts';
import type { UnknownReason } from './unknown.ts';
import type { Wool } from './wool.ts';

/** What one piece's use comes to by its shape, before anything its author states. */
export type Calculated =
  | {
      readonly kind: 'known';
      readonly massG: number;
      readonly cause: ErrorCause;
      readonly commonSigma: number;
      readonly sharedSigma: number;
      readonly ownSigma: number;
    }
  | { readonly kind: 'unknown'; readonly reason: UnknownReason };

/** One use of one part: what it would come to, and what its author states. */
export interface UseWorking {
  readonly use: WoolUse;
  readonly fibre: Fibre | UnknownReason;
  readonly calculated: Calculated;
  /** Null where nothing is stated. */
  readonly stated: Stated | null;
  /** What else its author states of the same amount, in the same order; held against the one that counts. */
  readonly alsoStated: readonly Stated[];
  /** How many of it on one piece, where it is counted; null: not counted, or nobody has said. */
  readonly often: CountRange | null;
  readonly coat: CoatWeight | null;
  readonly hair: Hair | null;
  /** How dense its fibre felts here, against what is usual. */
  readonly felted: Taught;
  /** How thick a coat or hair of its fibre is laid, against what is usual; of other uses as felted. */
  readonly laid: Taught;
}

/** What samples have made of a number. */
export interface Taught {
  /** Times what is usual; 1: as anybody would expect. */
  readonly times: number;
  /** σ of ln. */
  readonly sigma: number;
  /** Of this very fibre; none: what it is follows from others. */
  readonly samples: number;
}

/** What a use is made of on the way: its fibre, how a coat or hair is laid, how dense it felts. */
export interface Prepared extends Omit<UseWorking, 'calculated'> {
  readonly gPerCm3: number;
  readonly densitySigma: number;
  readonly densityCommonSigma: number;
  /** How far a coat or hair of this fibre may be off, for all of them, σ of ln. */
  readonly laidSigma: number;
}

export function fibreOf(fibreId: string | null, { fibres }: Wool): Fibre | UnknownReason {
  if (fibreId === null) return 'fibre_missing';
  return fibres.get(fibreId) ?? 'fibre_not_found';
}

export const knownFibre = (fibre: Fibre | UnknownReason): Fibre | null =>
  typeof fibre === 'object' ? fibre : null;

export function stateOf(
  use: WoolUse,
  fibre: Fibre | UnknownReason,
  around: PartSurroundings,
  girthMm: number | null,
): Stated | null {
  return use.amount === null ? null : stateAmount(use.amount, fibre, around, girthMm);
}

function stateAmount(
  amount: Amount,
  fibre: Fibre | UnknownReason,
  { calibration }: PartSurroundings,
  girthMm: number | null,
): Stated {
  if (typeof fibre !== 'object') return { kind: 'unknown', reason: fibre };
  return statedMass(amount, fibre, calibration, girthMm);
}

export const alsoStatedOf = (
  { alsoSaid }: WoolUse,
  fibre: Fibre | UnknownReason,
  around: PartSurroundings,
  girthMm: number | null,
): Stated[] => alsoSaid.map((amount) => stateAmount(amount, fibre, around, girthMm));

/** How many lines, dots or patches on one piece; null for what is not counted, and where nobody has said. */
export const oftenOf = (use: WoolUse): CountRange | null =>
  use.role === 'patch' || use.role === 'line' || use.role === 'dot' ? countRange(use.count) : null;

export function prepare(
  part: Part,
  use: WoolUse,
  beneath: Colours,
  around: PartSurroundings,
  girthMm: number | null,
): Prepared {
  const fibre = fibreOf(use.fibreId, around.wool);
  const density = around.calibration.finished(knownFibre(fibre), use.role === 'dot' ? 'firm' : part.firmness);
  const laid = laidOf(use, fibre, around.calibration);
  return {
    use,
    fibre,
    gPerCm3: density.value,
    densitySigma: density.sigma,
    densityCommonSigma: density.commonSigma,
    laidSigma: laid.sigma,
    felted: {
      times: density.times,
      sigma: Math.hypot(density.sigma, density.commonSigma),
      samples: density.samples,
    },
    laid,
    stated: stateOf(use, fibre, around, girthMm),
    alsoStated: alsoStatedOf(use, fibre, around, girthMm),
    often: oftenOf(use),
    coat: typeof fibre === 'object' ? coatOf(use, fibre, beneath, around.calibration) : null,
    hair: hairOf(use, around.calibration.hair(use.fibreId ?? '').value),
  };
}

function laidOf(use: WoolUse, fibre: Fibre | UnknownReason, calibration: Calibration): Taught {
  if (typeof fibre !== 'object')
    return { times: 1, sigma: use.role === 'hair' ? SIGMA.hairShared : SIGMA.coatShared, samples: 0 };
  const { times, sigma, samples } =
    use.role === 'hair' ? calibration.hair(fibre.id) : calibration.hiding(fibre);
  return { times, sigma, samples };
}

function coatOf(use: WoolUse, fibre: Fibre, beneath: Colours, calibration: Calibration): CoatWeight | null {
  if (use.role !== 'coat' && use.role !== 'patch') return null;
  const hiding = coatOver(beneath, fibre, calibration.hiding(fibre).value);
  if (use.role === 'patch' || use.thickness.by === 'hiding') return hiding;
  const arealGPerM2 =
    use.thickness.by === 'said' ? use.thickness.gPerM2 : use.thickness.passes * SHADING_G_PER_M2;
  return { ...hiding, arealGPerM2, isLeastCoat: false };
}

function hairOf(use: WoolUse, thickness: number): Hair | null {
  if (use.role !== 'hair') return null;
  const [lineMm, dropMm] = [mmOrNull(use.line), mmOrNull(use.drop)];
  return lineMm === null || dropMm === null ? null : hairMass({ ...use, lineMm, dropMm }, thickness);
}

/** Area that a coat or patch covers of a surface, mm²; null while one of its sizes is unknown. */
export function coveredMm2(use: WoolUse, surfaceMm2: number): number | null {
  if (use.role === 'patch') {
    const often = oftenOf(use);
    return often && ellipseMm2(use, often.likely);
  }
  if (use.role !== 'coat') return 0;
  if (use.cover.kind === 'patch') return ellipseMm2(use.cover, 1);
  return use.cover.kind === 'share' ? surfaceMm2 * use.cover.fraction : surfaceMm2;
}

export function ellipseMm2(
  { length, width }: Pick<UseOf<'patch'>, 'length' | 'width'>,
  count: number,
): number | null {
  const [lengthMm, widthMm] = [mmOrNull(length), mmOrNull(width)];
  return lengthMm === null || widthMm === null ? null : patchMm2(lengthMm, widthMm) * count;
}

/** Grams of a use that lies on a surface so large; null while one of its sizes is unknown. */
export function massOn(prepared: Prepared, surfaceMm2: number): number | null {
  const { use, coat, hair, often } = prepared;
  switch (use.role) {
    case 'coat':
    case 'patch': {
      const covered = coveredMm2(use, surfaceMm2);
      return covered === null || !coat ? null : massOfArea(covered, coat.arealGPerM2);
    }
    case 'line': {
      const lengthMm = mmOrNull(use.length);
      return lengthMm === null || !often ? null : lineMassG(lengthMm) * often.likely;
    }
    case 'dot': {
      const diameterMm = mmOrNull(use.diameter);
      return diameterMm === null || !often ? null : dotMassG(diameterMm, prepared.gPerCm3) * often.likely;
    }
    case 'hair':
      return hair?.massG ?? null;
    case 'core':
    case 'added':
      return null;
  }
}

const CAUSE: Readonly<Record<WoolUse['role'], ErrorCause>> = {
  core: 'density',
  coat: 'hiding',
  patch: 'hiding',
  line: 'piece',
  dot: 'density',
  hair: 'hair',
  added: 'piece',
};

function sigmasOf({ use, densitySigma, densityCommonSigma, laidSigma }: Prepared) {
  switch (use.role) {
    case 'coat':
    case 'patch':
      return { commonSigma: 0, sharedSigma: laidSigma, ownSigma: SIGMA.coatOwn };
    case 'hair':
      return { commonSigma: 0, sharedSigma: laidSigma, ownSigma: SIGMA.coreOwn };
    default:
      return { commonSigma: densityCommonSigma, sharedSigma: densitySigma, ownSigma: SIGMA.coreOwn };
  }
}

/** What the use comes to, or why that cannot be said. */
export function calculatedOf(prepared: Prepared, massG: number | null): Calculated {
  const { use, fibre } = prepared;
  if (typeof fibre !== 'object') return { kind: 'unknown', reason: fibre };
  if (use.role === 'added') return { kind: 'unknown', reason: 'amount_missing' };
  if (prepared.gPerCm3 > DENSEST_FELT_G_PER_CM3) return { kind: 'unknown', reason: 'density_impossible' };
  if (massG === null)
    return { kind: 'unknown', reason: isCounted(use) && !prepared.often ? 'count_missing' : 'sizes_missing' };
  return { kind: 'known', massG, cause: CAUSE[use.role], ...sigmasOf(prepared) };
}

const isCounted = ({ role }: WoolUse): boolean => role === 'patch' || role === 'line' || role === 'dot';

export const finish = (prepared: Prepared, massG: number | null): UseWorking => ({
  use: prepared.use,
  fibre: prepared.fibre,
  stated: prepared.stated,
  alsoStated: prepared.alsoStated,
  often: prepared.often,
  coat: prepared.coat,
  hair: prepared.hair,
  felted: prepared.felted,
  laid: prepared.laid,
  calculated: calculatedOf(prepared, massG),
});
