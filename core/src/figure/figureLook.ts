import simplify from 'simplify-js';
import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { PointMm } from '../shapes/index.ts';
import type { Outline, PieceLook, WoolLook } from './pieceLook.ts';
import { drawPattern, type Piece } from './pieces.ts';

/** Small, in a list, nobody sees less: a fifth of a pixel where it is largest. */
const TOLERANCE_MM = 0.15;

/** A figure to know a pattern by, small: its pieces finished and from the front, as plain JSON. */
export const figureLook = (pattern: Pattern, wool: Wool): PieceLook[] =>
  drawPattern(pattern, wool).map(pieceLook);

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
  return kept.map(({ x, y }): PointMm => [hundredths(x), hundredths(y)]);
}

const hundredths = (mm: number): number => Math.round(mm * 100) / 100;
