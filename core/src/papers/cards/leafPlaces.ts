import { PAGE_SIZES_MM, type PageSize } from '../../run/index.ts';

/** Where a leaf of a card lies: its upper left corner on a sheet. */
export interface LeafPlace {
  /** From 0. */
  readonly sheet: number;
  readonly xMm: number;
  readonly yMm: number;
  /** It hangs on the leaf before it: folded there, not cut. */
  readonly isFolded: boolean;
}

/** Printers leave so much of a sheet white. */
export const SHEET_EDGE_MM = 7.5;

/** A sheet the way round that it holds more leaves: how many side by side, and one under another; at least one. */
export function leafSheet(page: PageSize, size: LeafSize) {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  const upright = { widthMm, heightMm, ...leavesOn({ widthMm, heightMm }, size) };
  const across = {
    widthMm: heightMm,
    heightMm: widthMm,
    ...leavesOn({ widthMm: heightMm, heightMm: widthMm }, size),
  };
  return across.columns * across.rows > upright.columns * upright.rows ? across : upright;
}

function leavesOn(sheet: LeafSize, { widthMm, heightMm }: LeafSize) {
  const fit = (roomMm: number, sizeMm: number) => Math.floor((roomMm - 2 * SHEET_EDGE_MM + 1e-6) / sizeMm);
  const [columns, rows] = [fit(sheet.widthMm, widthMm), fit(sheet.heightMm, heightMm)];
  return columns * rows === 0 ? { columns: 1, rows: 1 } : { columns, rows };
}

interface LeafSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

/**
 * Leaves of cards on sheets that are printed on one side. Those of one card lie in a strip that is folded like a fan, as many as a row
 * holds; a strip is never broken where it fits into a row.
 * @param leaves how many each card has
 * @returns of each card the places of its leaves
 */
export function leafPlaces(leaves: readonly number[], page: PageSize, size: LeafSize): LeafPlace[][] {
  const { columns, rows } = leafSheet(page, size);
  let at = 0;
  const placeAt = (place: number, isFolded: boolean): LeafPlace => ({
    sheet: Math.floor(place / (columns * rows)),
    xMm: SHEET_EDGE_MM + (place % columns) * size.widthMm,
    yMm: SHEET_EDGE_MM + (Math.floor(place / columns) % rows) * size.heightMm,
    isFolded,
  });
  return leaves.map((count) => {
    const places: LeafPlace[] = [];
    for (let left = count; left > 0;) {
      const strip = Math.min(left, columns);
      const inRow = at % columns;
      if (inRow + strip > columns) at += columns - inRow;
      for (let leaf = 0; leaf < strip; leaf++) places.push(placeAt(at + leaf, leaf > 0));
      at += strip;
      left -= strip;
    }
    return places;
  });
}
