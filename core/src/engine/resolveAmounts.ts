import { type Source, Z90 } from '../base/index.ts';
import { countRange, type CountRange, type SharedWeight } from '../pattern/index.ts';
import type { PartWorking } from './partWorking.ts';
import { type ErrorCause, massOfTerm, type MassTerm } from './quantity/totalMass.ts';
import { SIGMA } from '../learning/index.ts';
import type { UnknownReason } from './unknown.ts';
import type { Comparison, OtherStatement, UseEstimate } from './useEstimate.ts';
import type { UseWorking } from './useWorking.ts';

/** z of the 97.5th percentile: a 95 % interval. */
const Z975 = 1.959963984540054;

/** One piece's amount, settled. */
interface Settled {
  readonly kind: 'known';
  readonly massG: number;
  readonly source: Source;
  readonly cause: ErrorCause;
  readonly group: string | null;
  /** Both ends, where its author states a range. */
  readonly range: { readonly lowG: number; readonly highG: number } | null;
  readonly commonSigma: number;
  readonly sharedSigma: number;
  readonly ownSigma: number;
  readonly allSigma: number;
  readonly isUntil: boolean;
}

type Settling = Settled | { readonly kind: 'unknown'; readonly reason: UnknownReason };

const unknown = (reason: UnknownReason): Settling => ({ kind: 'unknown', reason });

const knownMass = (massG: number, more: Partial<Settled> = {}): Settled => ({
  kind: 'known',
  massG,
  source: 'stated',
  cause: 'stated',
  group: null,
  range: null,
  commonSigma: 0,
  sharedSigma: 0,
  ownSigma: 0,
  allSigma: SIGMA.stated,
  isUntil: false,
  ...more,
});

/** One use with the part it is on. */
interface Placed {
  readonly working: UseWorking;
  readonly partId: string;
  readonly count: CountRange | null;
}

/** What one shared weight is asked for. */
export interface SharedEstimate {
  readonly sharedId: string;
  readonly massG: number | null;
  /** What the uses that share it would calculate to, all pieces; null while one of them is unknown. */
  readonly calculatedG: number | null;
}

export interface ResolvedAmounts {
  /** By use id. */
  readonly uses: ReadonlyMap<string, UseEstimate>;
  readonly shared: readonly SharedEstimate[];
}

/** Settles every amount of a pattern, those that follow from others too. The order of parts changes nothing. */
export function resolveAmounts(
  parts: readonly PartWorking[],
  weights: readonly SharedWeight[],
): ResolvedAmounts {
  const placed = new Map<string, Placed>();
  for (const { part, uses } of parts) {
    const count = countRange(part.count);
    for (const working of uses) placed.set(working.use.id, { working, partId: part.id, count });
  }
  const settle = settler(placed, weights);
  const uses = new Map(
    [...placed].map(([id, ownPlaced]) => [id, estimateOf(ownPlaced, settle(id, []))] as const),
  );
  const shared = weights.map(({ id, massG }) => ({
    sharedId: id,
    massG,
    calculatedG: calculatedOf(sharersOf(placed, id)),
  }));
  return { uses, shared };
}

const sharersOf = (placed: ReadonlyMap<string, Placed>, sharedId: string): Placed[] =>
  [...placed.values()].filter(({ working: { use } }) => {
    const { amount } = use;
    return (amount?.form === 'shared' || amount?.form === 'rest') && amount.sharedId === sharedId;
  });

/** All pieces of these uses by their shapes; null while one is unknown. */
function calculatedOf(sharers: readonly Placed[]): number | null {
  let sum = 0;
  for (const { working, count } of sharers) {
    if (working.use.amount?.form === 'rest') continue;
    if (working.calculated.kind === 'unknown' || !count) return null;
    sum += working.calculated.massG * count.likely;
  }
  return sum;
}

