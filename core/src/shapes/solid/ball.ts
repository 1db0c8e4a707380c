import { ellipseOutline } from './outlines.ts';
import type { Solid } from './solid.ts';

/** A ball. */
export function ball(diameterMm: number): Solid {
  return {
    family: 'round',
    build: 'turned',
    volumeMm3: (Math.PI * diameterMm ** 3) / 6,
    areaMm2: Math.PI * diameterMm ** 2,
    centroidMm: diameterMm / 2,
    widthMm: diameterMm,
    heightMm: diameterMm,
    depthMm: diameterMm,
    sizesMm: [diameterMm],
    halfWidthMm: (y) => Math.sqrt(Math.max(0, y * (diameterMm - y))),
    outline: () => ellipseOutline(diameterMm, diameterMm),
    inset: (depthMm) => (depthMm * 2 < diameterMm ? ball(diameterMm - 2 * depthMm) : null),
    insetVolumeMm3: (depthMm) => (Math.PI / 6) * Math.max(0, diameterMm - 2 * depthMm) ** 3,
    scaled: (_along, across) => ball(diameterMm * across),
  };
}
