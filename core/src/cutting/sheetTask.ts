/** A template as it is cut round, mm from the corner of its box, y down. */
export type TemplateOutline = readonly (readonly [x: number, y: number])[];

/** A rectangle in which templates lie close: cut out straight, and then each cut round. */
export interface NestedBlock {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly places: readonly TemplatePlace[];
}

/** The corner of a template’s box in its block; half turned where it stands on its head. */
export interface TemplatePlace {
  readonly xMm: number;
  readonly yMm: number;
  readonly isHalfTurned: boolean;
}

/** Alike pieces to be cut from sheet. */
export interface SheetPiece {
  readonly key: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly count: number;
  /** Cut round, and no box: it may lie closer to its like. */
  readonly outline?: TemplateOutline;
}

/** Sheets or remnants of one size. */
export interface SheetStock {
  readonly key: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  /** How many there are; null: as many as are bought. */
  readonly count: number | null;
}

export interface SheetTask {
  readonly pieces: readonly SheetPiece[];
  readonly stocks: readonly SheetStock[];
  /** Its nap or grain runs one way: pieces may not be turned. */
  readonly mayTurn: boolean;
  /** Lost with each cut. */
  readonly kerfMm: number;
  /** Unusable all round each sheet. */
  readonly marginMm: number;
  /** A rest with both sides of at least this is kept. */
  readonly offcutFromMm: number;
}

/** A rectangle of a sheet: from its corner so far along and across. */
export interface Area {
  readonly xMm: number;
  readonly yMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** What becomes of a rectangle: straight through it is cut, until each part is a piece or a rest. */
export type CutArea =
  | {
      readonly kind: 'cut';
      readonly area: Area;
      /** `across`: the blade runs across, and parts the length. */
      readonly blade: 'across' | 'along';
      /** From the rectangle’s own corner. */
      readonly atMm: number;
      readonly first: CutArea;
      readonly second: CutArea;
    }
  | { readonly kind: 'piece'; readonly area: Area; readonly key: string; readonly isTurned: boolean }
  | { readonly kind: 'rest'; readonly area: Area };

/** One sheet and how it is cut. */
export interface CutSheet {
  readonly stockKey: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly isBought: boolean;
  /** Within its margins. */
  readonly root: CutArea;
}

export interface SheetPlan {
  readonly sheets: readonly CutSheet[];
  readonly bought: number;
  /** No fewer can be bought. */
  readonly atLeastBought: number;
  readonly notCut: readonly SheetPiece[];
  /** Rests too small to keep, margins, and what the cuts take. */
  readonly wasteMm2: number;
  readonly cuts: number;
  /** Of pieces that are a row of templates lying close, what is in them, by their key. */
  readonly blocks: ReadonlyMap<string, TemplateBlock>;
}

/** Templates of one piece that lie close. */
export interface TemplateBlock extends NestedBlock {
  readonly piece: SheetPiece;
}

const areaOf = ({ lengthMm, widthMm }: Pick<Area, 'lengthMm' | 'widthMm'>): number => lengthMm * widthMm;

/** Every part of a sheet that is cut no further, first cut first. */
export const partsOf = (cut: CutArea): Exclude<CutArea, { kind: 'cut' }>[] =>
  cut.kind === 'cut' ? [...partsOf(cut.first), ...partsOf(cut.second)] : [cut];

export const cutsOfSheet = (cut: CutArea): number =>
  cut.kind === 'cut' ? 1 + cutsOfSheet(cut.first) + cutsOfSheet(cut.second) : 0;

/** Whether a rest is large enough to keep. */
export const isKept = (
  { lengthMm, widthMm }: Area,
  { offcutFromMm }: Pick<SheetTask, 'offcutFromMm'>,
): boolean => Math.min(lengthMm, widthMm) >= offcutFromMm;

/** What of a sheet is neither a piece nor kept. */
export const wasteOfSheet = (sheet: CutSheet, task: Pick<SheetTask, 'offcutFromMm'>): number =>
  areaOf(sheet) -
  partsOf(sheet.root)
    .filter((part) => part.kind === 'piece' || isKept(part.area, task))
    .reduce((sum, { area }) => sum + areaOf(area), 0);
