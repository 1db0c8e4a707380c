import { modeRgb, parseHex, useMode } from 'culori/fn';
import { solveLinear } from './solveLinear.ts';

useMode(modeRgb);

/** Reflectance at 380, 390, … 730 nm, each 0–1. */
export type Spectrum = Float64Array;

/** 380–730 nm in steps of 10 nm. */
export const BANDS = 36;

/** CIE 1931 colour-matching functions of the 2° observer, 380–730 nm by 10 nm (CIE 015:2018, table T.4). */
const X_BAR = [0.0014, 0.0042, 0.0143, 0.0435, 0.1344, 0.2839, 0.3483, 0.3362, 0.2908, 0.1954, 0.0956, 0.032, 0.0049, 0.0093, 0.0633, 0.1655, 0.2904, 0.4334, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.8544, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874, 0.0468, 0.0227, 0.0114, 0.0058, 0.0029, 0.0014]; // prettier-ignore
const Y_BAR = [0, 0.0001, 0.0004, 0.0012, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.091, 0.139, 0.208, 0.323, 0.503, 0.71, 0.862, 0.954, 0.995, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017, 0.0082, 0.0041, 0.0021, 0.001, 0.0005]; // prettier-ignore
const Z_BAR = [0.0065, 0.0201, 0.0679, 0.2074, 0.6456, 1.3856, 1.7471, 1.7721, 1.6692, 1.2876, 0.813, 0.4652, 0.272, 0.1582, 0.0782, 0.0422, 0.0203, 0.0087, 0.0039, 0.0021, 0.0017, 0.0011, 0.0008, 0.0003, 0.0002, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]; // prettier-ignore
/** CIE standard illuminant D65, relative power at the same wavelengths (CIE 015:2018, table T.1). */
const D65 = [49.98, 54.65, 82.75, 91.49, 93.43, 86.68, 104.86, 117.01, 117.81, 114.86, 115.92, 108.81, 109.35, 107.8, 104.79, 107.69, 104.41, 104.05, 100, 96.33, 95.79, 88.69, 90.01, 89.6, 87.7, 83.29, 83.7, 80.03, 80.21, 82.28, 78.28, 69.72, 71.61, 74.35, 61.6, 69.89]; // prettier-ignore
/** XYZ under D65 to linear sRGB (IEC 61966-2-1). */
const TO_LINEAR_RGB = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
] as const;

/** What each band adds to X, Y and Z over those of white: rows that add up to 1. */
export const XYZ_OF_BANDS: readonly Float64Array[] = [X_BAR, Y_BAR, Z_BAR].map((bar) =>
  toSumOne(Float64Array.from(D65, (power, i) => power * at(bar, i))),
);

/** What each band adds to linear red, green and blue. Rows add up to 1: a perfect white is exactly white. */
export const RGB_OF_BANDS: readonly Float64Array[] = TO_LINEAR_RGB.map(([x, y, z]) => {
  const mix = (i: number) => x * at(X_BAR, i) + y * at(Y_BAR, i) + z * at(Z_BAR, i);
  return toSumOne(Float64Array.from(D65, (power, i) => power * mix(i)));
});

function toSumOne(row: Float64Array): Float64Array {
  const sum = row.reduce((total, value) => total + value, 0);
  return row.map((value) => value / sum);
}

/** Only called within bounds. */
function at(values: ArrayLike<number>, index: number): number {
  return values[index] as number;
}

/** No wool is blacker or whiter than this; beyond it the smoothest spectrum runs away. */
const DARKEST = 0.0025;
const PALEST = 0.985;

const known = new Map<string, Spectrum>();

/**
 * The smoothest reflectance that has this sRGB colour (#rrggbb) under D65: a colour on a screen says nothing of the
 * dye behind it, and dyes are smooth. Least hyperbolic-tangent slope squared, after Burns, “Numerical methods for
 * smoothest reflectance reconstruction”, Color Res. Appl. 45 (2020). Do not write into what is returned.
 */
export function reflectanceOf(colour: string): Spectrum {
  const found = known.get(colour) ?? smoothest(linearRgb(colour));
  known.set(colour, found);
  return found;
}

function linearRgb(colour: string): readonly [number, number, number] {
  const { r, g, b } = parseHex(colour) ?? { r: 0, g: 0, b: 0 };
  const [red, green, blue] = [r, g, b].map((value) =>
    Math.min(PALEST, Math.max(DARKEST, value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4)),
  );
  return [red ?? 0, green ?? 0, blue ?? 0];
}

