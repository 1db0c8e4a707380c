import { toMm } from '../base/index.ts';
import { countRange, type Pattern } from '../pattern/index.ts';
import { contactsOfJoins } from '../placing/index.ts';
import { calculatePart } from './calculatePart.ts';
import { calibrate, type Calibration, type CalibrationSources } from './calibration.ts';
import { type CutEstimate, estimateCuts } from './cuts/estimateCuts.ts';
import { resolveSizes } from './derivedSizes.ts';
import { estimateFindings, type FindingTotal } from './estimateFindings.ts';
import { estimateJoin, joinCount, type JoinEstimate } from './estimateJoins.ts';
import { partEstimate, type PartEstimate } from './partEstimate.ts';
import type { PartWorking } from './partWorking.ts';
import { type Doubt, doubtsOf } from './quantity/doubt.ts';
import type { TotalMass } from './quantity/totalMass.ts';
import { resolveAmounts, type SharedEstimate } from './resolveAmounts.ts';
import { evidenceOf, isAnyWeighed } from './samples.ts';
import { showingOutside } from './showing.ts';
import { costEndsOf } from './statedEnds.ts';
import {
  inOneMake,
  termsOf,
  totalOfUses,
  type UseEstimate,
  WOOL_ROLES,
  type WoolRole,
} from './useEstimate.ts';
import { wireThrough } from './wireThrough.ts';
import { type SheetPiece, sheetPiecesOf } from './sheetPieces.ts';
import type { FibreLookup, Wool } from './wool.ts';

/** One fibre in one make. */
export interface FibreTotal {
  readonly fibreId: string;
  readonly total: TotalMass;
}

export interface RoleTotal {
  readonly role: WoolRole;
  readonly total: TotalMass;
}

/** A sum of things some of which may be unknown. */
export interface SumWithUnknown {
  readonly known: number;
  readonly unknownCount: number;
}

/** What of a pattern its wool, findings and cuts follow from. */
export type WoolOfPattern = Pick<
  Pattern,
  'parts' | 'joins' | 'joinsApart' | 'cuts' | 'findings' | 'shared' | 'weighedMakeG' | 'lengthUnit' | 'stance'
>;

/** What one make takes. Minutes and needles are of its steps: `stepTotals`. */
export interface PatternEstimate {
  readonly parts: readonly PartEstimate[];
  readonly joins: readonly JoinEstimate[];
  /** Every use of wool, parts in order, then covers of joins. */
  readonly uses: readonly UseEstimate[];
  /** Heaviest first. A fibre with unknown uses is in the list with its count of them. */
  readonly fibres: readonly FibreTotal[];
  /** In the order of making; roles that are not there are left out. */
  readonly roles: readonly RoleTotal[];
  readonly total: TotalMass;
  /** Uses that are only if needed: packed apart, in no total. */
  readonly ifNeeded: readonly FibreTotal[];
  readonly doubts: readonly Doubt[];
  readonly shared: readonly SharedEstimate[];
  readonly cuts: readonly CutEstimate[];
  readonly findings: readonly FindingTotal[];
  /** Felt and pre-felt by the piece, beside their grams. */
  readonly sheetPieces: readonly SheetPiece[];
  /** Integer minor units at the likely mass, rounded; a fibre without a price is unknown. */
  readonly costMinor: SumWithUnknown;
  /** The same at both ends of what its author states from – to; null: nothing is. */
  readonly costEnds: ReturnType<typeof costEndsOf>;
  readonly calibration: Calibration;
  /** Covers of joins go into a bag of their own. */
  readonly joinsApart: boolean;
}

/** Everything the ledger shows for one make of a pattern. Never throws. */
export function estimatePattern(pattern: WoolOfPattern, wool: Wool): PatternEstimate {
  const lnOfMake = lnOfWeighedMake(pattern, wool);
  return estimateWith(pattern, wool, workParts(pattern, wool, lnOfMake));
}

