import { halfSpheroidAreaMm2 } from './egg.ts';
import { ellipseArc } from './outlines.ts';
import type { Solid } from './solid.ts';

/** Half a spheroid on its flat base; the base is counted. */
export function dome(diameterMm: number, riseMm: number): Solid {
  const r = diameterMm / 2;
  return {
    family: 'round',
    build: 'turned',
    volumeMm3: (2 / 3) * Math.PI * r * r * riseMm,
    get areaMm2() {
      return halfSpheroidAreaMm2(r, riseMm) + Math.PI * r * r;
    },
    // Above the base.
    centroidMm: (3 / 8) * riseMm,
    widthMm: diameterMm,
    heightMm: riseMm,
    depthMm: diameterMm,
    baseAcrossMm: diameterMm,
    axisAt: 1,
    sizesMm: [diameterMm, riseMm],
    halfWidthMm: (y) => r * Math.sqrt(Math.max(0, 1 - (y / riseMm) ** 2)),
    outline: () => [...ellipseArc([r, riseMm], r, riseMm, Math.PI, 2 * Math.PI), [diameterMm, riseMm]],
    inset: (depthMm) => insetDome(r, riseMm, depthMm),
    scaled: (along, across) => dome(diameterMm * across, riseMm * along),
  };
}

/**
 * The parallel surface of a dome has a lower rim than any dome: one that loses what a thin layer takes (surface × depth)
 * stands in for it. Masses do not depend on it.
 */
function insetDome(r: number, riseMm: number, depthMm: number): Solid | null {
  const areaMm2 = halfSpheroidAreaMm2(r, riseMm) + Math.PI * r * r;
  const fall = ((3 * areaMm2) / (2 * Math.PI) - 2 * r * riseMm) / (r * r);
  const inner = riseMm - depthMm * fall;
  return depthMm < r && inner > 0 ? dome(2 * (r - depthMm), inner) : null;
}
