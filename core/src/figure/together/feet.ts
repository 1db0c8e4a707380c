import { mmOrNull, type Stance } from '../../pattern/index.ts';
import { hullOf, type Point2 } from './hull.ts';
import {
  boxReachOf,
  type Figure,
  heightIn,
  minus,
  type PlacedPiece,
  plus,
  pointIn,
  reachOf,
  times,
  type Vec3,
} from '../../placing/index.ts';

/** What lies as near to the lowest plane stands on it, mm: felt gives. */
const FOOT_MM = 1.5;
const DOWN: Vec3 = [0, -1, 0];

/** What a figure rests on, seen from above: x and z, counter-clockwise; fewer than three points where it rests on a line. */
export function supportOf(figure: Figure, stance: Stance | null): Point2[] {
  const points = [
    ...figure.pieces.flatMap((piece) => feetOf(piece)),
    ...figure.beyond.filter(([, y]) => y <= FOOT_MM).map(across),
  ];
  const flatMm = mmOrNull(stance?.flatAcross ?? null);
  const root = figure.pieces.find(({ set }) => set === null);
  return hullOf(flatMm === null || !root ? points : [...points, ...flatUnder(root, flatMm)]);
}

const across = ([x, , z]: Vec3): Point2 => [x, z];

/** Where a piece comes within a foot of the ground: its points there, and where its surface crosses that height. */
function feetOf(piece: PlacedPiece): Point2[] {
  const { body, frame } = piece;
  if (boxReachOf(piece, DOWN) < -FOOT_MM || reachOf(piece, DOWN) < -FOOT_MM) return [];
  const feet: Point2[] = [];
  const rings = body.finerRings();
  // Heights first: of thousands of points few come near the ground.
  const heights = rings.map((ring) => ring.map((point) => heightIn(frame, point)));
  rings.forEach((ring, at) =>
    ring.forEach((point, index) => {
      const height = heights[at]?.[index] ?? 0;
      if (height <= FOOT_MM) feet.push(across(pointIn(frame, point)));
      for (const [toRing, toIndex] of [
        [at, (index + 1) % ring.length],
        [at + 1, index],
      ] as const) {
        const to = heights[toRing]?.[toIndex];
        const next = rings[toRing]?.[toIndex];
        if (next === undefined || to === undefined || height <= FOOT_MM === to <= FOOT_MM) continue;
        const share = (FOOT_MM - height) / (to - height);
        feet.push(across(pointIn(frame, plus(point, times(minus(next, point), share)))));
      }
    }),
  );
  return feet;
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
