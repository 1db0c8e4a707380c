import simplify from 'simplify-js';
import { defaultBuild } from '../build/index.ts';
import { estimatePattern, type PatternEstimate, type Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { PointMm } from '../shapes/index.ts';
import type { Outline, PieceLook, WoolLook } from './pieceLook.ts';
import { type Piece, piecesOf } from './pieces.ts';
import { ABOVE, FRONT, type LookFrom } from './together/camera.ts';
import { type DrawnFigure, drawnFigure, type DrawnPiece } from './together/drawnFigure.ts';
import type { DrawnMark } from './together/drawnMark.ts';
import { sizeOverAll } from './together/overall.ts';
import { putTogether, type Together } from './together/together.ts';

/** Small, in a list, nobody sees less: a fifth of a pixel where it is largest. */
const TOLERANCE_MM = 0.15;

/** A figure to know a pattern by, small, as plain JSON. */
export type FigureLook =
  /** Finished and from the front; from above where it lies. */
  | {
      readonly kind: 'together';
      readonly drawn: DrawnFigure;
      /** By id of the fibre. */
      readonly wool: Readonly<Record<string, WoolLook>>;
    }
  /** Pieces that nothing joins, side by side. */
  | { readonly kind: 'apart'; readonly pieces: readonly PieceLook[] };

/** Of what somebody makes who chooses nothing. */
export function figureLook(pattern: Pattern, wool: Wool): FigureLook {
  const build = defaultBuild(pattern);
  return lookOfBuild(build, estimatePattern(build, wool), wool, pattern);
}

/**
 * @param whole the pattern the build is of, which numbers its pieces
 * @param from left out: as it is known best
 */
export function lookOfBuild(
  build: Pattern,
  estimate: PatternEstimate,
  wool: Wool,
  whole: Pattern = build,
  from: LookFrom | null = null,
): FigureLook {
  const together = putTogether(build, estimate, wool.findings);
  const isAlone = !together.figure.notPlaced.some(({ why }) => why === 'set_on_nothing');
  // What nothing is set on is no figure, where there is more of it.
  if (together.figure.pieces.length > 1 || (together.figure.pieces.length === 1 && isAlone)) {
    const drawn = drawnFigure(together, build.parts, from ?? usualLook(build, together));
    return { kind: 'together', drawn: coarseFigure(drawn), wool: woolsOf(drawn, wool) };
  }
  return {
    kind: 'apart',
    pieces: piecesOf(build, estimate, wool.fibres, 'front', whole).map(pieceLook),
  };
}

/** From the front a figure as deep as this, by its width, is a round: half turned it is known. */
const LONG = 1.5;
const HALF_TURNED_DEG = -50;

/** From the front; from above where it lies; half turned where it is long from front to back. */
function usualLook({ stance }: Pattern, { figure }: Together): LookFrom {
  if (stance?.rests === 'lies') return ABOVE;
  const size = sizeOverAll(figure);
  return size && size.depthMm > LONG * size.widthMm ? { kind: 'round', turnDeg: HALF_TURNED_DEG } : FRONT;
}

/** Small, and with the wool it is drawn in: plain JSON. */
export const smallFigure = (
  drawn: DrawnFigure,
  wool: Wool,
): { drawn: DrawnFigure; wool: Record<string, WoolLook> } => ({
  drawn: coarseFigure(drawn),
  wool: woolsOf(drawn, wool),
});

const coarseFigure = ({ pieces, box }: DrawnFigure): DrawnFigure => ({
  pieces: pieces.map((piece) => ({
    ...piece,
    lieDeg: Math.round(piece.lieDeg),
    outline: piece.outline.map(coarsePoints),
    marks: piece.marks.map(coarseMark),
    behind: piece.behind.map(coarseMark),
    layers: [],
  })),
  box,
});

function coarseMark(mark: DrawnMark): DrawnMark {
  switch (mark.kind) {
    case 'area':
    case 'hollow':
    case 'thing':
      return { ...mark, outline: coarsePoints(mark.outline) };
    case 'groove':
    case 'line':
    case 'strand':
      return { ...mark, points: coarsePoints(mark.points) };
    case 'hair':
      return { ...mark, strands: mark.strands.map(([root, tip]) => [fine(root), fine(tip)] as const) };
  }
}

const fine = ([x, y]: PointMm): PointMm => [hundredths(x), hundredths(y)];

function woolsOf({ pieces }: DrawnFigure, { fibres }: Wool): Record<string, WoolLook> {
  const looks: Record<string, WoolLook> = {};
  for (const id of pieces.flatMap(fibresOf)) {
    const fibre = fibres.get(id);
    if (fibre) looks[id] = { colour: fibre.colour, preparation: fibre.preparation };
  }
  return looks;
}

const fibresOf = ({ fibreId, marks }: DrawnPiece): string[] =>
  [fibreId, ...marks.map((mark) => ('fibreId' in mark ? mark.fibreId : null))].filter((id) => id !== null);

const pieceLook = ({ id, fibre, finished, decorations }: Piece): PieceLook => ({
  id,
  fibre: woolLook(fibre),
  finished: finished && coarse(finished),
  rolled: null,
  decorations: decorations.map(({ what, fibre: laid }) => ({ what, fibre: woolLook(laid) })),
  widthMm: finished?.widthMm ?? UNKNOWN_MM,
  heightMm: finished?.heightMm ?? UNKNOWN_MM,
});

/** The side of the dashed box that stands for a piece of unknown size, in a strip. */
const UNKNOWN_MM = 20;

const woolLook = (fibre: WoolLook | null): WoolLook | null =>
  fibre && { colour: fibre.colour, preparation: fibre.preparation };

const coarse = ({ points, holes, widthMm, heightMm }: Outline): Outline => ({
  points: coarsePoints(points),
  holes: holes.map(coarsePoints),
  widthMm,
  heightMm,
});

function coarsePoints(points: readonly PointMm[]): PointMm[] {
  const kept = simplify(
    points.map(([x, y]) => ({ x, y })),
    TOLERANCE_MM,
    true,
  );
  return kept.map(({ x, y }) => fine([x, y]));
}

const hundredths = (mm: number): number => Math.round(mm * 100) / 100;
