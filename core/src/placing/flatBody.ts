import { isWithin, measureFace, type PointMm, type Solid } from '../shapes/index.ts';
import type { Body, SurfaceSpot } from './body.ts';
import { radians, type Vec3 } from './space.ts';

/** Half of the angle at each side that means the edge and not a face, degrees. */
const EDGE_DEG = 6;
/** A thing as thick as this share of its width is a block and not a plate: one goes round it by angles. */
const BLOCK = 0.4;

/** A plate of any outline, or a block: the outline, as thick from front to back everywhere. */
export function flatBody(solid: Solid): Body {
  const { heightMm, widthMm, depthMm } = solid;
  // Outlines are drawn with y down from the left edge; a body has its base below and its middle at 0.
  const upright = (points: readonly PointMm[]) =>
    points.map(([x, y]): PointMm => [x - widthMm / 2, heightMm - y]);
  const face = [upright(solid.outline()), ...(solid.holes?.() ?? []).map(upright)];
  const outer = face[0] ?? [];
  const middle = measureFace([solid.outline(), ...(solid.holes?.() ?? [])]);
  const half = depthMm / 2;
  const rings = [-half, half].map((z) => outer.map(([x, y]): Vec3 => [x, y, z]));
  const isBlock = depthMm > BLOCK * widthMm;
  const extent = extentOf(outer, heightMm);
  const spotAt: Body['spotAt'] = (aroundDeg, heightFraction) =>
    isBlock
      ? spotOfBlock(aroundDeg, heightFraction, { heightMm, widthMm, depthMm })
      : spotOfPlate(aroundDeg, heightFraction * heightMm, extent, half, heightMm);
  return {
    heightMm,
    halfWidthMm: widthMm / 2,
    halfDepthMm: half,
    centroid: [middle.centroidXMm - widthMm / 2, heightMm - middle.centroidMm, 0],
    isConvex: face.length === 1 && isConvexPolygon(outer),
    rings,
    finerRings: () => rings,
    reach: ([x, y, z]) =>
      outer.reduce((most, [px, py]) => Math.max(most, px * x + py * y), -Infinity) + half * Math.abs(z),
    face,
    rope: null,
    spotAt,
    pointAt: (aroundDeg, heightFraction) => spotAt(aroundDeg, heightFraction).point,
    contains: ([x, y, z]) => Math.abs(z) <= half && isWithin(x, y, face),
  };
}

/** Round a plate: over its front from side to side, round the edge, and back over its back. */
function spotOfPlate(
  aroundDeg: number,
  y: number,
  extent: Extent,
  half: number,
  heightMm: number,
): SurfaceSpot {
  const at = Math.min(Math.max(y, heightMm * 1e-6), heightMm * (1 - 1e-6));
  const [left, right] = extent(at);
  const middle = (left + right) / 2;
  if (y <= 0) return { point: [middle, 0, 0], normal: [0, -1, 0] };
  if (y >= heightMm) return { point: [middle, heightMm, 0], normal: [0, 1, 0] };
  const [sin, cos] = [Math.sin(radians(aroundDeg)), Math.cos(radians(aroundDeg))];
  if (Math.abs(cos) < Math.sin(radians(EDGE_DEG))) {
    const x = sin > 0 ? right : left;
    return { point: [x, y, 0], normal: edgeNormal(extent, at, Math.sign(sin), heightMm) };
  }
  const front = Math.sign(cos);
  return { point: [middle + (sin * (right - left)) / 2, y, front * half], normal: [0, 0, front] };
}

/** Out of an edge, square to it: its slope from a little below to a little above. */
function edgeNormal(extent: Extent, y: number, side: number, heightMm: number): Vec3 {
  const step = heightMm * 5e-3;
  const xAt = (at: number) => extent(at)[side > 0 ? 1 : 0];
  const [low, high] = [Math.max(heightMm * 1e-6, y - step), Math.min(heightMm * (1 - 1e-6), y + step)];
  const slope = (xAt(high) - xAt(low)) / (high - low);
  const size = Math.hypot(1, slope);
  return [side / size, (-side * slope) / size, 0];
}

function spotOfBlock(
  aroundDeg: number,
  heightFraction: number,
  { heightMm, widthMm, depthMm }: Pick<Solid, 'heightMm' | 'widthMm' | 'depthMm'>,
): SurfaceSpot {
  if (heightFraction <= 0) return { point: [0, 0, 0], normal: [0, -1, 0] };
  if (heightFraction >= 1) return { point: [0, heightMm, 0], normal: [0, 1, 0] };
  const [sin, cos] = [Math.sin(radians(aroundDeg)), Math.cos(radians(aroundDeg))];
  const toSide = widthMm / 2 / Math.max(1e-12, Math.abs(sin));
  const toFace = depthMm / 2 / Math.max(1e-12, Math.abs(cos));
  const out = Math.min(toSide, toFace);
  const y = heightFraction * heightMm;
  return {
    point: [out * sin, y, out * cos],
    normal: toSide < toFace ? [Math.sign(sin), 0, 0] : [0, 0, Math.sign(cos)],
  };
}

/** From the leftmost to the rightmost of an outline at a height; its box where nothing is cut. */
type Extent = (y: number) => [left: number, right: number];

/** Heights among which the edges of an outline are shared out. */
const SHELVES = 48;

/** An outline to be asked for many heights: of its edges only those near that height are looked at. */
function extentOf(outer: readonly PointMm[], heightMm: number): Extent {
  const shelfAt = (y: number) =>
    Math.min(SHELVES - 1, Math.max(0, Math.floor((y / heightMm) * SHELVES) || 0));
  const shelves = Array.from({ length: SHELVES }, (): [PointMm, PointMm][] => []);
  let before = outer.at(-1) ?? [0, 0];
  for (const point of outer) {
    const [low, high] = [Math.min(before[1], point[1]), Math.max(before[1], point[1])];
    for (let shelf = shelfAt(low); shelf <= shelfAt(high); shelf++) shelves[shelf]?.push([before, point]);
    before = point;
  }
  return (y) => {
    let [left, right] = [Infinity, -Infinity];
    for (const [[x0, y0], [x1, y1]] of shelves[shelfAt(y)] ?? []) {
      if (y0 <= y === y1 <= y) continue;
      const x = x0 + ((y - y0) / (y1 - y0)) * (x1 - x0);
      [left, right] = [Math.min(left, x), Math.max(right, x)];
    }
    return left <= right ? [left, right] : [0, 0];
  };
}

function isConvexPolygon(points: readonly PointMm[]): boolean {
  let turn = 0;
  for (let at = 0; at < points.length; at++) {
    const [a, b, c] = [points[at], points[(at + 1) % points.length], points[(at + 2) % points.length]];
    if (!a || !b || !c) return false;
    const cross = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
    if (Math.abs(cross) < 1e-9) continue;
    if (turn !== 0 && Math.sign(cross) !== turn) return false;
    turn = Math.sign(cross);
  }
  return true;
}
