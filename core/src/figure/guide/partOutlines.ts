import { looseAcrossMm, type PartEstimate } from '../../engine/index.ts';
import { mmOrNull, type Part } from '../../pattern/index.ts';
import { baseMm, type PointMm, type Solid, viewOutline } from '../../shapes/index.ts';
import type { GuideLine, GuideLineIs } from './guidePiece.ts';
import { offsetOutline } from './offsetOutline.ts';

/** Two outlines nearer than this are told as one: a pencil line, mm across in all. */
const APART_MM = 0.8;
/** A side view is drawn where it differs by more. */
const SIDE_FRACTION = 0.05;
/** Between the front and the side view. */
const BESIDE_MM = 4;

/** An unfelted end of a piece, to leave. */
export interface LooseEnd {
  readonly at: 'base' | 'tip';
  readonly lengthMm: number;
}

/**
 * The outlines of one piece about the middle of its finished one, its base below: finished, felted before its coat, rolled
 * or laid out, from the side where that differs, its loose ends. Nothing while its size is unknown.
 */
export function partOutlines(
  part: Part,
  estimate: PartEstimate,
  looseEnds: readonly LooseEnd[],
): GuideLine[] {
  const laid = laidOnOther(part);
  if (laid) return laid;
  const { solid, rollUp } = estimate;
  if (!solid) return [];
  const bare = estimate.working.layers?.solidAfter(0) ?? null;
  const front = [
    ...outlines('finished', solid),
    ...(bare && isApart(bare, solid) ? outlines('felted', bare) : []),
    ...(rollUp?.kind === 'rolled' ? outlines('rolled', rollUp.solid) : []),
    ...(rollUp?.kind === 'laid' ? closed('laid', offsetOutline(contoursOf(solid), rollUp.marginMm)) : []),
    ...looseEnds.map((end) => looseEnd(solid, end)),
  ];
  return [...front, ...sideOf(solid, front)];
}

const isApart = (a: Solid, b: Solid): boolean =>
  Math.max(Math.abs(a.widthMm - b.widthMm), Math.abs(a.heightMm - b.heightMm)) >= APART_MM;

const closed = (is: GuideLineIs, contours: readonly (readonly PointMm[])[]): GuideLine[] =>
  contours.map((points) => ({ is, points, isClosed: true }));

const outlines = (is: GuideLineIs, solid: Solid): GuideLine[] => closed(is, contoursOf(solid));

/** From the front, about its middle; what is drawn with its base on top is turned over. */
function contoursOf(solid: Solid): PointMm[][] {
  const { points, holes, widthMm, heightMm } = viewOutline(solid, 'front');
  const way = solid.isBaseOnTop ? -1 : 1;
  return [points, ...holes].map((contour) =>
    contour.map(([x, y]): PointMm => [way * (x - widthMm / 2), way * (y - heightMm / 2)]),
  );
}

/** Of what is as round as it is wide there is nothing to add; what is flat is told by its thickness. */
function sideOf(solid: Solid, front: readonly GuideLine[]): GuideLine[] {
  const { family, build, widthMm, heightMm, depthMm } = solid;
  if (family === 'flat' || build === 'rope' || Math.abs(depthMm / widthMm - 1) <= SIDE_FRACTION) return [];
  const left = Math.max(...front.flatMap(({ points: line }) => line.map(([x]) => x))) + BESIDE_MM;
  const { points } = viewOutline(solid, 'side');
  return closed('side', [points.map(([x, y]): PointMm => [left + x, y - heightMm / 2])]);
}

/** As far up an end as its width is taken. */
const NEAR_END = 0.12;
/** How deep the strands at its end are drawn apart, mm. */
const STRAND_MM = 1.4;
const STRANDS = 5;

/** Straight out of the end, as wide as the piece is there; drawn open, its strands apart. */
function looseEnd(solid: Solid, { at, lengthMm }: LooseEnd): GuideLine {
  const nearMm = solid.heightMm * (at === 'base' ? NEAR_END : 1 - NEAR_END);
  const wide = looseAcrossMm(solid) ?? baseMm(solid);
  const half = Math.min(wide / 2, solid.halfWidthMm?.(nearMm) ?? Infinity);
  const down = at === 'base' ? 1 : -1;
  const [from, to] = [(down * solid.heightMm) / 2, down * (solid.heightMm / 2 + lengthMm)];
  const strands = Array.from({ length: 2 * STRANDS - 1 }, (_, index): PointMm => {
    const x = half * ((index + 1) / STRANDS - 1);
    return [x, index % 2 === 0 ? to - down * STRAND_MM : to];
  });
  return {
    is: 'loose-end',
    points: [[-half, from], [-half, to], ...strands, [half, to], [half, from]],
    isClosed: false,
  };
}

/** Wool that is laid on another piece, or hair along a line: what it is laid in. */
function laidOnOther({ shape }: Part): GuideLine[] | null {
  if (shape.kind === 'patch') {
    const [length, width] = [mmOrNull(shape.length), mmOrNull(shape.width)];
    return length === null || width === null ? [] : closed('laid', [ellipse(width, length)]);
  }
  if (shape.kind === 'fringe') {
    const [line, drop] = [mmOrNull(shape.line), mmOrNull(shape.drop)];
    return line === null || drop === null ? [] : closed('laid', [rectangle(line, drop)]);
  }
  return null;
}

const ELLIPSE_POINTS = 96;
const ellipse = (width: number, height: number): PointMm[] =>
  Array.from({ length: ELLIPSE_POINTS }, (_, at): PointMm => {
    const turn = (2 * Math.PI * at) / ELLIPSE_POINTS;
    return [(width / 2) * Math.cos(turn), (height / 2) * Math.sin(turn)];
  });

/** About its middle. */
export const rectangle = (width: number, height: number): PointMm[] => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
];
