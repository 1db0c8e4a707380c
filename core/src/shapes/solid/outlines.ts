import type { PointMm } from './solid.ts';

/** Points per quarter turn: on a 300 mm piece the chord is within 0.1 mm of the curve. */
const STEPS_PER_QUARTER = 16;

/** A quarter of an ellipse from `fromRad`, going clockwise on paper (y down). */
export function ellipseArc(
  centre: PointMm,
  radiusXMm: number,
  radiusYMm: number,
  fromRad: number,
  toRad: number,
): PointMm[] {
  const steps = Math.max(1, Math.round((Math.abs(toRad - fromRad) / (Math.PI / 2)) * STEPS_PER_QUARTER));
  return Array.from({ length: steps }, (_, i) => {
    const angle = fromRad + ((toRad - fromRad) * i) / steps;
    return [centre[0] + radiusXMm * Math.cos(angle), centre[1] + radiusYMm * Math.sin(angle)] as const;
  });
}

/** A whole ellipse filling its bounding box from 0, 0. */
export function ellipseOutline(widthMm: number, heightMm: number): PointMm[] {
  return ellipseArc([widthMm / 2, heightMm / 2], widthMm / 2, heightMm / 2, 0, 2 * Math.PI);
}
