import { carlsonRG } from './carlson.ts';
import { ellipseOutline } from './outlines.ts';
import type { Solid } from './solid.ts';

/** A flat piece with an elliptic outline: a leaf, a wing, an ear. Both faces and the edge are counted. */
export function flatEllipse(lengthMm: number, widthMm: number, thicknessMm: number): Solid {
  const [a, b] = [lengthMm / 2, widthMm / 2];
  const faceMm2 = Math.PI * a * b;
  return {
    family: 'flat',
    build: 'plate',
    volumeMm3: faceMm2 * thicknessMm,
    get areaMm2() {
      const perimeterMm = 8 * carlsonRG(0, a * a, b * b);
      return 2 * faceMm2 + perimeterMm * thicknessMm;
    },
    faceMm2,
    centroidMm: a,
    widthMm,
    heightMm: lengthMm,
    depthMm: thicknessMm,
    sizesMm: [lengthMm, widthMm, thicknessMm],
    outline: () => ellipseOutline(widthMm, lengthMm),
    inset: (depthMm) =>
      depthMm * 2 < Math.min(lengthMm, widthMm, thicknessMm)
        ? flatEllipse(lengthMm - 2 * depthMm, widthMm - 2 * depthMm, thicknessMm - 2 * depthMm)
        : null,
    insetVolumeMm3: (depthMm) =>
      (Math.PI / 4) *
      Math.max(0, lengthMm - 2 * depthMm) *
      Math.max(0, widthMm - 2 * depthMm) *
      Math.max(0, thicknessMm - 2 * depthMm),
    scaled: (along, across) => flatEllipse(lengthMm * along, widthMm * across, thicknessMm * across),
  };
}
