import { FINISHED_DENSITY_G_PER_CM3, type Fibre, fibreNumber } from '../fibre/index.ts';
import { checkPart, type Part } from '../pattern/index.ts';
import { totalMass, type MassRangeG, type MassTerm, type TotalMass } from '../quantity/index.ts';
import { solidOf, type Solid } from '../shapes/index.ts';
import { coatByContrast, type CoatWeight } from './coat.ts';
import { shareVolume, type Layers } from './layers.ts';
import { rollUpSize, type RollUp } from './rollUp.ts';
import { SIGMA } from './sigmas.ts';
import { topsLength, type TopsLength } from './topsLength.ts';

export type WoolRole = 'core' | 'coat';

/** Why an amount is unknown. */
export type UnknownReason =
  'sizes_missing' | 'part_impossible' | 'core_fibre_missing' | 'coat_fibre_missing' | 'fibre_not_found';

/** Wool of one role on one part. */
export type UseEstimate =
  | {
      readonly kind: 'known';
      readonly role: WoolRole;
      readonly fibreId: string;
      readonly pieceG: number;
      /** All pieces of the part together, with its range. */
      readonly all: MassRangeG;
      readonly term: MassTerm;
      /** For one piece; null when the fibre is not tops or its grams per metre are unknown. */
      readonly tops: TopsLength | null;
    }
  | {
      readonly kind: 'unknown';
      readonly role: WoolRole;
      readonly fibreId: string | null;
      readonly reason: UnknownReason;
    };

/** What was worked out on the way, for *how it came about*. */
export interface Workings {
  readonly solid: Solid;
  readonly layers: Layers;
  readonly coat: CoatWeight | null;
}

export interface PartEstimate {
  readonly partId: string;
  readonly count: number;
  readonly uses: readonly UseEstimate[];
  /** All wool of one piece, and of all of them; with unknown uses only what is known. */
  readonly pieceG: number;
  readonly total: TotalMass;
  /** Null while the sizes are unknown or impossible. */
  readonly solid: Solid | null;
  /** Null while anything the layers depend on is unknown. */
  readonly workings: Workings | null;
  readonly rollUp: RollUp | null;
}

export type FibreLookup = ReadonlyMap<string, Fibre>;

/** The wool of one part. Never throws: what cannot be worked out is unknown, with its reason. */
export function estimatePart(part: Part, fibres: FibreLookup): PartEstimate {
  const solid = possibleSolid(part);
  if (typeof solid === 'string') return unknownPart(part, null, solid);
  const coatFibre = part.coat ? fibreOf(part.coat.fibreId, fibres, 'coat_fibre_missing') : null;
  if (typeof coatFibre === 'string') return unknownPart(part, solid, coatFibre);
  const coreFibre = fibreOf(part.core.fibreId, fibres, 'core_fibre_missing');
  const knownCore = typeof coreFibre === 'string' ? null : coreFibre;
  const coat = coatFibre ? coatByContrast(knownCore?.colour ?? null, coatFibre) : null;
  const layers = shareVolume(
    solid,
    { coreGPerCm3: densityOf(knownCore, part), coatGPerCm3: densityOf(coatFibre, part) },
    coat,
  );
  const uses: UseEstimate[] = [
    typeof coreFibre === 'string'
      ? { kind: 'unknown', role: 'core', fibreId: part.core.fibreId, reason: coreFibre }
      : knownUse('core', coreFibre, layers.coreG, part.count),
    ...(coatFibre ? [knownUse('coat', coatFibre, layers.coatG, part.count)] : []),
  ];
  return {
    ...withTotals(part, uses),
    solid,
    workings: { solid, layers, coat },
    rollUp: layers.coreSolid ? rollUpSize(layers.coreSolid, layers.coreG, layers.coreGPerCm3) : null,
  };
}

/** What the part's firmness makes of this fibre, g/cm³; a fibre that is not known felts as most do. */
const densityOf = (fibre: Fibre | null, part: Part): number =>
  FINISHED_DENSITY_G_PER_CM3[part.firmness] * (fibre ? (fibreNumber(fibre, 'densityFactor')?.value ?? 1) : 1);

function possibleSolid(part: Part): Solid | UnknownReason {
  if (checkPart({ ...part, name: part.name || '-' }, '').length > 0) return 'part_impossible';
  const result = solidOf(part.shape);
  return result.kind === 'solid' ? result.solid : 'sizes_missing';
}

function fibreOf(fibreId: string | null, fibres: FibreLookup, missing: UnknownReason): Fibre | UnknownReason {
  if (fibreId === null) return missing;
  return fibres.get(fibreId) ?? 'fibre_not_found';
}

function unknownPart(part: Part, solid: Solid | null, reason: UnknownReason): PartEstimate {
  const core = { kind: 'unknown', role: 'core', fibreId: part.core.fibreId, reason } as const;
  const coat = part.coat
    ? [{ kind: 'unknown', role: 'coat', fibreId: part.coat.fibreId, reason } as const]
    : [];
  return { ...withTotals(part, [core, ...coat]), solid, workings: null, rollUp: null };
}

function withTotals(part: Part, uses: readonly UseEstimate[]) {
  const known = uses.filter((use) => use.kind === 'known');
  return {
    partId: part.id,
    count: part.count,
    uses,
    pieceG: known.reduce((sum, use) => sum + use.pieceG, 0),
    total: totalOfUses(uses),
  };
}

/** The sum of these uses, with how many of them are unknown. */
export function totalOfUses(uses: readonly UseEstimate[]): TotalMass {
  const known = uses.filter((use) => use.kind === 'known');
  return totalMass(
    known.map((use) => use.term),
    uses.length - known.length,
  );
}

function knownUse(role: WoolRole, fibre: Fibre, pieceG: number, count: number): UseEstimate {
  const term: MassTerm = {
    group: fibre.id,
    pieceG,
    count,
    sharedSigma: role === 'core' ? SIGMA.coreShared : SIGMA.coatShared,
    ownSigma: role === 'core' ? SIGMA.coreOwn : SIGMA.coatOwn,
  };
  return {
    kind: 'known',
    role,
    fibreId: fibre.id,
    pieceG,
    all: totalMass([term]),
    term,
    tops: topsOf(fibre, pieceG),
  };
}

/** Tops and sliver are measured along; what anything else is measured by comes with the wool engine's forms. */
function topsOf(fibre: Fibre, pieceG: number): TopsLength | null {
  const isLong = fibre.preparation === 'tops' || fibre.preparation === 'carded';
  if (!isLong || fibre.linearGPerM === null || pieceG === 0) return null;
  return topsLength(pieceG, fibre.linearGPerM, fibreNumber(fibre, 'stapleMm')?.value ?? null);
}