/** ln of a whole make on the scale over what it calculates to, what is stated left as it is; null: none, or not told. */
function lnOfWeighedMake(pattern: WoolOfPattern, wool: Wool): number | null {
  if (pattern.weighedMakeG === null) return null;
  const { uses } = estimateWith(pattern, wool, workParts(pattern, wool, null));
  const usesOfOne = inOneMake(uses);
  if (usesOfOne.some(({ kind }) => kind === 'unknown')) return null;
  const sum = (isIn: (use: UseEstimate) => boolean) => totalOfUses(usesOfOne.filter(isIn)).likelyG;
  const calculatedG = sum(isCalculated);
  const leftG = pattern.weighedMakeG - sum((use) => !isCalculated(use));
  return calculatedG > 0 && leftG > 0 ? Math.log(leftG / calculatedG) : null;
}

/** Felted as firmly as its maker felts: what her firmness makes heavier. */
const isCalculated = (use: UseEstimate): boolean =>
  use.kind === 'known' && use.source === 'calculated' && (use.term.commonSigma ?? 0) > 0;

function estimateWith(
  pattern: WoolOfPattern,
  wool: Wool,
  workings: ReturnType<typeof workParts>,
): PatternEstimate {
  const { calibration } = workings;
  const { uses: settled, shared } = resolveAmounts(workings.parts, pattern.shared);
  const byId = new Map(workings.parts.map((working) => [working.part.id, working]));
  const contactsMm = contactsWhereAsked(pattern, workings.parts);
  const joins = pattern.joins.map((join) =>
    estimateJoin(join, joinCount(join, pattern.parts), {
      parts: byId,
      settled,
      wool,
      calibration,
      contactsMm,
    }),
  );
  const held = heldByPart(pattern, joins);
  const parts = workings.parts.map((working) => {
    const { looseEnds, tailMm, sunkMm } = held.get(working.part.id) ?? NOTHING_HELD;
    return partEstimate(working, settled, looseEnds, { calibration, fibres: wool.fibres, tailMm, sunkMm });
  });
  const uses: UseEstimate[] = [];
  for (const part of parts) for (const use of part.uses) uses.push(use);
  for (const { cover } of joins) if (cover) uses.push(cover);
  const usesOfOne = inOneMake(uses);
  const fibres = totalsByFibre(usesOfOne);
  const cuts = estimateCuts(pattern, workings.solids, wool.findings);
  // Worked out when they are looked at: a run reads neither.
  let roles: readonly RoleTotal[] | null = null;
  let doubts: readonly Doubt[] | null = null;
  return {
    parts,
    joins,
    uses,
    fibres,
    get roles() {
      return (roles ??= totalsByRole(usesOfOne));
    },
    total: totalOfUses(usesOfOne),
    ifNeeded: usesOfOne === uses ? [] : totalsByFibre(uses.filter((use) => use.isIfNeeded)),
    get doubts() {
      return (doubts ??= doubtsOf(termsOf(usesOfOne)));
    },
    shared,
    cuts,
    findings: estimateFindings(pattern, cuts, wool),
    sheetPieces: sheetPiecesOf(pattern, workings.solids, wool.fibres),
    costMinor: costOf(fibres, wool.fibres),
    costEnds: costEndsOf(usesOfOne, wool.fibres),
    calibration,
    joinsApart: pattern.joinsApart,
  };
}

const NO_CONTACTS: ReadonlyMap<string, number> = new Map();

/** The figure is put together only where a join is as wide as its surfaces meet. */
function contactsWhereAsked(
  pattern: WoolOfPattern,
  workings: readonly PartWorking[],
): ReadonlyMap<string, number> {
  if (!pattern.joins.some(({ across, acrossBy }) => across === null && acrossBy === 'contact'))
    return NO_CONTACTS;
  const pieces = workings.map(({ part, solid }) => ({
    partId: part.id,
    solid,
    count: countRange(part.count),
  }));
  return contactsOfJoins(pattern, pieces);
}

