/** A band narrower than this comes off again, mm. */
const LEAST_BAND_MM = 8;

/** How far a cover reaches on each side where its author has not said: a third of the diameter, at least 8 mm. */
export const usualBandMm = (diameterMm: number): number => Math.max(LEAST_BAND_MM, diameterMm / 3);

/** Perimeter × band on each side × 2, mm². */
export const joinCoverMm2 = (diameterMm: number, bandMm: number): number => Math.PI * diameterMm * bandMm * 2;