function settler(placed: ReadonlyMap<string, Placed>, weights: readonly SharedWeight[]) {
  const known = new Map<string, Settling>();
  const settle = (id: string, way: readonly string[]): Settling => {
    const before = known.get(id);
    if (before) return before;
    const ownPlaced = placed.get(id);
    if (!ownPlaced) return unknown('other_unknown');
    if (way.includes(id)) return unknown('other_circular');
    const settled = settleOne(ownPlaced, id, way);
    known.set(id, settled);
    return settled;
  };
  const settleOne = (ownPlaced: Placed, id: string, way: readonly string[]): Settling => {
    const { calculated, stated, use, fibre } = ownPlaced.working;
    if (stated === null) return byShape(ownPlaced.working);
    if (stated.kind === 'unknown') return unknown(stated.reason);
    if (stated.kind === 'known') {
      // Each piece that is weighed or taken by hand strays by itself; what is only said may be off for all of them.
      const strays = stated.cause === 'weighed' || stated.cause === 'hand';
      return knownMass(stated.massG, {
        source: stated.source,
        cause: stated.cause,
        range: stated.range,
        ownSigma: strays ? stated.sigma : 0,
        allSigma: strays ? 0 : stated.sigma,
      });
    }
    if (typeof fibre !== 'object') return unknown(fibre);
    const { amount } = use;
    switch (amount?.form) {
      case 'at-most':
        return calculated.kind === 'known' && amount.massG !== null && calculated.massG > amount.massG
          ? knownMass(amount.massG)
          : byShape(ownPlaced.working);
      case 'relative': {
        const other = settle(amount.ofUseId ?? '', [...way, id]);
        if (other.kind === 'unknown')
          return unknown(other.reason === 'other_circular' ? 'other_circular' : 'other_unknown');
        const sigma = Math.hypot(other.commonSigma, other.sharedSigma, other.ownSigma, other.allSigma);
        const fraction = amount.fraction ?? 0;
        return knownMass(other.massG * fraction, {
          range: timesRange(other.range, fraction),
          allSigma: Math.hypot(sigma, SIGMA.stated),
        });
      }
      case 'shared':
        return fromShared(ownPlaced, amount.sharedId ?? '', placed, weights);
      case 'rest':
        return restOf(ownPlaced, amount.sharedId ?? '', placed, weights);
      default: {
        const settled = byShape(ownPlaced.working);
        return settled.kind === 'known' ? { ...settled, isUntil: true } : settled;
      }
    }
  };
  return settle;
}

function byShape({ calculated }: UseWorking): Settling {
  if (calculated.kind === 'unknown') return unknown(calculated.reason);
  const { massG, cause, commonSigma, sharedSigma, ownSigma } = calculated;
  return {
    kind: 'known',
    massG,
    source: 'calculated',
    cause,
    group: null,
    range: null,
    commonSigma,
    sharedSigma,
    ownSigma,
    allSigma: 0,
    isUntil: false,
  };
}

const timesRange = (range: Settled['range'], factor: number): Settled['range'] =>
  range && { lowG: range.lowG * factor, highG: range.highG * factor };

/** A weight as it counts: the middle of its logs where it is a range. */
interface Weight {
  readonly id: string;
  readonly isWeighed: boolean;
  readonly massG: number;
  readonly highG: number | null;
}

function weightOf(weights: readonly SharedWeight[], id: string): Weight | null {
  const weight = weights.find((candidate) => candidate.id === id);
  if (!weight || weight.massG === null) return null;
  const highG = weight.highG !== null && weight.highG > weight.massG ? weight.highG : null;
  return { id, isWeighed: weight.isWeighed, massG: likelyOfWeight(weight.massG, highG), highG };
}

const likelyOfWeight = (massG: number, highG: number | null): number =>
  highG === null ? massG : Math.sqrt(massG * highG);

/** All uses of one weight are off together, by as much as the weight is. */
function ofWeight(massG: number, { id, isWeighed, massG: likelyG, highG }: Weight): Settled {
  const isExact = isWeighed && highG === null;
  const spread = highG === null ? null : highG / likelyG;
  return knownMass(massG, {
    source: isExact ? 'weighed' : 'stated',
    cause: isExact ? 'weighed' : 'stated',
    group: `shared ${id}`,
    range: spread === null ? null : { lowG: massG / spread, highG: massG * spread },
    sharedSigma: spread === null ? (isWeighed ? SIGMA.weighed : SIGMA.stated) : Math.log(spread) / Z90,
    allSigma: 0,
  });
}

function fromShared(
  ownPlaced: Placed,
  id: string,
  placed: ReadonlyMap<string, Placed>,
  weights: readonly SharedWeight[],
): Settling {
  const weight = weightOf(weights, id);
  const sharers = sharersOf(placed, id);
  const calculatedG = calculatedOf(sharers);
  const { calculated } = ownPlaced.working;
  if (!weight?.massG || !calculatedG || calculated.kind === 'unknown') return unknown('shared_unknown');
  // Somebody takes what is left: then the others take what they calculate to.
  const hasRest = sharers.some(({ working }) => working.use.amount?.form === 'rest');
  return ofWeight(hasRest ? calculated.massG : (weight.massG * calculated.massG) / calculatedG, weight);
}