/** Every part worked out on its own, with the wire through it and what it lies on. */
function workParts(pattern: WoolOfPattern, wool: Wool, lnOfMake: number | null) {
  const sized = resolveSizes(pattern.parts, wool);
  const looseEnds = new Map<string, number>();
  for (const { looseEnd } of pattern.joins) {
    if (looseEnd) looseEnds.set(looseEnd.partId, (looseEnds.get(looseEnd.partId) ?? 0) + looseEnd.ends);
  }
  const wire = wireThrough(
    pattern,
    sized.map(({ part }) => part),
    wool,
  );
  const showing = new Map(pattern.parts.map((part) => [part.id, part]));
  const workAll = (calibration: Calibration) =>
    sized.map((sizedPart) => {
      const { shape, id } = sizedPart.part;
      const under = shape.kind === 'patch' ? showing.get(shape.onPartId ?? '') : undefined;
      return calculatePart(sizedPart, {
        wool,
        calibration,
        wireMm3: wire.get(id) ?? 0,
        looseEnds: looseEnds.get(id) ?? 0,
        beneath: under ? showingOutside(under, wool) : [],
      });
    });
  const sources: CalibrationSources = {
    handMeasures: wool.handMeasures,
    learnt: wool.learnt,
    fibreOf: (id) => wool.fibres.get(id) ?? null,
  };
  // Samples are held against what comes out before anything is learnt of them.
  const untaught = isAnyWeighed(sized)
    ? new Map(workAll(calibrate([], sources)).map((working) => [working.part.id, working]))
    : new Map<string, PartWorking>();
  const evidence = evidenceOf(sized, wool.fibres, (id) => untaught.get(id));
  const calibration = calibrate(evidence, { ...sources, lnOfWeighedMake: lnOfMake });
  const parts = workAll(calibration);
  const solids = new Map(parts.flatMap(({ part, solid }) => (solid ? [[part.id, solid] as const] : [])));
  return { parts, calibration, solids };
}

/** What joins make of one part: its loose ends, their length in all, and how deep it is sunk, mm. */
interface Held {
  readonly looseEnds: UseEstimate[];
  tailMm: number;
  sunkMm: number;
}

const NOTHING_HELD: Readonly<Held> = { looseEnds: [], tailMm: 0, sunkMm: 0 };

function heldByPart(pattern: WoolOfPattern, joins: readonly JoinEstimate[]): Map<string, Held> {
  const byPart = new Map<string, Held>();
  const heldOf = (partId: string): Held => {
    const held = byPart.get(partId) ?? { looseEnds: [], tailMm: 0, sunkMm: 0 };
    byPart.set(partId, held);
    return held;
  };
  pattern.joins.forEach((join, index) => {
    const joinEstimate = joins[index];
    if (join.sink) heldOf(join.partId).sunkMm += toMm(join.sink);
    if (!join.looseEnd || !joinEstimate) return;
    const held = heldOf(join.looseEnd.partId);
    if (joinEstimate.looseEnd) held.looseEnds.push(joinEstimate.looseEnd);
    held.tailMm += (joinEstimate.tailMm ?? 0) * join.looseEnd.ends;
  });
  return byPart;
}

export function totalsByFibre(uses: readonly UseEstimate[]): FibreTotal[] {
  const usesByFibre = new Map<string, UseEstimate[]>();
  for (const use of uses) {
    if (use.fibreId === null) continue;
    const fibreUses = usesByFibre.get(use.fibreId);
    if (fibreUses) fibreUses.push(use);
    else usesByFibre.set(use.fibreId, [use]);
  }
  return [...usesByFibre]
    .map(([fibreId, fibreUses]) => ({ fibreId, total: totalOfUses(fibreUses) }))
    .filter(({ total }) => total.likelyG > 0 || total.unknownCount > 0)
    .sort((a, b) => b.total.likelyG - a.total.likelyG);
}

export function totalsByRole(uses: readonly UseEstimate[]): RoleTotal[] {
  return WOOL_ROLES.flatMap((role) => {
    const ownUses = uses.filter((use) => use.role === role);
    return ownUses.length > 0 ? [{ role, total: totalOfUses(ownUses) }] : [];
  });
}

function sumKnown(values: readonly (number | null)[]): SumWithUnknown {
  const known = values.filter((value) => value !== null);
  return { known: known.reduce((sum, value) => sum + value, 0), unknownCount: values.length - known.length };
}

function costOf(totals: readonly FibreTotal[], fibres: FibreLookup): SumWithUnknown {
  const costs = totals.map(({ fibreId, total }) => {
    const price = fibres.get(fibreId)?.pricePer100gMinor ?? null;
    return price === null || total.unknownCount > 0 ? null : (price * total.likelyG) / 100;
  });
  const { known, unknownCount } = sumKnown(costs);
  return { known: Math.round(known), unknownCount };
}
