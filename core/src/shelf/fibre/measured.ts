import { massOfArea } from '../../base/index.ts';
/** So many pieces, each of so much (m or m²; 1 for a pinch), and what they weighed together. */
export interface WeighedPieces {
  readonly pieces: number;
  readonly eachAmount: number;
  readonly massG: number;
}

/** Grams per metre, per square metre or each: the middle and the 10th and 90th percentile. */
export interface Measured {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface MeasuringErrors {
  /** What the scale reads to, grams. */
  readonly scaleStepG: number;
  /** How far one cut piece strays from its size, as a fraction; 0 where nothing is cut. */
  readonly cutFraction: number;
}

/** z of the 90th percentile of a normal distribution. */
const Z90 = 1.2815515655446004;

/** Two millimetres on a piece of thirty centimetres: what scissors and a ruler do. */
export const CUT_ERROR_MM = 2;

/**
 * A property from what was weighed: all grams over all amount. Its spread: the scale's step (even within it), the
 * cutting, and, from two weighings on, how far they lie apart.
 * @returns null when nothing was weighed
 */
export function measure(weighings: readonly WeighedPieces[], errors: MeasuringErrors): Measured | null {
  const amount = weighings.reduce((sum, { pieces, eachAmount }) => sum + pieces * eachAmount, 0);
  const massG = weighings.reduce((sum, weighing) => sum + weighing.massG, 0);
  if (!(amount > 0) || !(massG > 0)) return null;
  const value = massG / amount;
  const pieces = weighings.reduce((sum, weighing) => sum + weighing.pieces, 0);
  const scale = (errors.scaleStepG * Math.sqrt(weighings.length / 12)) / massG;
  const cut = errors.cutFraction / Math.sqrt(pieces);
  const spread = Math.exp(Z90 * Math.hypot(scale, cut, strayOf(weighings, value)));
  return { value, low: value / spread, high: value * spread };
}

/** Standard error of the mean of several weighings, as a fraction of `value`; 0 for one. */
function strayOf(weighings: readonly WeighedPieces[], value: number): number {
  const n = weighings.length;
  if (n < 2) return 0;
  const squares = weighings.map(
    ({ pieces, eachAmount, massG }) => (massG / (pieces * eachAmount) / value - 1) ** 2,
  );
  return Math.sqrt(squares.reduce((sum, square) => sum + square, 0) / (n - 1) / n);
}

/** Over this the weight and the length of one lot contradict each other. */
const CONTRADICTION_FRACTION = 0.15;

/**
 * By how much a measurement is off what is on record, as a fraction of the record (0.2: a fifth more); null while
 * they agree within 15 %.
 */
export function contradiction(measured: number, onRecord: number): number | null {
  const off = measured / onRecord - 1;
  return Math.abs(off) > CONTRADICTION_FRACTION ? off : null;
}

/** Grams of one sheet; null while a size or its g/m² is unknown. */
export function sheetMassG(sheet: {
  readonly arealGPerM2: number | null;
  readonly sheetLengthMm: number | null;
  readonly sheetWidthMm: number | null;
}): number | null {
  const { arealGPerM2, sheetLengthMm, sheetWidthMm } = sheet;
  if (arealGPerM2 === null || sheetLengthMm === null || sheetWidthMm === null) return null;
  return massOfArea(sheetLengthMm * sheetWidthMm, arealGPerM2);
}
