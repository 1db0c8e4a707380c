import { wholeUp } from '../base/index.ts';
import type { Fewest } from './fewestLengths.ts';

/** Alike pieces to be cut from sheet. */
export interface PieceWanted {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly count: number;
}

export interface Sheet {
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Its nap or grain runs one way: pieces may not be turned. */
  readonly mayTurn: boolean;
}

export type FewestSheets =
  | ({ readonly kind: 'fewest' } & Fewest)
  /** A piece is larger than the sheet. */
  | { readonly kind: 'too-large'; readonly lengthMm: number; readonly widthMm: number };

interface Piece {
  readonly lengthMm: number;
  readonly widthMm: number;
}

interface Rest {
  readonly lengthMm: number;
  readonly widthMm: number;
}

/**
 * The fewest whole sheets that all pieces can be cut from by straight cuts through. Of one size it is exact; of several
 * sizes largest first into what is left over, with its bound.
 */
export function fewestSheets(wanted: readonly PieceWanted[], sheet: Sheet): FewestSheets {
  const sizes = wanted.filter(({ count }) => count > 0);
  const tooLarge = sizes.find((piece) => !fits(piece, sheet));
  if (tooLarge) return { kind: 'too-large', lengthMm: tooLarge.lengthMm, widthMm: tooLarge.widthMm };
  if (sizes.length === 0) return { kind: 'fewest', count: 0, isProven: true, atLeast: 0 };
  const [only] = sizes;
  const isOneSize = sizes.every(
    ({ lengthMm, widthMm }) => lengthMm === only?.lengthMm && widthMm === only.widthMm,
  );
  if (isOneSize && only) {
    const pieces = sizes.reduce((sum, { count }) => sum + count, 0);
    const count = Math.ceil(pieces / mostOnOneSheet(only, sheet));
    return { kind: 'fewest', count, isProven: true, atLeast: count };
  }
  const count = largestFirst(sizes, sheet);
  const areaMm2 = sizes.reduce((sum, size) => sum + size.lengthMm * size.widthMm * size.count, 0);
  const byArea = wholeUp(areaMm2 / (sheet.lengthMm * sheet.widthMm));
  const bySize = Math.max(...sizes.map((size) => Math.ceil(size.count / mostOnOneSheet(size, sheet))));
  const atLeast = Math.max(byArea, bySize);
  return { kind: 'fewest', count, isProven: count === atLeast, atLeast };
}

const EPSILON = 1e-6;

const fits = (
  { lengthMm: l, widthMm: w }: Omit<PieceWanted, 'count'>,
  { lengthMm, widthMm, mayTurn }: Sheet,
): boolean =>
  (l <= lengthMm + EPSILON && w <= widthMm + EPSILON) ||
  (mayTurn && w <= lengthMm + EPSILON && l <= widthMm + EPSILON);

/** The most alike pieces that straight cuts give of one sheet: over every first cut at a sum of sides, and each part again. */
export function mostOnOneSheet({ lengthMm, widthMm }: Omit<PieceWanted, 'count'>, sheet: Sheet): number {
  const sides = sheet.mayTurn ? [lengthMm, widthMm] : [lengthMm];
  const across = sheet.mayTurn ? [lengthMm, widthMm] : [widthMm];
  const known = new Map<string, number>();
  const most = (l: number, w: number): number => {
    if (!fits({ lengthMm, widthMm }, { lengthMm: l, widthMm: w, mayTurn: sheet.mayTurn })) return 0;
    const key = `${l.toFixed(3)} ${w.toFixed(3)}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = 1;
    for (const cut of sumsUpTo(sides, l / 2)) best = Math.max(best, most(cut, w) + most(l - cut, w));
    for (const cut of sumsUpTo(across, w / 2)) best = Math.max(best, most(l, cut) + most(l, w - cut));
    known.set(key, best);
    return best;
  };
  // Many small ones: rows of rows are within a hundredth of the best, and the search would not end.
  const grid = (l: number, w: number) =>
    Math.floor(l / lengthMm + EPSILON) * Math.floor(w / widthMm + EPSILON);
  const rows = Math.max(
    grid(sheet.lengthMm, sheet.widthMm),
    sheet.mayTurn ? grid(sheet.widthMm, sheet.lengthMm) : 0,
  );
  return rows > MOST_SEARCHED ? rows : most(sheet.lengthMm, sheet.widthMm);
}

const MOST_SEARCHED = 80;

/** Sums of sides up to a limit, each once. */
function sumsUpTo(sides: readonly number[], limit: number): number[] {
  const [a = 0, b] = sides;
  const sums = new Set<number>();
  for (let i = 0; i * a <= limit + EPSILON; i++) {
    for (let j = 0; i * a + j * (b ?? 0) <= limit + EPSILON; j++) {
      const sum = i * a + j * (b ?? 0);
      if (sum > 0) sums.add(Number(sum.toFixed(6)));
      if (b === undefined) break;
    }
  }
  return [...sums];
}

/** Largest first, each into the smallest rest that holds it, cut so that the larger rest stays whole. */
function largestFirst(sizes: readonly PieceWanted[], sheet: Sheet): number {
  const pieces = sizes
    .flatMap(({ lengthMm, widthMm, count }) =>
      Array.from({ length: count }, (): Piece => ({ lengthMm: lengthMm, widthMm: widthMm })),
    )
    .sort((a, b) => b.lengthMm * b.widthMm - a.lengthMm * a.widthMm);
  let sheets = 0;
  const rests: Rest[] = [];
  for (const piece of pieces) {
    const ways = (rest: Rest): Piece[] =>
      [piece, ...(sheet.mayTurn ? [{ lengthMm: piece.widthMm, widthMm: piece.lengthMm }] : [])].filter(
        ({ lengthMm: l, widthMm: w }) => l <= rest.lengthMm + EPSILON && w <= rest.widthMm + EPSILON,
      );
    let at = -1;
    rests.forEach((rest, index) => {
      const best = rests[at];
      if (ways(rest).length > 0 && (!best || rest.lengthMm * rest.widthMm < best.lengthMm * best.widthMm))
        at = index;
    });
    if (at < 0) {
      sheets += 1;
      rests.push({ lengthMm: sheet.lengthMm, widthMm: sheet.widthMm });
      at = rests.length - 1;
    }
    const [rest] = rests.splice(at, 1);
    const [way] = rest ? ways(rest) : [];
    if (rest && way) rests.push(...restsAfter(rest, way));
  }
  return sheets;
}

function restsAfter(rest: Rest, { lengthMm: l, widthMm: w }: Piece): Rest[] {
  const along = [
    { lengthMm: rest.lengthMm - l, widthMm: rest.widthMm },
    { lengthMm: l, widthMm: rest.widthMm - w },
  ];
  const across = [
    { lengthMm: rest.lengthMm, widthMm: rest.widthMm - w },
    { lengthMm: rest.lengthMm - l, widthMm: w },
  ];
  const largest = (two: readonly Rest[]) =>
    Math.max(...two.map((ownRest) => ownRest.lengthMm * ownRest.widthMm));
  return (largest(along) >= largest(across) ? along : across).filter(
    ({ lengthMm, widthMm }) => lengthMm > EPSILON && widthMm > EPSILON,
  );
}
