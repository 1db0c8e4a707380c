import type { Pen } from './pen.ts';

/** The smallest thing that is set: a line, a row, a picture. Never broken. */
export interface Unit {
  readonly heightPt: number;
  /** It stays in one column with what follows. */
  readonly keepsNext: boolean;
  /** Begins a page. */
  readonly isNewPage?: true;
  /** Space above it, left off at the top of a column. */
  readonly abovePt: number;
  /** Drawn once more where its kin goes on in another column. */
  readonly repeated?: Unit;
  /** @param isRepeat it was read before */
  readonly draw: (pen: Pen, xPt: number, yPt: number, isRepeat: boolean) => void;
}

/** Everything of a group in one column, if a column can hold it. */
export const together = (units: readonly Unit[]): Unit[] =>
  units.map((unit, at) => (at < units.length - 1 ? { ...unit, keepsNext: true } : unit));

/** Neither its first line nor its last stands alone. */
export const withoutWidows = (units: readonly Unit[]): Unit[] =>
  units.map((unit, at) =>
    at === 0 || at === units.length - 2 ? { ...unit, keepsNext: units.length > 1 } : unit,
  );

export const heightOf = (units: readonly Unit[]): number =>
  units.reduce((sum, { heightPt, abovePt }, at) => sum + heightPt + (at === 0 ? 0 : abovePt), 0);

export const keepingNext = (units: readonly Unit[]): Unit[] =>
  units.map((unit, at) => (at === units.length - 1 ? { ...unit, keepsNext: true } : unit));
