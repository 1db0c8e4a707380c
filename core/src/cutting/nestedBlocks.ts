import type { NestedBlock, SheetPiece, TemplateOutline, TemplatePlace } from './sheetTask.ts';

interface Nesting {
  /** Without nap a template may stand on its head. */
  readonly mayTurn: boolean;
  /** Lost with each cut round. */
  readonly kerfMm: number;
}

/** Longer rows win little. */
const MOST_IN_ROW = 12;
/** Closer by less than this no scissors follow. */
const LEAST_GAIN_MM = 0.5;

/**
 * Rows of a template along and across, all one way round or every other on its head, each as close as their outlines let
 * them; only those that are shorter than their boxes side by side.
 */
export function nestedBlocks(
  { lengthMm, widthMm }: Pick<SheetPiece, 'lengthMm' | 'widthMm'>,
  outline: TemplateOutline,
  { mayTurn, kerfMm }: Nesting,
): NestedBlock[] {
  const along = rowsOf({ outline, lengthMm, widthMm, mayTurn, kerfMm });
  const across = rowsOf({
    outline: outline.map(([x, y]) => [y, x] as const),
    lengthMm: widthMm,
    widthMm: lengthMm,
    mayTurn,
    kerfMm,
  }).map(({ lengthMm: down, widthMm: over, places }) => ({
    lengthMm: over,
    widthMm: down,
    places: places.map(({ xMm, yMm, isHalfTurned }) => ({ xMm: yMm, yMm: xMm, isHalfTurned })),
  }));
  return [...along, ...across];
}

interface RowTask extends Nesting {
  readonly outline: TemplateOutline;
  readonly lengthMm: number;
  readonly widthMm: number;
}

function rowsOf({ outline, lengthMm, widthMm, mayTurn, kerfMm }: RowTask): NestedBlock[] {
  const onHead = outline.map(([x, y]) => [lengthMm - x, widthMm - y] as const);
  const pitch = (a: TemplateOutline, b: TemplateOutline) => closestMm(a, b) + kerfMm;
  const alike = pitch(outline, outline);
  const [toHead, fromHead] = [pitch(outline, onHead), pitch(onHead, outline)];
  const rows: NestedBlock[] = [];
  for (let count = 2; count <= MOST_IN_ROW; count++) {
    const beside = lengthMm * count + kerfMm * (count - 1);
    for (const isAlternating of mayTurn ? [false, true] : [false]) {
      const places: TemplatePlace[] = [];
      let xMm = 0;
      for (let at = 0; at < count; at++) {
        const isHalfTurned = isAlternating && at % 2 === 1;
        places.push({ xMm, yMm: 0, isHalfTurned });
        xMm += isAlternating ? (isHalfTurned ? fromHead : toHead) : alike;
      }
      const rowMm = (places.at(-1)?.xMm ?? 0) + lengthMm;
      if (rowMm < beside - LEAST_GAIN_MM) rows.push({ lengthMm: rowMm, widthMm, places });
    }
  }
  return rows;
}

/**
 * How far the second has to lie behind the first so that they do not cut into one another at any height: the most by which
 * the one reaches out where the other begins. Where both are straight between corners that is at a corner of one of them.
 */
function closestMm(a: TemplateOutline, b: TemplateOutline): number {
  const heights = [...new Set([...a, ...b].map(([, y]) => y))];
  return heights.reduce((most, y) => {
    const [from, to] = [reachAt(a, y), reachAt(b, y)];
    return from && to ? Math.max(most, from.right - to.left) : most;
  }, 0);
}

/** From the leftmost to the rightmost of an outline at a height, edges along it too; null: it is not there. */
function reachAt(outline: TemplateOutline, y: number): { left: number; right: number } | null {
  let [left, right] = [Infinity, -Infinity];
  outline.forEach(([x0, y0], at) => {
    const [x1, y1] = outline[(at + 1) % outline.length] ?? [x0, y0];
    if (Math.min(y0, y1) > y || Math.max(y0, y1) < y) return;
    const ends = y0 === y1 ? [x0, x1] : [x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)];
    left = Math.min(left, ...ends);
    right = Math.max(right, ...ends);
  });
  return left <= right ? { left, right } : null;
}

/** What a template takes of a sheet, mm² (shoelace). */
export const outlineMm2 = (outline: TemplateOutline): number =>
  Math.abs(
    outline.reduce((sum, [x0, y0], at) => {
      const [x1, y1] = outline[(at + 1) % outline.length] ?? [x0, y0];
      return sum + x0 * y1 - x1 * y0;
    }, 0),
  ) / 2;
