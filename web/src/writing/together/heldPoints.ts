import { type Camera, seen, type Together } from '@lanakit/core/figure';
import { type PlacedPiece, pointIn, type Vec3 } from '@lanakit/core/placing';
import type { Chosen, Grasp } from './grasp.ts';

/** Where the chosen thing sits, in the figure. */
export function spotOf({ figure, details }: Together, { kind, key }: Chosen) {
  if (kind === 'detail') return details.find((detail) => detail.key === key)?.spots[0]?.point ?? NOWHERE;
  const piece = figure.pieces.find((candidate) => candidate.key === key);
  return piece ? heldPoint(piece) : NOWHERE;
}

/** Where a piece is held by: about the spot of its host it is set on. */
export function heldPoint({ body, frame, set }: PlacedPiece) {
  const heldBy = set?.placement.heldBy;
  const along =
    heldBy === 'tip' ? body.heightMm : heldBy === 'base' || heldBy === undefined ? 0 : body.heightMm / 2;
  return pointIn(frame, [0, along, heldBy === 'side' ? -body.halfDepthMm : 0]);
}

/** The end that stands off its host. */
export const farPoint = ({ body, frame, set }: PlacedPiece) =>
  pointIn(frame, [0, set?.placement.heldBy === 'tip' ? 0 : body.heightMm, 0]);

/** Counter-clockwise in the drawing, degrees, about where it is held. */
export function angleAbout(
  { piece, host }: Grasp,
  camera: Camera,
  [x, y]: readonly [number, number],
): number {
  const [cx, cy] = seen(camera, piece ? heldPoint(piece) : host.frame.origin);
  return (Math.atan2(y - cy, x - cx) * 180) / Math.PI;
}

const NOWHERE: Vec3 = [0, 0, 0];
