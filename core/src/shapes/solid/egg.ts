import { carlsonRG } from './carlson.ts';
import { ellipseArc } from './outlines.ts';
import type { Solid } from './solid.ts';

/**
 * Two half-spheroids meeting at the widest section.
 * @param widestAtFraction of the length, from the blunt end; 0 < f < 1
 */
export function egg(lengthMm: number, diameterMm: number, widestAtFraction: number): Solid {
  const radius = diameterMm / 2;
  const bluntMm = lengthMm * widestAtFraction;
  const pointedMm = lengthMm - bluntMm;
  return {
    family: 'round',
    build: 'turned',
    volumeMm3: (2 / 3) * Math.PI * radius ** 2 * lengthMm,
    get areaMm2() {
      return halfSpheroidAreaMm2(radius, bluntMm) + halfSpheroidAreaMm2(radius, pointedMm);
    },
    // A half-spheroid's centroid lies 3/8 of its height from its base.
    centroidMm: bluntMm + ((3 / 8) * (pointedMm ** 2 - bluntMm ** 2)) / lengthMm,
    widthMm: diameterMm,
    heightMm: lengthMm,
    depthMm: diameterMm,
    sizesMm: [lengthMm, diameterMm],
    halfWidthMm: (y) => {
      const fromWidest = y < bluntMm ? (bluntMm - y) / bluntMm : (y - bluntMm) / pointedMm;
      return radius * Math.sqrt(Math.max(0, 1 - fromWidest ** 2));
    },
    // Standing on its blunt end, so the pointed half is drawn on top.
    outline: () => [
      ...ellipseArc([radius, pointedMm], radius, bluntMm, 0, Math.PI),
      ...ellipseArc([radius, pointedMm], radius, pointedMm, Math.PI, 2 * Math.PI),
    ],
    inset: (depthMm) => insetEgg(lengthMm - 2 * depthMm, diameterMm - 2 * depthMm, bluntMm - depthMm),
    insetVolumeMm3: (depthMm) =>
      (Math.PI / 6) * Math.max(0, diameterMm - 2 * depthMm) ** 2 * Math.max(0, lengthMm - 2 * depthMm),
    scaled: (along, across) => egg(lengthMm * along, diameterMm * across, widestAtFraction),
  };
}

/** Curved surface of half a spheroid, its flat side not counted, mm². */
export function halfSpheroidAreaMm2(radius: number, height: number): number {
  return 2 * Math.PI * carlsonRG(radius ** 4, (radius * height) ** 2, (radius * height) ** 2);
}

/** Both halves lose the depth; a half that is flatter than that stays a sliver, so that the volume never jumps. */
function insetEgg(lengthMm: number, diameterMm: number, bluntMm: number): Solid | null {
  if (Math.min(lengthMm, diameterMm) <= 0) return null;
  return egg(lengthMm, diameterMm, Math.min(0.98, Math.max(0.02, bluntMm / lengthMm)));
}
