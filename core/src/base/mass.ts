/** Free of the noise of binary sums, and finer than any scale: millionths of a gram. */
export const roundToMicrogram = (massG: number): number => Math.round(massG * 1e6) / 1e6;

const MM2_PER_M2 = 1e6;

/** What a face weighs. @param arealGPerM2 grams per square metre */
export const massOfArea = (areaMm2: number, arealGPerM2: number): number =>
  (areaMm2 * arealGPerM2) / MM2_PER_M2;

/** How large a face so many grams cover, mm². */
export const areaOfMass = (massG: number, arealGPerM2: number): number => (massG / arealGPerM2) * MM2_PER_M2;

/** What halving by eye is off by, in each half. Ours, uncalibrated. */
export const HALVING_ERROR_FRACTION = 0.1;
