import type { Solid } from './solid.ts';

/**
 * Wool wrapped on a wire: the wire's volume is out, and only the side counts, because both ends go on into something
 * else. Needs `wireMm < diameterMm`.
 */
export function sleeve(lengthMm: number, diameterMm: number, wireMm: number): Solid {
  return {
    family: 'roll',
    build: 'turned',
    volumeMm3: (Math.PI / 4) * (diameterMm ** 2 - wireMm ** 2) * lengthMm,
    areaMm2: Math.PI * diameterMm * lengthMm,
    centroidMm: lengthMm / 2,
    widthMm: diameterMm,
    heightMm: lengthMm,
    depthMm: diameterMm,
    baseAcrossMm: diameterMm,
    looseAcrossMm: diameterMm,
    sizesMm: [lengthMm, diameterMm],
    halfWidthMm: () => diameterMm / 2,
    outline: () => [
      [0, 0],
      [diameterMm, 0],
      [diameterMm, lengthMm],
      [0, lengthMm],
    ],
    inset: (depthMm) =>
      diameterMm - 2 * depthMm > wireMm ? sleeve(lengthMm, diameterMm - 2 * depthMm, wireMm) : null,
    scaled: (along, across) => sleeve(lengthMm * along, diameterMm * across, wireMm),
    // The wire holds the length, and the wool shrinks only towards it.
    rolled: (q) => sleeve(lengthMm, Math.sqrt(wireMm ** 2 + q * (diameterMm ** 2 - wireMm ** 2)), wireMm),
  };
}
