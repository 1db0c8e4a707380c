import { ellipseOutline } from './outlines.ts';
import type { PointMm, Solid } from './solid.ts';
import { taper } from './taper.ts';

/** A rope bent round to a ring (a torus). Needs `ropeMm < outerMm / 2`, or there is no hole. */
export function ring(outerMm: number, ropeMm: number): Solid {
  const r = ropeMm / 2;
  const middleMm = outerMm / 2 - r;
  return {
    family: 'roll',
    build: 'rope',
    // Pappus: the rope’s section and girth, carried round its middle line.
    volumeMm3: 2 * Math.PI ** 2 * middleMm * r * r,
    areaMm2: 4 * Math.PI ** 2 * middleMm * r,
    centroidMm: outerMm / 2,
    widthMm: outerMm,
    heightMm: outerMm,
    depthMm: ropeMm,
    runMm: 2 * Math.PI * middleMm,
    baseAcrossMm: ropeMm,
    sizesMm: [outerMm, ropeMm],
    outline: () => ellipseOutline(outerMm, outerMm),
    holes: () => [holeOutline(outerMm, ropeMm)],
    inset: (depthMm) => (depthMm < r ? ring(outerMm - 2 * depthMm, ropeMm - 2 * depthMm) : null),
    // It is rolled straight and bent round when it is felted.
    scaled: (along, across) => taper(2 * Math.PI * middleMm * along, ropeMm * across, ropeMm * across),
  };
}

function holeOutline(outerMm: number, ropeMm: number): PointMm[] {
  const across = outerMm - 2 * ropeMm;
  return ellipseOutline(across, across).map(([x, y]) => [x + ropeMm, y + ropeMm]);
}
