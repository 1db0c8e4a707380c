import type { PointMm } from '../shapes/index.ts';
import type { Vec3 } from './space.ts';

/** A point of a surface, and which way is straight out there. */
export interface SurfaceSpot {
  readonly point: Vec3;
  /** Of length 1. */
  readonly normal: Vec3;
}

/** A body in its own frame, mm: its base at 0, 0, 0, its axis along +y, its front toward +z. */
export interface Body {
  readonly heightMm: number;
  /** Half of it across and from front to back, where it is largest. */
  readonly halfWidthMm: number;
  readonly halfDepthMm: number;
  /** Its middle of volume. */
  readonly centroid: Vec3;
  /** Bent inward nowhere: its silhouette is the hull of its points. */
  readonly isConvex: boolean;
  /** Points of its surface, in rings one after the other, as many in each; its corners are among them. */
  readonly rings: readonly (readonly Vec3[])[];
  /** The same, so many times closer together. */
  readonly finerRings: () => readonly (readonly Vec3[])[];
  /** How far it reaches in a direction of length 1 from its base, mm. */
  readonly reach: (direction: Vec3) => number;
  /** Of what is flat: its face as seen from the front, holes too, x to the viewer’s right and y up. */
  readonly face: readonly (readonly PointMm[])[] | null;
  /** Of a ring of rope: its middle line, and half as thick as it is. */
  readonly rope: { readonly line: readonly Vec3[]; readonly radiusMm: number } | null;
  /** @param heightFraction 0 its lowest, 1 its highest point along its axis; both are poles. */
  readonly spotAt: (aroundDeg: number, heightFraction: number) => SurfaceSpot;
  /** The point of `spotAt` alone: told in a third of the time, for who asks for thousands. */
  readonly pointAt: (aroundDeg: number, heightFraction: number) => Vec3;
  readonly contains: (point: Vec3) => boolean;
}
