import { dot, radians, type Vec3 } from '../../placing/index.ts';

/** From where a figure is looked at: turned about its upright so far toward its left, or from above. */
export type LookFrom = { readonly kind: 'round'; readonly turnDeg: number } | { readonly kind: 'above' };

/** The figure’s front, its left side (as turned by 90°), and from above. */
export const FRONT: LookFrom = { kind: 'round', turnDeg: 0 };
export const SIDE: LookFrom = { kind: 'round', turnDeg: 90 };
export const ABOVE: LookFrom = { kind: 'above' };
/** A figure is turned by so much at a time, degrees. */
export const TURN_STEP_DEG = 15;

/** The three ways of a drawing: to its right, up, and toward who looks. */
export interface Camera {
  readonly right: Vec3;
  readonly up: Vec3;
  readonly toward: Vec3;
}

export function cameraOf(from: LookFrom): Camera {
  if (from.kind === 'above') return { right: [1, 0, 0], up: [0, 0, -1], toward: [0, 1, 0] };
  const [sin, cos] = [Math.sin(radians(from.turnDeg)), Math.cos(radians(from.turnDeg))];
  return { right: [cos, 0, -sin], up: [0, 1, 0], toward: [sin, 0, cos] };
}

/** In the drawing, mm: to the right and up. */
export const seen = ({ right, up }: Camera, point: Vec3): readonly [number, number] => [
  dot(point, right),
  dot(point, up),
];
