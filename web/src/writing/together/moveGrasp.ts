import {
  type Camera,
  leanTurned,
  nudge,
  placementChanged,
  placeSeenAt,
  type PlaceChange,
} from '@lanakit/core/figure';
import { directionIn, dot, hostSpot } from '@lanakit/core/placing';
import type { Placement } from '@lanakit/core/pattern';
import type { Grasp } from './grasp.ts';

/** More than this toward who looks, and a piece is not turned in the drawing but about itself: cosine of 37°. */
const POINTING = 0.8;

const changed = ({ placement, held }: Grasp, by: PlaceChange): Placement =>
  placementChanged(placement, held, by);

/** Moved to where it is seen at this point of the drawing, on the side of its host it is on. */
export function movedTo(grasp: Grasp, camera: Camera, point: readonly [number, number]): Placement {
  const { host, place, held } = grasp;
  const side = facing(grasp, camera) >= 0 ? 'near' : 'far';
  const found = placeSeenAt(host, camera, point, side);
  // What is written is the told place; its image lies as far round the other way.
  const around = held.isImage ? -found.aroundDeg : found.aroundDeg;
  const sign = held.isImage ? -1 : 1;
  return changed(grasp, {
    aroundDeg: sign * (around - place.aroundDeg),
    heightFraction: found.heightFraction - place.heightFraction,
  });
}

/** How far what it sits on there is turned to who looks: 1 straight, −1 straight away. */
function facing({ host, place, held }: Grasp, camera: Camera): number {
  const { normal } = hostSpot(host.body, place);
  const seen = held.isImage ? ([-normal[0], normal[1], normal[2]] as const) : normal;
  return dot(directionIn(host.frame, seen), camera.toward);
}

/** So many millimetres to the right and up, as it is seen. */
export function nudged(grasp: Grasp, camera: Camera, rightMm: number, upMm: number): Placement {
  const { host, place, held } = grasp;
  const { aside, upward } = hostSpot(host.body, place);
  const mirror = held.isImage ? -1 : 1;
  const inFigure = ([x, y, z]: readonly [number, number, number]) =>
    directionIn(host.frame, [mirror * x, y, z]);
  const right = Math.sign(dot(inFigure(aside), camera.right)) || 1;
  const up = Math.sign(dot(inFigure(upward), camera.up)) || 1;
  const by = nudge(host.body, place, { asideMm: right * rightMm, upMm: up * upMm });
  // The nudge is of the told place: of its image, the change is turned round twice.
  return changed(grasp, { ...by, aroundDeg: mirror * (by.aroundDeg ?? 0) });
}

/** Turned in the drawing, counter-clockwise; what points to who looks turns about itself. */
export function turned(grasp: Grasp, camera: Camera, byDeg: number): Placement {
  const { host, place, held, placement, piece } = grasp;
  const isFlatOn = piece === null || placement.heldBy === 'side';
  const toward = isFlatOn ? facing(grasp, camera) : dot(piece.frame.y, camera.toward);
  if (Math.abs(toward) > POINTING || piece === null)
    return changed(grasp, { twistDeg: Math.sign(toward || 1) * byDeg });
  return changed(grasp, leanTurned(host, place, camera, { byDeg, isImage: held.isImage }));
}

export const leant = (grasp: Grasp, by: PlaceChange): Placement => changed(grasp, by);
