import type { GuideLine, GuideMark, GuidePiece } from './guidePiece.ts';

/** What tells two drawings apart: to a hundredth of a millimetre, what they are called and how many of them there are. */
export function keyOf(piece: GuidePiece): string {
  if (piece.kind === 'length') {
    const { cut, count, lengthMm, stretches } = piece;
    return JSON.stringify(['length', cut.id, cut.name, count, fine(lengthMm), stretches]);
  }
  const { count, lines, marks } = piece;
  const subject =
    piece.kind === 'part'
      ? [piece.part.id, piece.part.name, piece.number, piece.isMirrored]
      : [piece.cut.id, piece.cut.name];
  return JSON.stringify([piece.kind, subject, count, lines.map(lineKey), marks.map(markKey)]);
}

const fine = (mm: number): number => Math.round(mm * 100) / 100;
const lineKey = ({ is, points }: GuideLine) => [is, points.map(([x, y]) => [fine(x), fine(y)])];
const markKey = ({ of, isBehind, points }: GuideMark) => [
  of,
  isBehind,
  points.map(([x, y]) => [fine(x), fine(y)]),
];
