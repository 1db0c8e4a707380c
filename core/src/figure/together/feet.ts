import { mmOrNull, type Stance } from '../../pattern/index.ts';
import { hullOf, type Point2 } from './hull.ts';
import { type Figure, type PlacedPiece, pointIn, reachOf, type Vec3 } from '../../placing/index.ts';

/** What lies as near to the lowest plane stands on it, mm: felt gives. */
const FOOT_MM = 1.5;

/** What a figure rests on, seen from above: x and z, counter-clockwise; fewer than three points where it rests on a line. */
export function supportOf(figure: Figure, stance: Stance | null): Point2[] {
  const points = figure.pieces.flatMap((piece) => feetOf(piece));
  const flatMm = mmOrNull(stance?.flatAcross ?? null);
  const root = figure.pieces.find(({ set }) => set === null);
  return hullOf(flatMm === null || !root ? points : [...points, ...flatUnder(root, flatMm)]);
}

const across = ([x, , z]: Vec3): Point2 => [x, z];

/** Where a piece comes within a foot of the ground: its points there, and where its surface crosses that height. */
function feetOf(piece: PlacedPiece): Point2[] {
  if (reachOf(piece, [0, -1, 0]) < -FOOT_MM) return [];
  const rings = piece.body.finerRings().map((ring) => ring.map((point) => pointIn(piece.frame, point)));
  return rings.flatMap((ring, at) =>
    ring.flatMap((point, index) => {
      const next = ring[(index + 1) % ring.length] ?? point;
      const over = rings[at + 1]?.[index];
      return [
        ...(point[1] <= FOOT_MM ? [across(point)] : []),
        ...crossing(point, next),
        ...(over ? crossing(point, over) : []),
      ];
    }),
  );
}

function crossing(a: Vec3, b: Vec3): Point2[] {
  if (a[1] <= FOOT_MM === b[1] <= FOOT_MM) return [];
  const share = (FOOT_MM - a[1]) / (b[1] - a[1]);
  return [[a[0] + (b[0] - a[0]) * share, a[2] + (b[2] - a[2]) * share]];
}

/** A round felted flat where the root stands: as many points as no tenth of a millimetre tells from a circle. */
function flatUnder(root: PlacedPiece, flatMm: number): Point2[] {
  const feet = feetOf(root);
  const middle = pointIn(root.frame, root.body.centroid);
  const [x, z] =
    feet.length === 0
      ? across(middle)
      : [0, 1].map((axis) => feet.reduce((sum, foot) => sum + (foot[axis] ?? 0), 0) / feet.length);
  return Array.from({ length: 360 }, (_, at): Point2 => {
    const angle = (at * Math.PI) / 180;
    return [(x ?? 0) + (flatMm / 2) * Math.cos(angle), (z ?? 0) + (flatMm / 2) * Math.sin(angle)];
  });
}
