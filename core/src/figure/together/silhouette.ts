import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';
import {
  type Body,
  directionFrom,
  dot,
  type Frame,
  minus,
  ORIGIN,
  type PlacedPiece,
  plus,
  pointFrom,
  pointIn,
  times,
  type Vec3,
} from '../../placing/index.ts';
import { type Camera, seen } from './camera.ts';
import { hullOf, hullOfMany, type Point2 } from './hull.ts';

/** Closed contours, mm to the right and up, even-odd. */
export type Silhouette = readonly (readonly Point2[])[];

/** What is seen of a piece from one side; what of it is sunk into its host is not seen. */
export function silhouetteOf({ body, frame, set }: PlacedPiece, camera: Camera): Silhouette {
  if (body.rope) return ropeSilhouette(body.rope, frame, camera);
  if (!body.isConvex && body.face) return flatSilhouette(body, frame, camera);
  const contact = set?.contact;
  const points = contact
    ? outOf(body.rings, pointFrom(frame, contact.middle), directionFrom(frame, contact.outward))
    : body.rings.flat();
  return [hullOnPaper(points, frame, camera)];
}

/** The hull of a piece’s own points as they are drawn, without a point of its own for each of thousands. */
function hullOnPaper(points: readonly Vec3[], { x, y, z, origin }: Frame, camera: Camera): Point2[] {
  const [a, b, c, o] = [seen(camera, x), seen(camera, y), seen(camera, z), seen(camera, origin)];
  const [xs, ys] = [new Float64Array(points.length), new Float64Array(points.length)];
  for (let at = 0; at < points.length; at++) {
    const [px, py, pz] = points[at] ?? ORIGIN;
    xs[at] = o[0] + a[0] * px + b[0] * py + c[0] * pz;
    ys[at] = o[1] + a[1] * px + b[1] * py + c[1] * pz;
  }
  return hullOfMany(xs, ys, points.length);
}

/** Points on the outer side of a plane, and where the lines between neighbours cross it; all in one frame. */
function outOf(rings: readonly (readonly Vec3[])[], middle: Vec3, outward: Vec3): Vec3[] {
  const atMm = dot(middle, outward);
  const kept: Vec3[] = [];
  const cross = (point: Vec3, height: number, next: Vec3, to: number) => {
    if (height >= 0 !== to >= 0) kept.push(plus(point, times(minus(next, point), height / (height - to))));
  };
  let before: { readonly ring: readonly Vec3[]; readonly heights: readonly number[] } | null = null;
  for (const ring of rings) {
    const heights = ring.map((point) => dot(point, outward) - atMm);
    for (let at = 0; at < ring.length; at++) {
      const [point, height] = [ring[at] ?? ORIGIN, heights[at] ?? 0];
      if (height >= 0) kept.push(point);
      const next = (at + 1) % ring.length;
      cross(point, height, ring[next] ?? point, heights[next] ?? height);
      if (before) cross(before.ring[at] ?? point, before.heights[at] ?? height, point, height);
    }
    before = { ring, heights };
  }
  return kept;
}

/** Both faces, and what the edges between them cover. */
function flatSilhouette({ face, halfDepthMm }: Body, frame: Frame, camera: Camera): Silhouette {
  const contours = (face ?? []).map((points) => thinned(points));
  const at = (z: number) =>
    contours.map((points) => points.map(([x, y]) => seen(camera, pointIn(frame, [x, y, z]))));
  const [back, front] = [at(-halfDepthMm), at(halfDepthMm)];
  const polygons = [
    polygonOf(back),
    polygonOf(front),
    ...back.flatMap((contour, index) => edges(contour, front[index] ?? [])),
  ];
  return unionOf(polygons);
}

const edges = (a: readonly Point2[], b: readonly Point2[]): Polygon[] =>
  a.map((from, index) => {
    const next = (index + 1) % a.length;
    return polygonOf([hullOf([from, a[next] ?? from, b[index] ?? from, b[next] ?? from])]);
  });

/** Points of a face that matter to the eye: at most so many of each contour. */
const MOST_POINTS = 90;
const thinned = <T>(points: readonly T[]): readonly T[] => {
  const step = Math.ceil(points.length / MOST_POINTS);
  return step <= 1 ? points : points.filter((_, at) => at % step === 0);
};

/** A rope is a ball carried along its middle line: each stretch of it covers the hull of its two ends. */
function ropeSilhouette(
  { line, radiusMm }: NonNullable<Body['rope']>,
  frame: Frame,
  camera: Camera,
): Silhouette {
  const middles = line.map((point) => seen(camera, pointIn(frame, point)));
  return unionOf(
    middles.map((middle, at) =>
      polygonOf([
        hullOf([...disc(middle, radiusMm), ...disc(middles[(at + 1) % middles.length] ?? middle, radiusMm)]),
      ]),
    ),
  );
}

const disc = ([x, y]: Point2, radiusMm: number): Point2[] =>
  Array.from({ length: 20 }, (_, at): Point2 => {
    const angle = (2 * Math.PI * at) / 20;
    return [x + radiusMm * Math.cos(angle), y + radiusMm * Math.sin(angle)];
  });

const polygonOf = (contours: readonly (readonly Point2[])[]): Polygon =>
  contours.map((contour) => contour.map(([x, y]): [number, number] => [rounded(x), rounded(y)]));

/** To a thousandth of a millimetre: lines that should lie on one another do. */
const rounded = (mm: number): number => Math.round(mm * 1000) / 1000;

function unionOf(polygons: readonly Polygon[]): Silhouette {
  const flat = polygons.filter((polygon) => (polygon[0]?.length ?? 0) > 2);
  const [first, ...rest] = flat;
  if (!first) return [];
  const joined: MultiPolygon = polygonClipping.union(first, ...rest);
  // A ring comes back with its first point once more at its end.
  return joined.flatMap((polygon) => polygon.map((ring) => ring.slice(0, -1)));
}
