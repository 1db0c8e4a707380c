import { keepFew, wholeUp } from '../../base/index.ts';
import { CUTTING_TERMS, fewestLengths, planSheets, type SheetTask } from '../../cutting/index.ts';
import { type CutPiece, sizeToCut } from '../../engine/index.ts';
import { type Finding, putUpAmount, thereToCut, wantingOf } from '../../shelf/index.ts';

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

/** Put-ups to buy beside what is on hand: whole ones of it, what is left of one that is begun, and offcuts. */
function putUpsToBuy(finding: Finding, onHand: number, pieces: readonly CutPiece[]): ToBuy {
  if (pieces.length === 0) return { kind: 'fewest', count: 0, isProven: true };
  const { measure } = finding;
  if (measure.by === 'length')
    return lengthsToBuy({ ...finding, onHand }, measure.metresPerPack * 1000, pieces);
  if (measure.by === 'area') return sheetsToBuy({ ...finding, onHand }, measure, pieces);
  return { kind: 'fewest', count: 0, isProven: true };
}

function lengthsToBuy(finding: Finding, stockMm: number, pieces: readonly CutPiece[]): ToBuy {
  const { wholes, restMm, offcuts, cutPieces } = thereToCut(finding);
  const { kerfMm, endWasteMm } = finding.cutFrom?.terms ?? CUTTING_TERMS;
  // With its cut each piece is longer, and so is the stick: its last piece needs none.
  const room = (lengthMm: number) => lengthMm - endWasteMm + kerfMm;
  const found = fewestLengths(
    pieces.map(({ cut, count }) => ({ lengthMm: cut.lengthMm + kerfMm, count })),
    room(stockMm),
    [
      ...(restMm > 1e-6 ? [room(restMm)] : []),
      ...offcuts.map(({ lengthMm }) => room(lengthMm)),
      ...cutPieces.flatMap(({ lengthMm, count }) => Array.from({ length: count }, () => lengthMm + kerfMm)),
    ],
  );
  return found.kind === 'too-long'
    ? tooLarge(pieces, ({ cut }) => cut.lengthMm + kerfMm >= found.lengthMm - 0.01, [stockMm])
    : { kind: 'fewest', count: Math.max(0, found.count - wholes), isProven: found.isProven };
}

/** Alike runs ask again for the same sheets. */
const MOST_KEPT = 300;
const plannedSheets = keepFew(MOST_KEPT, (key) => planSheets(JSON.parse(key) as SheetTask));

function sheetsToBuy(
  finding: Finding,
  { sheetLengthMm, sheetWidthMm, nap }: Extract<Finding['measure'], { by: 'area' }>,
  pieces: readonly CutPiece[],
): ToBuy {
  const { wholes, offcuts, cutPieces } = thereToCut(finding);
  const { terms = CUTTING_TERMS } = finding.cutFrom ?? {};
  const sizes = pieces.flatMap((piece) =>
    piece.cut.kind === 'piece' ? [{ ...sizeToCut(piece), count: piece.count }] : [],
  );
  const sheet = { lengthMm: sheetLengthMm, widthMm: sheetWidthMm };
  const task: SheetTask = {
    pieces: sizes.map((size, at) => ({ key: String(at), ...size })),
    stocks: [
      { key: 'bought', ...sheet, count: null },
      { key: 'whole', ...sheet, count: wholes },
      ...[...offcuts.map((offcut) => ({ ...offcut, count: 1 })), ...cutPieces].map(
        ({ lengthMm, widthMm, count }, at) => ({ key: `piece ${at}`, lengthMm, widthMm, count }),
      ),
    ],
    mayTurn: nap === 'none',
    kerfMm: terms.kerfMm,
    marginMm: terms.marginMm,
    offcutFromMm: terms.offcutFromMm,
  };
  const plan = plannedSheets(JSON.stringify(task));
  const [first] = plan.notCut;
  if (first)
    return tooLarge(
      pieces,
      (piece) => {
        const { lengthMm, widthMm } = sizeToCut(piece);
        return lengthMm === first.lengthMm && widthMm === first.widthMm;
      },
      [sheetLengthMm, sheetWidthMm],
    );
  return { kind: 'fewest', count: plan.bought, isProven: plan.atLeastBought === plan.bought };
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
