import type { PointMm, Solid } from '../shapes/index.ts';
import type { Body, SurfaceSpot } from './body.ts';
import { flatBody } from './flatBody.ts';
import { radians, type Vec3 } from './space.ts';

const POINTS = 40;
const ROUND = 12;

/** A ring of rope, standing upright with its hole to the front; one that is wound up is as a plate of its outline. */
export function ropeBody(solid: Solid): Body {
  return solid.holes ? ringBody(solid) : woundBody(solid);
}

/** A coil: its outline, as thick as its rope. Its middle is the middle of the spiral. */
function woundBody(solid: Solid): Body {
  const plate = flatBody(solid);
  return { ...plate, centroid: [0, solid.heightMm / 2, 0] };
}

function ringBody({ heightMm, widthMm, depthMm }: Solid): Body {
  const rope = depthMm / 2;
  const [middleX, middleY] = [widthMm / 2 - rope, heightMm / 2 - rope];
  const centre: Vec3 = [0, heightMm / 2, 0];
  const onLine = (at: number): Vec3 => {
    const angle = (2 * Math.PI * at) / POINTS;
    return [middleX * Math.sin(angle), centre[1] - middleY * Math.cos(angle), 0];
  };
  const line = Array.from({ length: POINTS }, (_, at) => onLine(at));
  const circle = (x: number, y: number): PointMm[] =>
    Array.from({ length: POINTS }, (_, at) => {
      const angle = (2 * Math.PI * at) / POINTS;
      return [x * Math.sin(angle), centre[1] - y * Math.cos(angle)];
    });
  const rings = line.map(([x, y]) => {
    const out: Vec3 = [x / middleX, (y - centre[1]) / middleY, 0];
    return Array.from({ length: ROUND }, (_, at): Vec3 => {
      const [sin, cos] = [Math.sin((2 * Math.PI * at) / ROUND), Math.cos((2 * Math.PI * at) / ROUND)];
      return [x + rope * cos * out[0], y + rope * cos * out[1], rope * sin];
    });
  });
  const spotAt: Body['spotAt'] = (aroundDeg, heightFraction) =>
    ringSpot(aroundDeg, heightFraction, { heightMm, widthMm, rope });
  return {
    heightMm,
    halfWidthMm: widthMm / 2,
    halfDepthMm: rope,
    centroid: centre,
    isConvex: false,
    rings,
    finerRings: () => rings,
    reach: ([x, y, z]) => centre[1] * y + Math.hypot(middleX * x, middleY * y) + rope * Math.hypot(x, y, z),
    face: [circle(widthMm / 2, heightMm / 2), circle(widthMm / 2 - depthMm, heightMm / 2 - depthMm)],
    rope: { line, radiusMm: rope },
    spotAt,
    pointAt: (aroundDeg, heightFraction) => spotAt(aroundDeg, heightFraction).point,
    contains: ([x, y, z]) => {
      const fromMiddle = Math.hypot(x, y - centre[1]) - middleX;
      return Math.hypot(fromMiddle, z) <= rope;
    },
  };
}

/** Round a ring as round a disc: its front, its outer edge at this height, its back. */
function ringSpot(
  aroundDeg: number,
  heightFraction: number,
  { heightMm, widthMm, rope }: { heightMm: number; widthMm: number; rope: number },
): SurfaceSpot {
  const up = 2 * heightFraction - 1;
  if (Math.abs(up) >= 1) return { point: [0, up > 0 ? heightMm : 0, 0], normal: [0, Math.sign(up), 0] };
  const [sin, cos] = [Math.sin(radians(aroundDeg)), Math.cos(radians(aroundDeg))];
  const across = (widthMm / 2) * Math.sqrt(1 - up ** 2);
  if (Math.abs(cos) < 0.1) {
    const side = Math.sign(sin);
    return {
      point: [side * across, heightFraction * heightMm, 0],
      normal: [side * Math.sqrt(1 - up ** 2), up, 0],
    };
  }
  // In its hole there is nothing: the nearest of the rope is meant.
  const middle = widthMm / 2 - rope;
  const [x0, y0] = [sin * across, (up * heightMm) / 2];
  const from = Math.hypot(x0, y0);
  const fromMiddle = from < middle - rope ? 0 : from - middle;
  const [outX, outY] = from < 1e-9 ? [0, -1] : [x0 / from, y0 / from];
  const thick = Math.sqrt(Math.max(0, rope ** 2 - fromMiddle ** 2));
  const out = middle + fromMiddle;
  return {
    point: [outX * out, heightMm / 2 + outY * out, Math.sign(cos) * thick],
    normal: [(outX * fromMiddle) / rope, (outY * fromMiddle) / rope, (Math.sign(cos) * thick) / rope],
  };
}
