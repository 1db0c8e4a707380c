/** A piece, or alike pieces, to be cut from sheet. */
interface Size {
  readonly lengthMm: number;
  readonly widthMm: number;
}

interface Sheet extends Size {
  /** Its nap or grain runs one way: pieces may not be turned. */
  readonly mayTurn: boolean;
}

const EPSILON = 1e-6;

const fits = ({ lengthMm: l, widthMm: w }: Size, { lengthMm, widthMm, mayTurn }: Sheet): boolean =>
  (l <= lengthMm + EPSILON && w <= widthMm + EPSILON) ||
  (mayTurn && w <= lengthMm + EPSILON && l <= widthMm + EPSILON);

/** The most alike pieces that straight cuts give of one sheet: over every first cut at a sum of sides, and each part again. */
export function mostOnOneSheet({ lengthMm, widthMm }: Size, sheet: Sheet): number {
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