const MOST_STEPS = 60;
const TOLERANCE = 1e-8;
/** How far towards its own grey a colour is taken when no spectrum within 0–1 has it. */
const GREYING = 0.06;

function smoothest(rgb: readonly [number, number, number]): Spectrum {
  for (let grey = 0; grey < 1; grey += GREYING) {
    const mean = (rgb[0] + rgb[1] + rgb[2]) / 3;
    const found = solveSmoothest(rgb.map((value) => value + (mean - value) * grey));
    if (found) return found;
  }
  return new Float64Array(BANDS).fill((rgb[0] + rgb[1] + rgb[2]) / 3);
}

/** Newton on the Lagrangian; the unknowns are 36 arguments of tanh and three multipliers. Null when it does not settle. */
function solveSmoothest(rgb: readonly number[]): Spectrum | null {
  const unknowns = new Float64Array(BANDS + 3);
  const mean = rgb.reduce((sum, value) => sum + value, 0) / 3;
  unknowns.fill(Math.atanh(2 * mean - 1), 0, BANDS);
  for (let step = 0; step < MOST_STEPS; step++) {
    const { residual, jacobian } = lagrangian(unknowns, rgb);
    if (residual.every((value) => Math.abs(value) < TOLERANCE)) return reflectances(unknowns);
    if (!solveLinear(jacobian, residual)) return null;
    const longest = residual.subarray(0, BANDS).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
    // A long step into the flat ends of tanh never comes back.
    const damping = longest > 2 ? 2 / longest : 1;
    unknowns.forEach((value, i) => (unknowns[i] = value - damping * at(residual, i)));
    if (!unknowns.every(Number.isFinite)) return null;
  }
  return null;
}

const reflectances = (unknowns: Float64Array): Spectrum =>
  unknowns.slice(0, BANDS).map((z) => (Math.tanh(z) + 1) / 2);

/** First derivatives of the Lagrangian, and the matrix of its second ones, row after row. */
function lagrangian(unknowns: Float64Array, rgb: readonly number[]) {
  const size = BANDS + 3;
  const jacobian = new Float64Array(size * size);
  const residual = new Float64Array(size);
  rgb.forEach((value, c) => (residual[BANDS + c] = -value));
  for (let i = 0; i < BANDS; i++) {
    const z = at(unknowns, i);
    const tanh = Math.tanh(z);
    const slope = (1 - tanh * tanh) / 2;
    const pull = RGB_OF_BANDS.reduce((sum, row, c) => sum + at(row, i) * at(unknowns, BANDS + c), 0);
    const left = i > 0 ? z - at(unknowns, i - 1) : 0;
    const right = i < BANDS - 1 ? z - at(unknowns, i + 1) : 0;
    residual[i] = 2 * (left + right) + slope * pull;
    jacobian[i * size + i] = (i > 0 ? 2 : 0) + (i < BANDS - 1 ? 2 : 0) - 2 * slope * tanh * pull;
    if (i > 0) jacobian[i * size + i - 1] = -2;
    if (i < BANDS - 1) jacobian[i * size + i + 1] = -2;
    RGB_OF_BANDS.forEach((row, c) => {
      const change = slope * at(row, i);
      jacobian[i * size + BANDS + c] = change;
      jacobian[(BANDS + c) * size + i] = change;
      residual[BANDS + c] = at(residual, BANDS + c) + (at(row, i) * (tanh + 1)) / 2;
    });
  }
  return { residual, jacobian };
}

/** The linear sRGB of a reflectance under D65. */
function linearRgbOf(spectrum: Spectrum): [number, number, number] {
  const [r, g, b] = RGB_OF_BANDS.map((row) =>
    row.reduce((sum, value, i) => sum + value * at(spectrum, i), 0),
  );
  return [r ?? 0, g ?? 0, b ?? 0];
}

/** A reflectance as sRGB (#rrggbb) under D65. */
export function colourOf(spectrum: Spectrum): string {
  const channels = linearRgbOf(spectrum).map((value) => {
    const clipped = Math.min(1, Math.max(0, value));
    const encoded = clipped <= 0.0031308 ? clipped * 12.92 : 1.055 * clipped ** (1 / 2.4) - 0.055;
    return Math.round(encoded * 255)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${channels.join('')}`;
}
