import type { MassRangeG, Source } from '../base/index.ts';
import type { AmountForm, CountRange, UseRole } from '../pattern/index.ts';
import { type MassTerm, totalMass, type TotalMass } from './quantity/totalMass.ts';
import type { UnknownReason } from './unknown.ts';

/** What wool is for. Loose ends and covers come from joins. */
export type WoolRole = Exclude<UseRole, 'insert' | 'needled'> | 'loose-end' | 'join-cover';

/** In the order a figure is made. */
export const WOOL_ROLES = [
  'core',
  'loose-end',
  'coat',
  'patch',
  'join-cover',
  'line',
  'dot',
  'hair',
  'added',
] as const satisfies readonly WoolRole[];

interface UseBase {
  /** The part it is on, or the join it covers. */
  readonly owner: { readonly kind: 'part' | 'join'; readonly id: string };
  readonly useId: string;
  readonly role: WoolRole;
  readonly fibreId: string | null;
  /** Packed apart, and in no total. */
  readonly isIfNeeded: boolean;
  /** How many pieces; null where nobody has said. */
  readonly count: CountRange | null;
}

/** What is stated beside what the shape comes to. */
export interface Comparison {
  readonly calculatedG: number;
  /** The stated amount lies outside the 95 % interval of the calculated one. */
  readonly isOff: boolean;
}

/** Another statement of the same amount of one piece, in grams. */
export interface OtherStatement {
  /** Its place among what else is said: two may have one form. */
  readonly at: number;
  readonly form: AmountForm;
  readonly lowG: number;
  readonly highG: number;
  /** It and the one that counts cannot both be true of this lot. */
  readonly isOff: boolean;
}

export interface KnownUse extends UseBase {
  readonly kind: 'known';
  readonly count: CountRange;
  readonly pieceG: number;
  /** All pieces together, with their range. */
  readonly all: MassRangeG;
  /** All pieces, at the high end of their number, and of the amount where its author states a range: what is packed. */
  readonly packG: number;
  /** The same at the middle of a stated range, for who packs that. */
  readonly packMiddleG: number;
  /** One piece, as its author states it from – to; null: no range. */
  readonly range: { readonly lowG: number; readonly highG: number } | null;
  readonly otherStatements: readonly OtherStatement[];
  readonly term: MassTerm;
  readonly source: Source;
  /** Null where it is the calculated one, or nothing can be calculated. */
  readonly comparison: Comparison | null;
  /** The author says “until it covers”, and this is what that comes to. */
  readonly isUntil: boolean;
}

interface UnknownUse extends UseBase {
  readonly kind: 'unknown';
  readonly reason: UnknownReason;
}

/** Wool of one role, on one part or over one join. */
export type UseEstimate = KnownUse | UnknownUse;

const isTaken = (use: UseEstimate): boolean => !use.isIfNeeded;

/** Uses that one make takes: what is only if needed is not among them. The same list where all are taken. */
export const inOneMake = (uses: readonly UseEstimate[]): readonly UseEstimate[] =>
  uses.every(isTaken) ? uses : uses.filter(isTaken);

/** What totals are made of: one term for each known use. */
export function termsOf(uses: readonly UseEstimate[]): MassTerm[] {
  const terms: MassTerm[] = [];
  for (const use of uses) if (use.kind === 'known') terms.push(use.term);
  return terms;
}

/** The sum of these uses, with how many of them are unknown. */
export function totalOfUses(uses: readonly UseEstimate[]): TotalMass {
  const terms = termsOf(uses);
  return totalMass(terms, uses.length - terms.length);
}
