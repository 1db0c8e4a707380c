/** A drawn line's wool, g/m. Lanakit's own default. */
const LINE_G_PER_M = 0.05;
/** Lines sink and their ends are snipped. */
const LINE_OVERCUT = 1.15;
/** Dots shrink and sink, so they start with more, in volume. */
const DOT_OVERSIZE = 1.4;

export const lineMassG = (lengthMm: number): number => (lengthMm / 1000) * LINE_OVERCUT * LINE_G_PER_M;

/** A dot is a little ball. */
export const dotMassG = (diameterMm: number, gPerCm3: number): number =>
  ((Math.PI / 6) * diameterMm ** 3 * DOT_OVERSIZE * gPerCm3) / 1000;

/** A patch laid on: an ellipse over its length and width, mm². */
export const patchMm2 = (lengthMm: number, widthMm: number): number => (Math.PI / 4) * lengthMm * widthMm;
