import { baseMm, type Solid } from '../shapes/index.ts';

/** A tail shorter than this does not hold, a longer one is in the way, mm. */
const TAIL_BOUNDS_MM = { least: 10, most: 30 } as const;

/** Where its author has not said how long, a loose end takes no more of its part than this. */
export const MOST_TAIL_FRACTION = 0.15;

/** How long a loose end is where its author has not said: one diameter, 10 to 30 mm. */
export const usualTailMm = (diameterMm: number): number =>
  Math.min(TAIL_BOUNDS_MM.most, Math.max(TAIL_BOUNDS_MM.least, diameterMm));

/**
 * Across the end that a piece has to leave loose, mm: rolls, strips and flat pieces have one, a drop at its point; what is
 * round all over has none of itself (null).
 */
export const looseAcrossMm = (solid: Solid): number | null =>
  solid.family === 'flat' ? baseMm(solid) : (solid.looseAcrossMm ?? null);

/** The rolled part’s cross-section, so long, as it is packed. */
export const looseEndMassG = (sectionMm2: number, lengthMm: number, packedGPerCm3: number): number =>
  (sectionMm2 * lengthMm * packedGPerCm3) / 1000;
