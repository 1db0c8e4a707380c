/** Alike pieces to be cut to length. */
interface LengthPiece {
  /** Tells it from pieces of the same length for something else. */
  readonly key: string;
  readonly lengthMm: number;
  readonly count: number;
}

/** Sticks, reels, coils or offcuts of one length. */
export interface LengthStock {
  readonly key: string;
  readonly lengthMm: number;
  /** How many there are; null: as many as are bought. */
  readonly count: number | null;
}

export interface LengthTask {
  readonly pieces: readonly LengthPiece[];
  readonly stocks: readonly LengthStock[];
  /** Lost with each cut. */
  readonly kerfMm: number;
  /** Unusable at the end of each. */
  readonly endWasteMm: number;
  /** What is left over in one piece of at least this is kept. */
  readonly offcutFromMm: number;
}

/** One length of stock and what is cut from it, in the order of cutting. */
export interface CutStick {
  readonly stockKey: string;
  readonly lengthMm: number;
  readonly isBought: boolean;
  readonly pieces: readonly { readonly key: string; readonly lengthMm: number }[];
  /** In one piece, after the last cut. */
  readonly restMm: number;
  /** It is long enough to keep. */
  readonly isOffcut: boolean;
}

export interface LengthPlan {
  readonly sticks: readonly CutStick[];
  readonly bought: number;
  /** No fewer can be bought. */
  readonly atLeastBought: number;
  /** Of what is bought none less will do, and of the ways that buy no more none wastes less. */
  readonly isProven: boolean;
  /** Rests that are too short to keep, and what the cuts themselves take. */
  readonly wasteMm: number;
  readonly cuts: number;
}

/** Pieces that are longer than every length there is, or than all that is there together where none is bought. */
export interface NotCut {
  readonly key: string;
  readonly lengthMm: number;
  readonly count: number;
}

/** Lengths are compared to a hundredth of a millimetre: far below any scissors. */
const SAME = 0.01;

/** Room for pieces that each take their own cut along: the last one needs none. */
export const roomMm = (
  lengthMm: number,
  { kerfMm, endWasteMm }: Pick<LengthTask, 'kerfMm' | 'endWasteMm'>,
): number => lengthMm - endWasteMm + kerfMm;

/** How much of a stick is cut away by so many pieces, their cuts with them: never more than there is. */
export function stickOf(
  stock: Pick<LengthStock, 'key' | 'lengthMm' | 'count'>,
  pieces: CutStick['pieces'],
  { kerfMm, offcutFromMm }: Pick<LengthTask, 'kerfMm' | 'offcutFromMm'>,
): CutStick {
  const used = pieces.reduce((sum, { lengthMm }) => sum + lengthMm + kerfMm, 0);
  const restMm = Math.max(0, Math.round((stock.lengthMm - used) * 1000) / 1000);
  return {
    stockKey: stock.key,
    lengthMm: stock.lengthMm,
    isBought: stock.count === null,
    pieces,
    restMm,
    isOffcut: restMm + SAME >= offcutFromMm && restMm > SAME,
  };
}

/** Cuts of a stick: each piece is cut off, but for one that ends where the stick does. */
export const cutsOf = ({ pieces, restMm }: Pick<CutStick, 'pieces' | 'restMm'>): number =>
  Math.max(0, pieces.length - (restMm <= SAME ? 1 : 0));

/** What of a stick is neither a piece nor kept. */
export const wasteOf = ({ lengthMm, pieces, restMm, isOffcut }: CutStick): number =>
  lengthMm - pieces.reduce((sum, piece) => sum + piece.lengthMm, 0) - (isOffcut ? restMm : 0);
