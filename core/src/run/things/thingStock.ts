import { wholeDown, wholeUp } from '../../base/index.ts';
import { fewestLengths, fewestSheets } from '../../cutting/index.ts';
import type { CutPiece } from '../../engine/index.ts';
import { type Finding, putUpAmount, wantingOf } from '../../shelf/index.ts';

/** What runs before take of one thing: an amount in its unit, and what of it is cut to size. */
export interface ThingPromise {
  readonly amount: number;
  readonly pieces: readonly CutPiece[];
}

/** By the thing’s id. */
export type ThingPromises = ReadonlyMap<string, ThingPromise>;

export const NO_PROMISES: ThingPromises = new Map();
const NOTHING: ThingPromise = { amount: 0, pieces: [] };

export const promiseOf = (promises: ThingPromises, itemId: string): ThingPromise =>
  promises.get(itemId) ?? NOTHING;

/** Both together. */
export function addPromises(all: Map<string, ThingPromise>, more: ThingPromises): void {
  for (const [itemId, addition] of more) {
    const before = promiseOf(all, itemId);
    all.set(itemId, {
      amount: before.amount + addition.amount,
      pieces: [...before.pieces, ...addition.pieces],
    });
  }
}

/** A piece that no put-up is large enough for. */
export interface TooLarge {
  readonly name: string;
  readonly sizesMm: readonly number[];
  readonly putUpMm: readonly number[];
}

/** What there is of a finding for one run. */
export interface FindingStock {
  readonly onHand: number | null;
  /** Runs before take so much. */
  readonly promised: number;
  /** What is wanting, in its unit; of cut goods whole put-ups; null where nobody has counted. */
  readonly short: number | null;
  /** Whole put-ups to buy for what is wanting; of cut goods as pieces can be cut from them. */
  readonly putUps: number | null;
  /** No fewer put-ups will do. */
  readonly isFewestProven: boolean;
  readonly tooLarge: TooLarge | null;
}

export function stockOfFinding(
  finding: Finding | undefined,
  wanted: { readonly total: number; readonly pieces: readonly CutPiece[] },
  before: ThingPromise,
): FindingStock {
  const onHand = finding?.onHand ?? null;
  const base = { onHand, promised: before.amount, isFewestProven: true, tooLarge: null };
  if (!finding || onHand === null) return { ...base, short: null, putUps: null };
  const isCut = wanted.pieces.length > 0;
  if (isCut) return { ...base, ...cutShort(finding, onHand, wanted.pieces, before.pieces) };
  const short = wantingOf(wanted.total, onHand, before.amount) ?? 0;
  return { ...base, short, putUps: Math.max(0, wholeUp(short / putUpAmount(finding.measure))) };
}

/** Short is what has to be bought for this run beyond what runs before have to buy already. */
function cutShort(
  finding: Finding,
  onHand: number,
  pieces: readonly CutPiece[],
  before: readonly CutPiece[],
): Pick<FindingStock, 'short' | 'putUps' | 'isFewestProven' | 'tooLarge'> {
  const all = putUpsToBuy(finding, onHand, [...before, ...pieces]);
  if (all.kind === 'too-large')
    return { short: null, putUps: null, isFewestProven: true, tooLarge: all.piece };
  const earlier = putUpsToBuy(finding, onHand, before);
  const putUps = Math.max(0, all.count - (earlier.kind === 'fewest' ? earlier.count : 0));
  return {
    putUps,
    short: putUps * putUpAmount(finding.measure),
    isFewestProven: all.isProven,
    tooLarge: null,
  };
}

type ToBuy =
  | { readonly kind: 'fewest'; readonly count: number; readonly isProven: boolean }
  | { readonly kind: 'too-large'; readonly piece: TooLarge };

/** Put-ups to buy beside what is on hand: whole ones of it, and what is left of one that is begun. */
function putUpsToBuy({ measure }: Finding, onHand: number, pieces: readonly CutPiece[]): ToBuy {
  if (pieces.length === 0) return { kind: 'fewest', count: 0, isProven: true };
  if (measure.by === 'length') {
    const stockMm = measure.metresPerPack * 1000;
    const whole = wholeDown((onHand * 1000) / stockMm);
    const restMm = onHand * 1000 - whole * stockMm;
    const found = fewestLengths(
      pieces.map(({ cut, count }) => ({ lengthMm: cut.lengthMm, count })),
      stockMm,
      restMm > 1e-6 ? [restMm] : [],
    );
    return found.kind === 'too-long'
      ? tooLarge(pieces, ({ cut }) => cut.lengthMm >= found.lengthMm - 0.01, [stockMm])
      : { kind: 'fewest', count: Math.max(0, found.count - whole), isProven: found.isProven };
  }
  if (measure.by === 'area') {
    const { sheetLengthMm, sheetWidthMm, nap } = measure;
    const whole = wholeDown((onHand * 100) / (sheetLengthMm * sheetWidthMm));
    const found = fewestSheets(
      pieces.flatMap(({ cut, count }) =>
        cut.kind === 'piece' ? [{ lengthMm: cut.lengthMm, widthMm: cut.widthMm, count }] : [],
      ),
      { lengthMm: sheetLengthMm, widthMm: sheetWidthMm, mayTurn: nap === 'none' },
    );
    return found.kind === 'too-large'
      ? tooLarge(
          pieces,
          ({ cut }) =>
            cut.kind === 'piece' && cut.lengthMm === found.lengthMm && cut.widthMm === found.widthMm,
          [sheetLengthMm, sheetWidthMm],
        )
      : { kind: 'fewest', count: Math.max(0, found.count - whole), isProven: found.isProven };
  }
  return { kind: 'fewest', count: 0, isProven: true };
}

function tooLarge(
  pieces: readonly CutPiece[],
  isIt: (piece: CutPiece) => boolean,
  putUpMm: readonly number[],
): ToBuy {
  const piece = pieces.find(isIt);
  const cut = piece?.cut;
  const sizesMm = cut ? (cut.kind === 'piece' ? [cut.lengthMm, cut.widthMm] : [cut.lengthMm]) : [];
  return { kind: 'too-large', piece: { name: piece?.name ?? '', sizesMm, putUpMm } };
}
