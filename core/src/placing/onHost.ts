import type { HeldBy, Place } from '../pattern/index.ts';
import type { Body, SurfaceSpot } from './body.ts';
import {
  acrossAxis,
  cross,
  dot,
  type Frame,
  minus,
  plus,
  radians,
  TOWARD_VIEWER,
  times,
  turnedAbout,
  unit,
  UP,
  type Vec3,
} from './space.ts';

/** A spot of a host, with its two ways along the surface: toward the host’s top, and round toward the figure’s left. */
export interface HostSpot extends SurfaceSpot {
  readonly upward: Vec3;
  readonly aside: Vec3;
}

/** In the host’s own frame. At a pole the way up is the one it would be coming there from `aroundDeg`. */
export function hostSpot(
  host: Body,
  { aroundDeg, heightFraction }: Pick<Place, 'aroundDeg' | 'heightFraction'>,
): HostSpot {
  const spot = host.spotAt(aroundDeg, heightFraction);
  const radial: Vec3 = [Math.sin(radians(aroundDeg)), 0, Math.cos(radians(aroundDeg))];
  const upward = acrossAxis(UP, spot.normal) ?? times(radial, spot.normal[1] > 0 ? -1 : 1);
  return { ...spot, upward, aside: cross(upward, spot.normal) };
}

/** Which way a piece points there: straight out, leant up and aside. */
export function axisAt({ normal, upward, aside }: HostSpot, { leanUpDeg, leanAsideDeg }: Place): Vec3 {
  const [up, side] = [radians(leanUpDeg), radians(leanAsideDeg)];
  const leant = plus(times(normal, Math.cos(up)), times(upward, Math.sin(up)));
  return unit(plus(times(leant, Math.cos(side)), times(aside, Math.sin(side))));
}

/** More than this toward or away from its host’s front, and a piece has no front of its own there: cosine of 45°. */
const LYING = Math.SQRT1_2;

/** Where a piece faces that points along `axis`: as its host does; up, where it points forward or back. */
export function facing(axis: Vec3): Vec3 {
  const reference = Math.abs(dot(axis, TOWARD_VIEWER)) > LYING ? UP : TOWARD_VIEWER;
  return acrossAxis(reference, axis) ?? TOWARD_VIEWER;
}

/**
 * A piece on its host, in the host’s frame: the end it is held by lies `sinkMm` under the surface, straight in.
 */
export function frameOnHost(host: Body, piece: Body, place: Place, heldBy: HeldBy, sinkMm: number): Frame {
  const spot = hostSpot(host, place);
  const held = minus(spot.point, times(spot.normal, sinkMm));
  const out = axisAt(spot, place);
  const { y, z } = heldBy === 'side' ? lyingOn(spot, out, place) : pointing(out, place, heldBy);
  const x = cross(y, z);
  return { x, y, z, origin: minus(held, heldPoint(piece, heldBy, { y, z })) };
}

function pointing(out: Vec3, { twistDeg }: Place, heldBy: HeldBy): Pick<Frame, 'y' | 'z'> {
  const y = heldBy === 'tip' ? times(out, -1) : out;
  return { y, z: turnedAbout(facing(y), y, twistDeg) };
}

/** Its back on the surface: it faces out, and its tip points up the host. */
function lyingOn({ upward }: HostSpot, out: Vec3, { twistDeg }: Place): Pick<Frame, 'y' | 'z'> {
  const up = acrossAxis(upward, out) ?? UP;
  return { y: turnedAbout(up, out, twistDeg), z: out };
}

/** From its base to where it is held, in the figure’s directions. */
function heldPoint(piece: Body, heldBy: HeldBy, { y, z }: Pick<Frame, 'y' | 'z'>): Vec3 {
  switch (heldBy) {
    case 'base':
      return [0, 0, 0];
    case 'tip':
      return times(y, piece.heightMm);
    case 'middle':
      return times(y, piece.heightMm / 2);
    case 'side':
      return plus(times(y, piece.heightMm / 2), times(z, -piece.halfDepthMm));
  }
}
