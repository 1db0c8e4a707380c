import type { Body } from './body.ts';
import { dot, type Frame, type Vec3 } from './space.ts';

/** A body where it sits. */
interface Reaching {
  readonly body: Body;
  readonly frame: Frame;
}

/** How far a piece reaches in a direction of the figure, mm from the figure’s own origin. */
export function reachOf({ body, frame }: Reaching, direction: Vec3): number {
  const { x, y, z, origin } = frame;
  return dot(origin, direction) + body.reach([dot(x, direction), dot(y, direction), dot(z, direction)]);
}

/** How far the box about a piece reaches: never less than the piece, and told at once. */
export function boxReachOf({ body, frame }: Reaching, direction: Vec3): number {
  const { x, y, z, origin } = frame;
  return (
    dot(origin, direction) +
    body.halfWidthMm * Math.abs(dot(x, direction)) +
    Math.max(0, body.heightMm * dot(y, direction)) +
    body.halfDepthMm * Math.abs(dot(z, direction))
  );
}

/** How far any of them reaches, mm; −∞: there are none. */
export function reachOfAll(pieces: readonly Reaching[], direction: Vec3): number {
  const boxes = pieces.map((piece) => ({ piece, mostMm: boxReachOf(piece, direction) }));
  let reachMm = -Infinity;
  for (const { piece, mostMm } of boxes.sort((a, b) => b.mostMm - a.mostMm)) {
    if (mostMm <= reachMm) break;
    reachMm = Math.max(reachMm, reachOf(piece, direction));
  }
  return reachMm;
}
