import { carlsonRG } from './carlson.ts';
import { ellipseOutline } from './outlines.ts';
import type { Solid } from './solid.ts';

/**
 * An ellipsoid by its three full axes; drawn standing on its length, as bodies and heads are.
 */
export function ellipsoid(lengthMm: number, widthMm: number, heightMm: number): Solid {
  const [a, b, c] = [lengthMm / 2, widthMm / 2, heightMm / 2];
  return {
    family: 'round',
    build: 'ellipsoid',
    volumeMm3: (4 / 3) * Math.PI * a * b * c,
    get areaMm2() {
      return 4 * Math.PI * carlsonRG((a * b) ** 2, (a * c) ** 2, (b * c) ** 2);
    },
    centroidMm: a,
    widthMm,
    heightMm: lengthMm,
    depthMm: heightMm,
    sizesMm: [lengthMm, widthMm, heightMm],
    halfWidthMm: (y) => (b / a) * Math.sqrt(Math.max(0, y * (lengthMm - y))),
    outline: () => ellipseOutline(widthMm, lengthMm),
    // The true parallel surface of an ellipsoid is no ellipsoid. Shortening the axes is exact for a ball; for a body
    // three times as long as wide the depth comes out about 5 % large (the masses do not depend on it).
    inset: (depthMm) =>
      depthMm * 2 < Math.min(lengthMm, widthMm, heightMm)
        ? ellipsoid(lengthMm - 2 * depthMm, widthMm - 2 * depthMm, heightMm - 2 * depthMm)
        : null,
    insetVolumeMm3: (depthMm) =>
      (Math.PI / 6) *
      Math.max(0, lengthMm - 2 * depthMm) *
      Math.max(0, widthMm - 2 * depthMm) *
      Math.max(0, heightMm - 2 * depthMm),
    scaled: (along, across) => ellipsoid(lengthMm * along, widthMm * across, heightMm * across),
  };
}
