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
  /** Along its middle line, mm: what a wire through it runs; absent where that is its height. */
  readonly runMm?: number;
  /** Across the base by which it is set on something; absent where any side may be (`baseMm`). */
  readonly baseAcrossMm?: number;
  /** Which of `sizesMm` a join sinks or a loose end lengthens; absent: the first. */
  readonly axisAt?: number;
  /** Across the end that is left loose to join by; absent: round all over, it has none of itself. */
  readonly looseAcrossMm?: number;
  /** The sizes that tell how fine it is, where it runs thin at an end: that end is not among them. */
  readonly taperMm?: readonly number[];
  /** One face of a plate, which is what lies on the table; absent for what is round. */
  readonly faceMm2?: number;
  /** The principal sizes in the order a maker reads them. */
  readonly sizesMm: readonly number[];
  /**
   * Half as wide as it is so far above its base (0 to `heightMm`), mm, seen from the front; absent for plates and ropes,
   * of which their outline tells it.
   */
  readonly halfWidthMm?: (aboveBaseMm: number) => number;
  /** Its base is drawn on top: what tapers lies with its thick end first. */
  readonly isBaseOnTop?: true;
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

/**
 * The smallest size that wool must be brought into: of a flat piece its face, not its thickness; of what tapers its thick
 * end, for a point is no worse than a thin end.
 */
export const acrossMm = ({ family, widthMm, heightMm, sizesMm, taperMm }: Solid): number =>
  family === 'flat'
    ? Math.min(widthMm, heightMm)
    : Math.min(...(taperMm ?? sizesMm).filter((size) => size > 0));

/** How long its middle line is, mm: a ring is bent, and a wire through it runs round. */
export const runMm = ({ runMm: bent, heightMm }: Solid): number => bent ?? heightMm;

/**
 * How wide it is where it is set on, mm, as the round section of the same girth: its base; of a flat piece the roll of
 * the girth of half its narrow side; of what has no base its narrowest.
 */
export function baseMm({ family, baseAcrossMm, widthMm, heightMm, depthMm }: Solid): number {
  if (family === 'flat') return (Math.min(widthMm, heightMm) + 2 * depthMm) / Math.PI;
  return baseAcrossMm ?? Math.min(widthMm, heightMm, depthMm);
}

/** Sizes in their order, with the one along its axis longer (or, under nought, shorter) by so much; never under nought. */
export const alongAxis = ({ axisAt = 0 }: Pick<Solid, 'axisAt'>, sizesMm: readonly number[], byMm: number) =>
  sizesMm.map((size, at) => (at === axisAt ? Math.max(0, size + byMm) : size));
