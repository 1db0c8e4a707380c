/** How wide a sheet is, before somebody says otherwise. */
export interface SheetWidth {
  /** Of a hundred of the table. */
  readonly share: number;
  /** What it needs, px, where that is more. */
  readonly leastPx: number;
}

export interface SheetShare {
  /** Of a hundred; those of all sheets make a hundred. */
  readonly usual: number;
  /** It may be made no narrower. */
  readonly least: number;
}

/** A sheet may be made as narrow as so much of what it needs. */
const NARROWEST = 0.75;

/** Each sheet as wide as it needs to be; what that takes comes off the widest. @param tablePx at least what all need */
export function sheetShares(sheets: readonly SheetWidth[], tablePx: number): readonly SheetShare[] {
  const needed = sheets.map(({ leastPx }) => (leastPx / tablePx) * 100);
  const usual = sheets.map(({ share }, at) => Math.max(share, needed[at] ?? 0));
  const over = usual.reduce((sum, share) => sum + share, 0) - 100;
  const widest = usual.indexOf(Math.max(...usual));
  return usual.map((share, at) => ({
    usual: at === widest ? share - over : share,
    least: (needed[at] ?? 0) * NARROWEST,
  }));
}
