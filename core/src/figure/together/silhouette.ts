import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';
import {
  type Body,
  dot,
  type Frame,
  minus,
  type PlacedPiece,
  plus,
  pointIn,
  times,
  type Vec3,
} from '../../placing/index.ts';
import { type Camera, seen } from './camera.ts';
import { hullOf, type Point2 } from './hull.ts';

/** Closed contours, mm to the right and up, even-odd. */
export type Silhouette = readonly (readonly Point2[])[];

/** What is seen of a piece from one side; what of it is sunk into its host is not seen. */
export function silhouetteOf({ body, frame, set }: PlacedPiece, camera: Camera): Silhouette {
  if (body.rope) return ropeSilhouette(body.rope, frame, camera);
  if (!body.isConvex && body.face) return flatSilhouette(body, frame, camera);
  const rings = body.rings.map((ring) => ring.map((point) => pointIn(frame, point)));
  const points = set?.contact ? outOf(rings, set.contact.middle, set.contact.outward) : rings.flat();
  return [hullOf(points.map((point) => seen(camera, point)))];
}

/** Points on the outer side of a plane, and where the lines between neighbours cross it. */
function outOf(rings: readonly (readonly Vec3[])[], middle: Vec3, outward: Vec3): Vec3[] {
  const heightOf = (point: Vec3) => dot(minus(point, middle), outward);
  const kept: Vec3[] = [];
  rings.forEach((ring, at) =>
    ring.forEach((point, index) => {
      const height = heightOf(point);
      if (height >= 0) kept.push(point);
      for (const next of [ring[(index + 1) % ring.length], rings[at + 1]?.[index]]) {
        if (!next) continue;
        const nextHeight = heightOf(next);
        if (height >= 0 === nextHeight >= 0) continue;
        kept.push(plus(point, times(minus(next, point), height / (height - nextHeight))));
      }
    }),
  );
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
