import type { SurfacePoint } from '../../pattern/index.ts';
import type { CentreOfMass } from './masses.ts';
import {
  degrees,
  type Figure,
  type PlacedPiece,
  pointFrom,
  pointIn,
  reachOf,
  type Vec3,
} from '../../placing/index.ts';

/** A point of one piece’s surface, as it is written. */
export interface PointOnPiece extends SurfacePoint {
  readonly partId: string;
  readonly pieceKey: string;
  /** In the figure. */
  readonly point: Vec3;
}

/** How a figure comes to rest on a thread. */
export interface Hanging {
  /** Between how it is drawn and how it hangs, degrees. */
  readonly tiltDeg: number;
  /** Which side goes down: x and z, of length 1; null: straight. */
  readonly toward: readonly [number, number] | null;
  /** The thread is fixed over what weighs most, and not under it. */
  readonly isAboveCentre: boolean;
  /** Another piece lies over that point. */
  readonly isCovered: boolean;
}

/** At rest the centre of mass is straight under the point: tilt = atan(horizontal ÷ vertical offset). */
export function hangingFrom(figure: Figure, from: PointOnPiece, { point }: CentreOfMass): Hanging {
  const [dx, down, dz] = [point[0] - from.point[0], from.point[1] - point[1], point[2] - from.point[2]];
  const aside = Math.hypot(dx, dz);
  return {
    tiltDeg: degrees(Math.atan2(aside, down)),
    toward: aside < 1e-9 ? null : [dx / aside, dz / aside],
    isAboveCentre: down > 0,
    isCovered: figure.pieces.some(
      (piece) => piece.key !== from.pieceKey && piece.body.contains(pointFrom(piece.frame, from.point)),
    ),
  };
}

/** A written point as it lies in the figure; null: its part is not there. */
export function pointOnPiece(
  figure: Figure,
  { partId, aroundDeg, heightFraction }: SurfacePoint & { readonly partId: string },
): PointOnPiece | null {
  const piece = figure.pieces.find((candidate) => candidate.partId === partId);
  if (!piece) return null;
  const { point } = piece.body.spotAt(aroundDeg, heightFraction);
  return { partId, pieceKey: piece.key, aroundDeg, heightFraction, point: pointIn(piece.frame, point) };
}

/** Looks down from above in so many steps before the surface is closed in on. */
const LOOKS = 160;

/** The topmost point of the figure straight over its centre of mass: hung from there it hangs as it is drawn. */
export function straightHangingPoint(figure: Figure, { point: [x, , z] }: CentreOfMass): PointOnPiece | null {
  let best: { piece: PlacedPiece; y: number } | null = null;
  for (const piece of figure.pieces) {
    const y = topOver(piece, x, z);
    if (y !== null && (best === null || y > best.y)) best = { piece, y };
  }
  if (!best) return null;
  const { piece, y } = best;
  const [px, py, pz] = pointFrom(piece.frame, [x, y, z]);
  return {
    partId: piece.partId,
    pieceKey: piece.key,
    aroundDeg: (degrees(Math.atan2(px, pz)) + 360) % 360,
    heightFraction: Math.min(1, Math.max(0, py / piece.body.heightMm)),
    point: [x, y, z],
  };
}

/** How high a piece comes over a point of the ground; null: it is not there. */
function topOver(piece: PlacedPiece, x: number, z: number): number | null {
  // Further off than it reaches any way, it cannot be over that point.
  const { heightMm, halfWidthMm, halfDepthMm, centroid } = piece.body;
  const middle = pointIn(piece.frame, centroid);
  const farMm = Math.hypot(heightMm, halfWidthMm, halfDepthMm);
  if (Math.hypot(middle[0] - x, middle[2] - z) > farMm) return null;
  const isIn = (y: number) => piece.body.contains(pointFrom(piece.frame, [x, y, z]));
  const [high, low] = [reachOf(piece, [0, 1, 0]), -reachOf(piece, [0, -1, 0])];
  const step = (high - low) / LOOKS;
  for (let look = 1; look < LOOKS; look++) {
    const y = high - look * step;
    if (!isIn(y)) continue;
    let [inside, outside] = [y, y + step];
    for (let halving = 0; halving < 30; halving++) {
      const middle = (inside + outside) / 2;
      if (isIn(middle)) inside = middle;
      else outside = middle;
    }
    return inside;
  }
  return null;
}
