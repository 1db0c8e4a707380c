import ClipperLib from 'clipper-lib';
import type { PointMm } from '../../shapes/index.ts';

/** Clipper works in whole numbers: thousandths of a millimetre. */
const PER_MM = 1000;
/** A round corner is as true as this, mm. */
const ARC_MM = 0.02;

/**
 * Closed contours (holes too, even-odd) with a margin all round, mm: round at corners, narrower in holes. Nothing where
 * nothing is left. Source: Clipper’s offsetting.
 */
export function offsetOutline(
  contours: readonly (readonly PointMm[])[],
  marginMm: number,
): readonly (readonly PointMm[])[] {
  if (marginMm === 0) return contours;
  const { Clipper, ClipperOffset, EndType, JoinType, PolyFillType } = ClipperLib;
  const paths = contours.map((points) =>
    points.map(([x, y]) => ({ X: Math.round(x * PER_MM), Y: Math.round(y * PER_MM) })),
  );
  // Outer contours one way round, holes the other, whichever way they were drawn.
  const sound = Clipper.SimplifyPolygons(paths, PolyFillType.pftEvenOdd);
  const offset = new ClipperOffset(2, ARC_MM * PER_MM);
  offset.AddPaths(sound, JoinType.jtRound, EndType.etClosedPolygon);
  const grown: { X: number; Y: number }[][] = [];
  offset.Execute(grown, marginMm * PER_MM);
  return grown.map((points) => points.map(({ X, Y }): PointMm => [X / PER_MM, Y / PER_MM]));
}