function restOf(
  ownPlaced: Placed,
  id: string,
  placed: ReadonlyMap<string, Placed>,
  weights: readonly SharedWeight[],
): Settling {
  const weight = weightOf(weights, id);
  const sharers = sharersOf(placed, id);
  const takenG = calculatedOf(sharers);
  const takers = sharers.filter(({ working }) => working.use.amount?.form === 'rest');
  const pieces = takers.reduce((sum, { count }) => sum + (count?.likely ?? 0), 0);
  if (!weight?.massG || takenG === null || !ownPlaced.count || !(pieces > 0))
    return unknown('shared_unknown');
  const leftG = weight.massG - takenG;
  return leftG > 0 ? ofWeight(leftG / pieces, weight) : unknown('shared_overdrawn');
}

/** Written out field by field: there is one for every use, and copying objects together costs more than working them out. */
function estimateOf({ working, partId, count }: Placed, settled: Settling): UseEstimate {
  const { often } = working;
  const { id, role, fibreId, isIfNeeded } = working.use;
  const owner = { kind: 'part', id: partId } as const;
  if (settled.kind === 'unknown' || !count || fibreId === null) {
    const reason = settled.kind === 'unknown' ? settled.reason : count ? 'fibre_missing' : 'count_missing';
    return { kind: 'unknown', owner, useId: id, role, fibreId, isIfNeeded, count, reason };
  }
  const { massG, cause, commonSigma, sharedSigma, ownSigma, allSigma, range } = settled;
  // A detail's own number: packed for the most there may be, as pieces are.
  const most = settled.source === 'calculated' && often ? often.high / often.likely : 1;
  const term: MassTerm = {
    group: settled.group ?? fibreId,
    cause,
    pieceG: massG,
    count: count.likely,
    commonSigma,
    sharedSigma,
    ownSigma,
    allSigma,
    countSigma: Math.hypot(countSigma(count), most > 1 && often ? countSigma(often) : 0),
  };
  return {
    kind: 'known',
    owner,
    useId: id,
    role,
    fibreId,
    isIfNeeded,
    count,
    pieceG: massG,
    all: massOfTerm(term),
    packG: (range?.highG ?? massG) * most * count.high,
    packMiddleG: massG * most * count.high,
    range,
    otherStatements: otherStatements(working, range ?? { lowG: massG, highG: massG }),
    term,
    source: settled.source,
    comparison: comparisonOf(working, settled),
    isUntil: settled.isUntil,
  };
}

/** σ of the log of a number that is only known to lie between two. */
export const countSigma = ({ low, high }: CountRange): number =>
  high > low ? Math.log(high / low) / (2 * Z90) : 0;

function comparisonOf({ calculated, use }: UseWorking, settled: Settled): Comparison | null {
  if (settled.source === 'calculated' || use.amount?.form === 'trimmings') return null;
  if (calculated.kind === 'unknown' || calculated.massG <= 0) return null;
  const sigma = Math.hypot(calculated.commonSigma, calculated.sharedSigma, calculated.ownSigma);
  const off = Math.abs(Math.log(settled.massG / calculated.massG));
  return { calculatedG: calculated.massG, isOff: off > Z975 * sigma };
}

/** Two statements of one amount that are further apart than this contradict each other, as a lot and its weighing do. */
const CONTRADICTION = 1.15;

interface Said {
  readonly low: number;
  readonly high: number;
}

/** Two statements in one unit that no hand could both make true. */
export const contradict = (a: Said, b: Said): boolean =>
  a.low > b.high * CONTRADICTION || a.high * CONTRADICTION < b.low;

/** Everything else its author states of the same amount, held against the one that counts. */
const otherStatements = (
  { use, alsoStated }: UseWorking,
  counted: { readonly lowG: number; readonly highG: number },
): OtherStatement[] =>
  alsoStated.flatMap((stated, at): OtherStatement[] => {
    const amount = use.alsoSaid[at];
    if (!amount || stated.kind !== 'known') return [];
    const { lowG, highG } = stated.range ?? { lowG: stated.massG, highG: stated.massG };
    const isOff = contradict({ low: lowG, high: highG }, { low: counted.lowG, high: counted.highG });
    return [{ at, form: amount.form, lowG, highG, isOff }];
  });
