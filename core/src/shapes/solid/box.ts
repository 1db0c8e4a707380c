import type { Solid } from './solid.ts';

/** A box; felt rounds its edges, which the sizes are taken over. Drawn standing on its width. */
export function box(lengthMm: number, widthMm: number, heightMm: number): Solid {
  return {
    family: 'round',
    build: 'plate',
    volumeMm3: lengthMm * widthMm * heightMm,
    areaMm2: 2 * (lengthMm * widthMm + lengthMm * heightMm + widthMm * heightMm),
    centroidMm: lengthMm / 2,
    widthMm,
    heightMm: lengthMm,
    depthMm: heightMm,
    sizesMm: [lengthMm, widthMm, heightMm],
    outline: () => [
      [0, 0],
      [widthMm, 0],
      [widthMm, lengthMm],
      [0, lengthMm],
    ],
    inset: (depthMm) =>
      2 * depthMm < Math.min(lengthMm, widthMm, heightMm)
        ? box(lengthMm - 2 * depthMm, widthMm - 2 * depthMm, heightMm - 2 * depthMm)
        : null,
    scaled: (along, across) => box(lengthMm * along, widthMm * across, heightMm * across),
  };
}
