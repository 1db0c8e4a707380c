import type { Solid } from '../shapes/index.ts';
import type { Body, SurfaceSpot } from './body.ts';
import { radians, unit, type Vec3 } from './space.ts';

/** Rings along the axis, closer at both ends, where it rounds off. */
const RINGS = 16;
/** Points of a ring. */
const POINTS = 24;
/** How much closer rings are where feet are looked for: caps of a millimetre and a half. */
const FINER = 6;

/** What is round or elliptic in every section across its axis. @param halfWidthMm by height above the base */
export function roundBody(solid: Solid, halfWidthMm: (aboveBaseMm: number) => number): Body {
  const { heightMm, widthMm, depthMm } = solid;
  const flatness = depthMm / widthMm;
  const contains = ([x, y, z]: Vec3): boolean => {
    if (y < 0 || y > heightMm) return false;
    const across = halfWidthMm(y);
    return x * x + (z / flatness) ** 2 <= across * across;
  };
  const ringsOf = (rings: number, points: number): Vec3[][] =>
    Array.from({ length: rings + 1 }, (_, at) => {
      const y = (heightMm * (1 - Math.cos((Math.PI * at) / rings))) / 2;
      const across = halfWidthMm(y);
      return Array.from({ length: points }, (_point, turn): Vec3 => {
        const angle = (2 * Math.PI * turn) / points;
        return [across * Math.sin(angle), y, across * flatness * Math.cos(angle)];
      });
    });
  return {
    heightMm,
    halfWidthMm: widthMm / 2,
    halfDepthMm: depthMm / 2,
    centroid: [0, solid.centroidMm, 0],
    isConvex: true,
    rings: ringsOf(RINGS, POINTS),
    finerRings: () => ringsOf(RINGS * FINER, POINTS * 2),
    reach: ([x, y, z]) => {
      const across = Math.hypot(x, flatness * z);
      const at = (height: number) => y * height + across * halfWidthMm(height);
      return mostOf(at, heightMm);
    },
    face: null,
    rope: null,
    spotAt: (aroundDeg, heightFraction) =>
      spotOn(aroundDeg, heightFraction * heightMm, heightMm, flatness, halfWidthMm),
    pointAt: (aroundDeg, heightFraction) =>
      pointOn(aroundDeg, heightFraction * heightMm, heightMm, flatness, halfWidthMm),
    contains,
  };
}

function pointOn(
  aroundDeg: number,
  y: number,
  heightMm: number,
  flatness: number,
  halfWidthMm: (y: number) => number,
): Vec3 {
  if (y <= 0) return [0, 0, 0];
  if (y >= heightMm) return [0, heightMm, 0];
  const angle = radians(aroundDeg);
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const across = halfWidthMm(y);
  // How far out along this direction an ellipse of these halves lies.
  const [a, b] = [sin / across, cos / (across * flatness)];
  const out = 1 / Math.sqrt(a * a + b * b);
  return [out * sin, y, out * cos];
}

function spotOn(
  aroundDeg: number,
  y: number,
  heightMm: number,
  flatness: number,
  halfWidthMm: (y: number) => number,
): SurfaceSpot {
  if (y <= 0) return { point: [0, 0, 0], normal: [0, -1, 0] };
  if (y >= heightMm) return { point: [0, heightMm, 0], normal: [0, 1, 0] };
  const point = pointOn(aroundDeg, y, heightMm, flatness, halfWidthMm);
  const [x, , z] = point;
  const across = halfWidthMm(y);
  // Straight out is where x² / w² + z² / (f w)² − 1 grows most, w being what the height makes it.
  const step = Math.min(y, heightMm - y, heightMm) * 1e-4;
  const slope = (halfWidthMm(y + step) - halfWidthMm(y - step)) / (2 * step);
  const normal = unit([x / across ** 2, -slope / across, z / (across * flatness) ** 2]);
  return { point, normal };
}

/** Heights looked at before the best of them is closed in on. */
const LOOKS = 20;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The most of a value along a height that has one top: coarsely, then by golden section. */
function mostOf(at: (height: number) => number, heightMm: number): number {
  let best = 0;
  for (let look = 1; look <= LOOKS; look++)
    if (at((look * heightMm) / LOOKS) > at((best * heightMm) / LOOKS)) best = look;
  let [low, high] = [Math.max(0, best - 1), Math.min(LOOKS, best + 1)].map(
    (look) => (look * heightMm) / LOOKS,
  ) as [number, number];
  for (let step = 0; step < 24; step++) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (at(a) > at(b)) high = b;
    else low = a;
  }
  // A corner at an end is not closed in on from within.
  return Math.max(at((low + high) / 2), at(0), at(heightMm));
}
