import type { PointMm, Solid } from './solid.ts';

/** A frustum, both ends counted. `thinMm` may be 0 (a point). Needs `thickMm >= thinMm`. */
export function taper(lengthMm: number, thickMm: number, thinMm: number): Solid {
  const [R, r] = [thickMm / 2, thinMm / 2];
  const slantMm = Math.hypot(lengthMm, R - r);
  return {
    family: 'roll',
    build: 'turned',
    volumeMm3: (Math.PI * lengthMm * (R * R + R * r + r * r)) / 3,
    areaMm2: Math.PI * ((R + r) * slantMm + R * R + r * r),
    centroidMm: (lengthMm / 4) * ((R * R + 2 * R * r + 3 * r * r) / (R * R + R * r + r * r)),
    widthMm: thickMm,
    heightMm: lengthMm,
    depthMm: thickMm,
    baseAcrossMm: thickMm,
    looseAcrossMm: thickMm,
    taperMm: [lengthMm, thickMm],
    // Equal ends are one size to a maker.
    sizesMm: thickMm === thinMm ? [lengthMm, thickMm] : [lengthMm, thickMm, thinMm],
    halfWidthMm: (y) => R + ((r - R) * y) / lengthMm,
    isBaseOnTop: true,
    outline: (): PointMm[] => [
      [0, 0],
      [thickMm, 0],
      [R + r, lengthMm],
      [R - r, lengthMm],
    ],
    inset: (depthMm) => insetTaper(lengthMm, R, r, slantMm, depthMm),
    scaled: (along, across) => taper(lengthMm * along, thickMm * across, thinMm * across),
  };
}

/** The exact parallel frustum: both ends and the slanted side move inward by the depth. */
function insetTaper(lengthMm: number, R: number, r: number, slantMm: number, depthMm: number): Solid | null {
  const fallPerMm = (R - r) / lengthMm;
  const across = (depthMm * slantMm) / lengthMm;
  const thickRadius = R - fallPerMm * depthMm - across;
  const thinRadius = r + fallPerMm * depthMm - across;
  const remainingMm = lengthMm - 2 * depthMm;
  if (thickRadius <= 0 || remainingMm <= 0) return null;
  if (thinRadius >= 0) return taper(remainingMm, 2 * thickRadius, 2 * thinRadius);
  // The side meets the axis before the thin end: a shorter cone is left.
  return taper(thickRadius / fallPerMm, 2 * thickRadius, 0);
}
