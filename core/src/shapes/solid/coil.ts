import type { PointMm, Solid } from './solid.ts';
import { taper } from './taper.ts';

/** Points along the middle line of a drawn coil. */
const DRAWN_POINTS = 96;

/**
 * A taper wound to a flat spiral, thick end outside: a snail's shell, a fern's tip. Bending changes neither its volume
 * nor its girths; the ends are hidden, so only the side counts as surface.
 */
export function coil(lengthMm: number, thickMm: number, thinMm: number): Solid {
  const rope = taper(lengthMm, thickMm, thinMm);
  const slantMm = Math.hypot(lengthMm, (thickMm - thinMm) / 2);
  const spiral = spiralOf(lengthMm, thickMm, thinMm);
  return {
    family: 'roll',
    build: 'rope',
    volumeMm3: rope.volumeMm3,
    areaMm2: (Math.PI * (thickMm + thinMm) * slantMm) / 2,
    // Of the rope before it is wound.
    centroidMm: rope.centroidMm,
    widthMm: spiral.widthMm,
    heightMm: spiral.heightMm,
    depthMm: thickMm,
    runMm: lengthMm,
    baseAcrossMm: thickMm,
    looseAcrossMm: thickMm,
    sizesMm: rope.sizesMm,
    taperMm: [lengthMm, thickMm],
    outline: () => spiral.outline,
    inset: (depthMm) => {
      const inner = rope.inset(depthMm);
      return inner && insetCoil(inner.sizesMm);
    },
    // It is rolled straight and wound when it is felted.
    scaled: (along, across) => taper(lengthMm * along, thickMm * across, thinMm * across),
  };
}

const insetCoil = ([lengthMm = 0, thickMm = 0, thinMm = thickMm]: readonly number[]): Solid =>
  coil(lengthMm, thickMm, thinMm);

/**
 * The rope drawn close-wound from the outside in: every turn lies against the one before, so the middle line falls by
 * the rope's own thickness a turn.
 */
function spiralOf(lengthMm: number, thickMm: number, thinMm: number) {
  const thickAt = (s: number) => thickMm + ((thinMm - thickMm) * s) / lengthMm;
  const radius = outerRadius(lengthMm, (thickMm + thinMm) / 2) + thickMm / 2;
  const step = lengthMm / DRAWN_POINTS;
  let [angle, r] = [0, radius - thickMm / 2];
  const [outer, inner]: [PointMm[], PointMm[]] = [[], []];
  for (let i = 0; i <= DRAWN_POINTS; i++) {
    const half = thickAt(i * step) / 2;
    outer.push([(r + half) * Math.cos(angle), (r + half) * Math.sin(angle)]);
    inner.push([Math.max(0, r - half) * Math.cos(angle), Math.max(0, r - half) * Math.sin(angle)]);
    const turn = step / Math.max(r, thickAt(i * step) / 2);
    r = Math.max(thinMm / 4, r - (thickAt(i * step) * turn) / (2 * Math.PI));
    angle += turn;
  }
  const points = [...outer, ...inner.reverse()];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return {
    widthMm: Math.max(...xs) - left,
    heightMm: Math.max(...ys) - top,
    outline: points.map(([x, y]): PointMm => [x - left, y - top]),
  };
}

/** Of the middle line of an Archimedean spiral so long with so much between turns: L ≈ πR²/pitch. */
const outerRadius = (lengthMm: number, pitchMm: number): number => Math.sqrt((lengthMm * pitchMm) / Math.PI);
