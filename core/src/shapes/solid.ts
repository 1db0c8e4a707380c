/** A point of a front view, in mm: x to the right, y downwards, the piece's bounding box starting at 0, 0. */
export type PointMm = readonly [xMm: number, yMm: number];

/**
 * What the engine needs of a shape with its sizes filled in. Every shape is one of these, made by its own file;
 * nothing outside `shapes/` asks which one it is.
 */
export interface Solid {
  /** How it is rolled up before felting, which decides which axes grow most. */
  readonly family: 'round' | 'roll' | 'flat';
  /** How its other two views follow from the front one. */
  readonly build: 'turned' | 'ellipsoid' | 'plate' | 'rope';
  readonly volumeMm3: number;
  /** All of the surface, ends and edges counted. Worked out on reading: the search for a coat's depth never reads it. */
  readonly areaMm2: number;
  /** Distance of the centroid along the long axis from the first end (blunt, thick, or either where alike). */
  readonly centroidMm: number;
  /** Over all in front view. */
  readonly widthMm: number;
  readonly heightMm: number;
  /** Over all from front to back. */
  readonly depthMm: number;
  /** One face of a plate, which is what lies on the table; absent for what is round. */
  readonly faceMm2?: number;
  /** The principal sizes in the order a maker reads them. */
  readonly sizesMm: readonly number[];
  /** Closed front outline, without a repeated last point. */
  readonly outline: () => readonly PointMm[];
  /** What is open within the outline; absent where nothing is. */
  readonly holes?: () => readonly (readonly PointMm[])[];
  /** The solid whose surface lies `depthMm` inside this one; null when nothing is left. */
  readonly inset: (depthMm: number) => Solid | null;
  /** What `inset` leaves, mm³, without making it: the search for a layer’s depth asks for nothing else. */
  readonly insetVolumeMm3?: (depthMm: number) => number;
  /** This solid with its long axis and its cross axes multiplied. */
  readonly scaled: (alongFactor: number, acrossFactor: number) => Solid;
  /** Rolled before felting, where the family’s rule does not hold; `q` is finished over packed density. */
  readonly rolled?: (q: number) => Solid;
}

/** The smallest size that wool must be brought into: of a flat piece its face, not its thickness. */
export const acrossMm = ({ family, widthMm, heightMm, sizesMm }: Solid): number =>
  family === 'flat' ? Math.min(widthMm, heightMm) : Math.min(...sizesMm.filter((size) => size > 0));
