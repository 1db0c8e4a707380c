import { ellipseArc } from './outlines.ts';
import type { Solid } from './solid.ts';

/** A round-ended cylinder, length over all. Needs `lengthMm >= diameterMm`. */
export function limb(lengthMm: number, diameterMm: number): Solid {
  const radius = diameterMm / 2;
  const straightMm = lengthMm - diameterMm;
  return {
    family: 'roll',
    build: 'turned',
    volumeMm3: Math.PI * radius ** 2 * (straightMm + (4 / 3) * radius),
    areaMm2: Math.PI * diameterMm * lengthMm,
    centroidMm: lengthMm / 2,
    widthMm: diameterMm,
    heightMm: lengthMm,
    depthMm: diameterMm,
    baseAcrossMm: diameterMm,
    looseAcrossMm: diameterMm,
    sizesMm: [lengthMm, diameterMm],
    halfWidthMm: (y) => {
      const intoCap = Math.max(0, radius - y, y - (lengthMm - radius));
      return Math.sqrt(Math.max(0, radius ** 2 - intoCap ** 2));
    },
    outline: () => [
      ...ellipseArc([radius, lengthMm - radius], radius, radius, 0, Math.PI),
      ...ellipseArc([radius, radius], radius, radius, Math.PI, 2 * Math.PI),
    ],
    inset: (depthMm) =>
      depthMm * 2 < diameterMm ? limb(lengthMm - 2 * depthMm, diameterMm - 2 * depthMm) : null,
    insetVolumeMm3: (depthMm) =>
      Math.PI * Math.max(0, radius - depthMm) ** 2 * (straightMm + (4 / 3) * (radius - depthMm)),
    // Rolled fatter but hardly longer, a short limb would come out shorter than it is wide: it stays a ball then.
    scaled: (along, across) => limb(Math.max(lengthMm * along, diameterMm * across), diameterMm * across),
  };
}
