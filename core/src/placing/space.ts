/** A point or a direction in mm: x to the viewer’s right, y up, z toward the viewer. */
export type Vec3 = readonly [x: number, y: number, z: number];

export const plus = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const length = (a: Vec3): number => Math.hypot(a[0], a[1], a[2]);
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Of length 1; what has no length points up. */
export function unit(a: Vec3): Vec3 {
  const size = length(a);
  return size < 1e-12 ? UP : times(a, 1 / size);
}

export const RIGHT: Vec3 = [1, 0, 0];
export const UP: Vec3 = [0, 1, 0];
export const TOWARD_VIEWER: Vec3 = [0, 0, 1];
export const ORIGIN: Vec3 = [0, 0, 0];

export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** `a` turned about `axis` (of length 1), counter-clockwise seen from where the axis points. Source: Rodrigues. */
export function turnedAbout(a: Vec3, axis: Vec3, angleDeg: number): Vec3 {
  const [cos, sin] = [Math.cos(radians(angleDeg)), Math.sin(radians(angleDeg))];
  return plus(plus(times(a, cos), times(cross(axis, a), sin)), times(axis, dot(axis, a) * (1 - cos)));
}

/** `a` without what of it runs along `axis`, of length 1; null where nothing is left. */
export function acrossAxis(a: Vec3, axis: Vec3): Vec3 | null {
  const rest = minus(a, times(axis, dot(a, axis)));
  return length(rest) < 1e-9 ? null : unit(rest);
}

/**
 * Where a piece stands: its own axes as they lie in the figure, and its base. A mirrored piece has a left-handed frame.
 */
export interface Frame {
  readonly x: Vec3;
  readonly y: Vec3;
  readonly z: Vec3;
  readonly origin: Vec3;
}

export const FIGURE_FRAME: Frame = { x: RIGHT, y: UP, z: TOWARD_VIEWER, origin: ORIGIN };

export const directionIn = ({ x, y, z }: Frame, a: Vec3): Vec3 =>
  plus(plus(times(x, a[0]), times(y, a[1])), times(z, a[2]));
export const pointIn = (frame: Frame, a: Vec3): Vec3 => plus(frame.origin, directionIn(frame, a));
/** A point of the figure as the piece knows it. */
/** How high above the figure’s own zero a point of a frame lies: `pointIn`, its y alone. */
export const heightIn = ({ x, y, z, origin }: Frame, a: Vec3): number =>
  origin[1] + x[1] * a[0] + y[1] * a[1] + z[1] * a[2];

export function pointFrom(frame: Frame, a: Vec3): Vec3 {
  const from = minus(a, frame.origin);
  return [dot(from, frame.x), dot(from, frame.y), dot(from, frame.z)];
}

/** A direction of the figure as the piece knows it. */
export const directionFrom = ({ x, y, z }: Frame, a: Vec3): Vec3 => [dot(a, x), dot(a, y), dot(a, z)];

export const moved = (frame: Frame, by: Vec3): Frame => ({ ...frame, origin: plus(frame.origin, by) });

/** `inner`, given in `outer`, as it lies in the figure. */
export const frameIn = (outer: Frame, inner: Frame): Frame => ({
  x: directionIn(outer, inner.x),
  y: directionIn(outer, inner.y),
  z: directionIn(outer, inner.z),
  origin: pointIn(outer, inner.origin),
});

/** Mirrored over the middle plane of what it is given in. */
export const mirrored = ({ x, y, z, origin }: Frame): Frame => ({
  x: flipped(x),
  y: flipped(y),
  z: flipped(z),
  origin: flipped(origin),
});
const flipped = ([x, y, z]: Vec3): Vec3 => [-x, y, z];

/** The same place in the mirror, but the piece of the same hand: its own x is not flipped with it. */
export const sameHanded = (frame: Frame): Frame => ({ ...frame, x: times(frame.x, -1) });
