import { ellipseArc } from './outlines.ts';
import type { PointMm, Solid } from './solid.ts';

/**
 * A flat piece with straight sides: a wall, a badge, a strip. Both faces and the edge are counted.
 * @param cornerMm radius of its corners; 0: square; at most half the narrower side
 */
export function roundedPlate(
  lengthMm: number,
  widthMm: number,
  thicknessMm: number,
  cornerMm: number,
): Solid {
  const faceMm2 = lengthMm * widthMm - (4 - Math.PI) * cornerMm ** 2;
  const perimeterMm = 2 * (lengthMm + widthMm) - (8 - 2 * Math.PI) * cornerMm;
  return {
    family: 'flat',
    build: 'plate',
    volumeMm3: faceMm2 * thicknessMm,
    areaMm2: 2 * faceMm2 + perimeterMm * thicknessMm,
    faceMm2,
    centroidMm: lengthMm / 2,
    widthMm,
    heightMm: lengthMm,
    depthMm: thicknessMm,
    sizesMm: [lengthMm, widthMm, thicknessMm],
    outline: () => cornered(lengthMm, widthMm, cornerMm),
    inset: (depthMm) =>
      2 * depthMm < Math.min(lengthMm, widthMm, thicknessMm)
        ? roundedPlate(
            lengthMm - 2 * depthMm,
            widthMm - 2 * depthMm,
            thicknessMm - 2 * depthMm,
            Math.max(0, cornerMm - depthMm),
          )
        : null,
    scaled: (along, across) =>
      roundedPlate(
        lengthMm * along,
        widthMm * across,
        thicknessMm * across,
        cornerMm * Math.min(along, across),
      ),
  };
}

function cornered(lengthMm: number, widthMm: number, r: number): PointMm[] {
  if (r === 0) {
    return [
      [0, 0],
      [widthMm, 0],
      [widthMm, lengthMm],
      [0, lengthMm],
    ];
  }
  const quarter = (x: number, y: number, turns: number) =>
    ellipseArc([x, y], r, r, (turns * Math.PI) / 2, ((turns + 1) * Math.PI) / 2);
  return [
    ...quarter(widthMm - r, lengthMm - r, 0),
    ...quarter(r, lengthMm - r, 1),
    ...quarter(r, r, 2),
    ...quarter(widthMm - r, r, 3),
  ];
}
