import { ellipseArc } from './outlines.ts';
import type { Solid } from './solid.ts';

/** Half a ball, and a cone from its rim to a point. Needs `lengthMm > diameterMm / 2`. */
export function drop(lengthMm: number, diameterMm: number): Solid {
  const r = diameterMm / 2;
  const coneMm = lengthMm - r;
  const slantMm = Math.hypot(r, coneMm);
  const [ballMm3, coneMm3] = [(2 / 3) * Math.PI * r ** 3, (Math.PI * r * r * coneMm) / 3];
  return {
    family: 'round',
    build: 'turned',
    volumeMm3: ballMm3 + coneMm3,
    areaMm2: Math.PI * r * (2 * r + slantMm),
    // From the round end: half a ball has its centroid 3/8 r from its flat side, a cone a quarter up.
    centroidMm: (ballMm3 * ((5 / 8) * r) + coneMm3 * (r + coneMm / 4)) / (ballMm3 + coneMm3),
    widthMm: diameterMm,
    heightMm: lengthMm,
    depthMm: diameterMm,
    baseAcrossMm: diameterMm,
    // Its point is as thick as the cone is halfway up.
    looseAcrossMm: r,
    sizesMm: [lengthMm, diameterMm],
    halfWidthMm: (y) => (y < r ? Math.sqrt(Math.max(0, y * (2 * r - y))) : (r * (lengthMm - y)) / coneMm),
    // Point upwards, round end down.
    outline: () => [...ellipseArc([r, coneMm], r, r, 0, Math.PI), [0, coneMm], [r, 0]],
    inset: (depthMm) => insetDrop(r, coneMm, slantMm, depthMm),
    scaled: (along, across) => drop(lengthMm * along, diameterMm * across),
  };
}

/**
 * The ball’s part is exact. The true inset of the cone cuts into the ball below its rim; a drop whose cone loses what
 * a thin layer takes (surface × depth) stands in for it.
 */
function insetDrop(r: number, coneMm: number, slantMm: number, depthMm: number): Solid | null {
  const radius = r - depthMm;
  // Where the cone is gone the half ball is left: the volume must not jump.
  const inner = Math.max(radius / 1000, coneMm - (depthMm * (3 * slantMm - 2 * coneMm)) / r);
  return radius > 0 ? drop(radius + inner, 2 * radius) : null;
}
