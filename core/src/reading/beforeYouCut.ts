import { countRange, type CountRange } from '../pattern/index.ts';
import type { Piece, PieceLayer, ToCut } from './pieces.ts';

/** Wool that is torn or cut to a size, a layer of one piece: a strip of batt, a square of sheet, a length of tops. */
interface WoolToCut {
  readonly piece: Piece;
  readonly layer: PieceLayer;
  /** Of all its pieces; null: nobody has said. */
  readonly count: CountRange | null;
}

/** Everything that is cut or torn to a size before anything is felted, each in the order of the pattern. */
export interface BeforeYouCut {
  readonly cuts: readonly ToCut[];
  readonly wool: readonly WoolToCut[];
}

const SIZED_FORMS: ReadonlySet<string> = new Set(['strip', 'sheet', 'tops']);
const SIZED_HANDS: ReadonlySet<string> = new Set(['strip', 'square', 'length']);

/** The author's own measure comes first; where there is none, the one that hands would take. */
const isSized = ({ use, hands, estimate }: PieceLayer): boolean => {
  if (estimate.isIfNeeded) return false;
  if (use?.amount && use.amount.form !== 'grams') return SIZED_FORMS.has(use.amount.form);
  return hands !== null && SIZED_HANDS.has(hands.kind);
};

export const beforeYouCut = (pieces: readonly Piece[], cuts: readonly ToCut[]): BeforeYouCut => ({
  cuts,
  wool: pieces.flatMap((piece) =>
    piece.layers.filter(isSized).map((layer) => ({ piece, layer, count: countRange(piece.part.count) })),
  ),
});
