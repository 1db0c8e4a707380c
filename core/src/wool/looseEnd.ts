/** A tail shorter than this does not hold, a longer one is in the way, mm. */
export const TAIL_BOUNDS_MM = { least: 10, most: 30 } as const;

/** How long a loose end is where its author has not said: one diameter, 10 to 30 mm. */
export const usualTailMm = (diameterMm: number): number =>
  Math.min(TAIL_BOUNDS_MM.most, Math.max(TAIL_BOUNDS_MM.least, diameterMm));

/** The rolled part’s cross-section, so long, as it is packed. */
export const looseEndMassG = (sectionMm2: number, lengthMm: number, packedGPerCm3: number): number =>
  (sectionMm2 * lengthMm * packedGPerCm3) / 1000;
