import { isWithin } from './isWithin.ts';
import type { PointMm, Solid } from './solid.ts';

/** Faces of a plate: closed contours in mm, even-odd, from 0, 0. */
export type Contours = readonly (readonly PointMm[])[];

/** What of a flat outline the formulas need. */
export interface Face {
  readonly areaMm2: number;
  /** Of all contours, holes too. */
  readonly perimeterMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** From the top, and from the left, mm. */
  readonly centroidMm: number;
  readonly centroidXMm: number;
}

/** Area, perimeter and centroid of contours that neither cross nor touch (shoelace, holes by nesting). */
export function measureFace(contours: Contours): Face {
  let [areaMm2, momentMm3, momentXMm3, perimeterMm] = [0, 0, 0, 0];
  let [right, bottom] = [0, 0];
  for (const contour of contours) {
    const { area, moment, momentX, perimeter } = shoelace(contour);
    const isHole = nesting(contour, contours) % 2 === 1;
    const sign = (area < 0 ? -1 : 1) * (isHole ? -1 : 1);
    areaMm2 += sign * area;
    momentMm3 += sign * moment;
    momentXMm3 += sign * momentX;
    perimeterMm += perimeter;
    for (const [x, y] of contour) [right, bottom] = [Math.max(right, x), Math.max(bottom, y)];
  }
  return {
    areaMm2,
    perimeterMm,
    widthMm: right,
    heightMm: bottom,
    centroidMm: momentMm3 / areaMm2,
    centroidXMm: momentXMm3 / areaMm2,
  };
}

function shoelace(contour: readonly PointMm[]) {
  let [area, moment, momentX, perimeter] = [0, 0, 0, 0];
  let [x0, y0] = contour.at(-1) ?? [0, 0];
  for (const [x, y] of contour) {
    const cross = x0 * y - x * y0;
    area += cross / 2;
    moment += (cross * (y0 + y)) / 6;
    momentX += (cross * (x0 + x)) / 6;
    perimeter += Math.hypot(x - x0, y - y0);
    [x0, y0] = [x, y];
  }
  return { area, moment, momentX, perimeter };
}

/** In how many of the others a contour lies. They do not cross, so one point of it tells. */
function nesting(contour: readonly PointMm[], all: Contours): number {
  const point = contour[0];
  return point ? all.filter((other) => other !== contour && isWithin(point[0], point[1], [other])).length : 0;
}

/** A flat piece of any outline. Both faces and every edge are counted. */
export function plate(contours: Contours, thicknessMm: number): Solid {
  return plateOf(contours, measureFace(contours), thicknessMm);
}

function plateOf(contours: Contours, face: Face, thicknessMm: number): Solid {
  const { areaMm2, perimeterMm, widthMm, heightMm, centroidMm } = face;
  return {
    family: 'flat',
    build: 'plate',
    volumeMm3: areaMm2 * thicknessMm,
    areaMm2: 2 * areaMm2 + perimeterMm * thicknessMm,
    faceMm2: areaMm2,
    centroidMm,
    widthMm,
    heightMm,
    depthMm: thicknessMm,
    sizesMm: [heightMm, widthMm, thicknessMm],
    outline: () => contours[outermost(contours)] ?? [],
    holes: () => contours.filter((_, index) => index !== outermost(contours)),
    inset: (depthMm) => insetPlate(contours, face, thicknessMm, depthMm),
    scaled: (along, across) =>
      plate(
        contours.map((contour) => contour.map(([x, y]): PointMm => [x * across, y * along])),
        thicknessMm * across,
      ),
  };
}

/** The contour that holds the others: the one with the largest box. Loose islands are drawn with it, even-odd. */
function outermost(contours: Contours): number {
  let [best, most] = [0, -1];
  contours.forEach((contour, index) => {
    const size = Math.abs(shoelace(contour).area);
    if (size > most) [best, most] = [index, size];
  });
  return best;
}

/**
 * The face shrinks by its perimeter times the depth (Steiner's first term, exact for thin layers); the outline is drawn
 * shrunk in proportion. Masses do not depend on it.
 */
function insetPlate(contours: Contours, face: Face, thicknessMm: number, depthMm: number): Solid | null {
  const areaMm2 = face.areaMm2 - face.perimeterMm * depthMm + Math.PI * depthMm ** 2;
  const fall = Math.PI * 2 * depthMm < face.perimeterMm;
  if (areaMm2 <= 0 || !fall || 2 * depthMm >= thicknessMm) return null;
  const k = Math.sqrt(areaMm2 / face.areaMm2);
  const inner: Face = {
    areaMm2,
    perimeterMm: face.perimeterMm * k,
    widthMm: face.widthMm * k,
    heightMm: face.heightMm * k,
    centroidMm: face.centroidMm * k,
    centroidXMm: face.centroidXMm * k,
  };
  const shrunk = (): Contours => contours.map((contour) => contour.map(([x, y]): PointMm => [x * k, y * k]));
  const solid = plateOf(contours, inner, thicknessMm - 2 * depthMm);
  return {
    ...solid,
    outline: () => shrunk()[outermost(contours)] ?? [],
    holes: () => shrunk().filter((_, index) => index !== outermost(contours)),
    inset: (deeperMm) => insetPlate(contours, face, thicknessMm, depthMm + deeperMm),
  };
}
