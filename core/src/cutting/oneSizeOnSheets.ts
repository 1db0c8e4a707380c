import type { PlacedOnSheets } from './placeOnSheets.ts';
import type { Area, CutArea, CutSheet, SheetPiece, SheetTask } from './sheetTask.ts';

const EPSILON = 1e-6;
/** What is over by less is cut off by nobody; and each cut has to leave something smaller, as it is remembered, to two places. */
const LEAST_CUT_MM = 0.02;
/** Of more the search would not end soon; rows of rows are near enough then. */
const MOST_SEARCHED = 120;

/**
 * Alike pieces: each sheet as full as straight cuts give, over every first cut at a sum of sides, and each part again.
 * Null: they are of several sizes, or too many to a sheet.
 */
export function oneSizeOnSheets(task: SheetTask, pieces: readonly SheetPiece[]): PlacedOnSheets[] | null {
  const [first] = pieces;
  const isOneSize = pieces.every(
    ({ lengthMm, widthMm }) => lengthMm === first?.lengthMm && widthMm === first.widthMm,
  );
  if (!first || !isOneSize) return null;
  const size = { lengthMm: first.lengthMm, widthMm: first.widthMm };
  const queue = pieces.flatMap(({ key, count }) => Array.from({ length: count }, () => key));
  const sheets: CutSheet[] = [];
  const stocks = task.stocks.toSorted((a, b) => Number(a.count === null) - Number(b.count === null));
  for (const stock of stocks) {
    const area: Area = {
      xMm: task.marginMm,
      yMm: task.marginMm,
      lengthMm: stock.lengthMm - 2 * task.marginMm,
      widthMm: stock.widthMm - 2 * task.marginMm,
    };
    if ((area.lengthMm * area.widthMm) / (size.lengthMm * size.widthMm) > MOST_SEARCHED) return null;
    const fullest = fullestCut(size, task);
    for (let at = 0; queue.length > 0 && at < (stock.count ?? Infinity); at++) {
      if (fullest.most(area.lengthMm, area.widthMm) === 0) break;
      sheets.push({
        stockKey: stock.key,
        lengthMm: stock.lengthMm,
        widthMm: stock.widthMm,
        isBought: stock.count === null,
        root: fullest.cut(area, queue),
      });
    }
  }
  const left = pieces.map((piece) => ({ ...piece, count: queue.filter((key) => key === piece.key).length }));
  return [{ sheets, left: left.filter(({ count }) => count > 0) }];
}

interface Best {
  readonly most: number;
  /** Null: it holds one piece at its corner, or none. */
  readonly blade: 'across' | 'along' | null;
  readonly atMm: number;
}

function fullestCut(
  { lengthMm, widthMm }: { lengthMm: number; widthMm: number },
  { mayTurn, kerfMm }: SheetTask,
) {
  const known = new Map<string, Best>();
  const sides = mayTurn ? [lengthMm, widthMm] : [lengthMm];
  const across = mayTurn ? [lengthMm, widthMm] : [widthMm];
  const holds = (l: number, w: number) => lengthMm <= l + EPSILON && widthMm <= w + EPSILON;
  const best = (l: number, w: number): Best => {
    const key = `${l.toFixed(2)} ${w.toFixed(2)}`;
    const before = known.get(key);
    if (before) return before;
    let found: Best = { most: holds(l, w) || (mayTurn && holds(w, l)) ? 1 : 0, blade: null, atMm: 0 };
    if (found.most > 0) {
      for (const at of sums(sides, kerfMm, l)) {
        const most = best(at, w).most + best(Math.max(0, l - at - kerfMm), w).most;
        if (most > found.most) found = { most, blade: 'across', atMm: at };
      }
      for (const at of sums(across, kerfMm, w)) {
        const most = best(l, at).most + best(l, Math.max(0, w - at - kerfMm)).most;
        if (most > found.most) found = { most, blade: 'along', atMm: at };
      }
    }
    known.set(key, found);
    return found;
  };
  const cut = (area: Area, queue: string[]): CutArea => {
    const { most, blade, atMm } = best(area.lengthMm, area.widthMm);
    if (most === 0 || queue.length === 0) return { kind: 'rest', area };
    if (blade === null) return pieceIn(area, queue);
    const isAcross = blade === 'across';
    const firstArea = isAcross ? { ...area, lengthMm: atMm } : { ...area, widthMm: atMm };
    const secondArea = isAcross
      ? { ...area, xMm: area.xMm + atMm + kerfMm, lengthMm: Math.max(0, area.lengthMm - atMm - kerfMm) }
      : { ...area, yMm: area.yMm + atMm + kerfMm, widthMm: Math.max(0, area.widthMm - atMm - kerfMm) };
    return { kind: 'cut', area, blade, atMm, first: cut(firstArea, queue), second: cut(secondArea, queue) };
  };
  /** One piece at the corner, what is over cut off. */
  const pieceIn = (area: Area, queue: string[]): CutArea => {
    const key = queue.shift();
    if (key === undefined) return { kind: 'rest', area };
    const isTurned = !holds(area.lengthMm, area.widthMm);
    const [l, w] = isTurned ? [widthMm, lengthMm] : [lengthMm, widthMm];
    const piece: CutArea = { kind: 'piece', area: { ...area, lengthMm: l, widthMm: w }, key, isTurned };
    return trimmed(area, piece, kerfMm);
  };
  return { most: (l: number, w: number) => best(l, w).most, cut };
}

/** What lies over on either side is cut off first. */
function trimmed(area: Area, piece: Extract<CutArea, { kind: 'piece' }>, kerfMm: number): CutArea {
  const { lengthMm: l, widthMm: w } = piece.area;
  const strip: Area = { ...area, lengthMm: l };
  const inStrip: CutArea =
    area.widthMm - w > 0.01
      ? {
          kind: 'cut',
          area: strip,
          blade: 'along',
          atMm: w,
          first: piece,
          second: {
            kind: 'rest',
            area: { ...strip, yMm: area.yMm + w + kerfMm, widthMm: Math.max(0, area.widthMm - w - kerfMm) },
          },
        }
      : { ...piece, area: strip };
  if (area.lengthMm - l <= 0.01) return inStrip;
  return {
    kind: 'cut',
    area,
    blade: 'across',
    atMm: l,
    first: inStrip,
    second: {
      kind: 'rest',
      area: { ...area, xMm: area.xMm + l + kerfMm, lengthMm: Math.max(0, area.lengthMm - l - kerfMm) },
    },
  };
}

/** Sums of sides with a cut between each, up to a limit, each once. */
function sums(sides: readonly number[], kerfMm: number, limit: number): number[] {
  const [a = 0, b] = sides;
  const found = new Set<number>();
  const most = (side: number) => Math.floor((limit + EPSILON) / side);
  for (let i = 0; i <= most(a); i++)
    for (let j = 0; j <= (b === undefined ? 0 : most(b)); j++) {
      const pieces = i + j;
      const sum = i * a + j * (b ?? 0) + Math.max(0, pieces - 1) * kerfMm;
      if (pieces > 0 && sum < limit - LEAST_CUT_MM) found.add(Math.round(sum * 1e4) / 1e4);
    }
  return [...found];
}
