import { type Length, type LengthUnit, MAX_LENGTH_MM, toMm } from './length.ts';

export type LengthRefusal =
  | { code: 'length_not_read'; text: string }
  | { code: 'size_not_positive'; valueMm: number }
  | { code: 'size_too_large'; valueMm: number; limitMm: number };

export type ParsedLength = { ok: true; length: Length } | { ok: false; refusal: LengthRefusal };

/** Vulgar fractions a keyboard or a paste may bring, as numbers. */
const FRACTION_SIGNS: Readonly<Record<string, number>> = {
  '½': 1 / 2, '¼': 1 / 4, '¾': 3 / 4, '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8, '⅓': 1 / 3, '⅔': 2 / 3,
}; // prettier-ignore

const UNIT_WORDS: Readonly<Record<string, { unit: LengthUnit; scale: number }>> = {
  mm: { unit: 'mm', scale: 1 },
  cm: { unit: 'mm', scale: 10 },
  m: { unit: 'mm', scale: 1000 },
  metre: { unit: 'mm', scale: 1000 },
  metres: { unit: 'mm', scale: 1000 },
  in: { unit: 'in', scale: 1 },
  inch: { unit: 'in', scale: 1 },
  inches: { unit: 'in', scale: 1 },
  ft: { unit: 'in', scale: 12 },
  foot: { unit: 'in', scale: 12 },
  feet: { unit: 'in', scale: 12 },
  "'": { unit: 'in', scale: 12 },
  '′': { unit: 'in', scale: 12 },
  '’': { unit: 'in', scale: 12 },
  '"': { unit: 'in', scale: 1 },
  '″': { unit: 'in', scale: 1 },
  '”': { unit: 'in', scale: 1 },
};

/** Whole or decimal number, then a fraction: `2 3/8` needs its space, or `21/8` could not be told from it. */
const FORM =
  /^(-?\d*[.,]?\d*(?=\s|$|[^\d/⁄])\s*)??(?:(\d+)\s*[/⁄]\s*(\d+)|([½¼¾⅛⅜⅝⅞⅓⅔]))?\s*([a-z]+|["″”'′’])?$/;

/**
 * Reads a length as makers type it: `60`, `6 cm`, `6,5 cm`, `2 3/8 in`, `2½"`.
 * A bare number is in `defaultUnit`. Never throws; what cannot be read comes back as a refusal.
 */
export function parseLength(text: string, defaultUnit: LengthUnit): ParsedLength {
  const value = readNumberAndUnit(text.trim().toLowerCase(), defaultUnit);
  if (!value) return { ok: false, refusal: { code: 'length_not_read', text } };
  return boundLength(value);
}

function readNumberAndUnit(text: string, defaultUnit: LengthUnit): Length | null {
  const match = FORM.exec(text);
  if (!match) return null;
  const [, whole = '', over, under, sign, unitWord] = match;
  const unit = unitWord === undefined ? { unit: defaultUnit, scale: 1 } : UNIT_WORDS[unitWord];
  const number = addFraction(whole.trim(), over, under, sign);
  if (!unit || number === null) return null;
  // 1.1 cm is 11 mm, not 11.000000000000002.
  return { value: Number((number * unit.scale).toPrecision(12)), unit: unit.unit };
}

function addFraction(
  whole: string,
  over: string | undefined,
  under: string | undefined,
  sign: string | undefined,
): number | null {
  const hasFraction = over !== undefined || sign !== undefined;
  if (!/\d/.test(whole)) return hasFraction && whole === '' ? readFraction(over, under, sign) : null;
  const base = Number(whole.replace(',', '.'));
  if (!hasFraction) return base;
  const fraction = readFraction(over, under, sign);
  return fraction === null || !Number.isInteger(base) ? null : base + fraction;
}

function readFraction(
  over: string | undefined,
  under: string | undefined,
  sign: string | undefined,
): number | null {
  if (sign !== undefined) return FRACTION_SIGNS[sign] ?? null;
  const denominator = Number(under);
  return denominator > 0 ? Number(over) / denominator : null;
}

/** Refuses what is not a size: nothing, less than nothing, or far too much. */
export function boundLength(length: Length): ParsedLength {
  const valueMm = toMm(length);
  if (!(valueMm > 0)) return { ok: false, refusal: { code: 'size_not_positive', valueMm } };
  if (valueMm > MAX_LENGTH_MM) {
    return { ok: false, refusal: { code: 'size_too_large', valueMm, limitMm: MAX_LENGTH_MM } };
  }
  return { ok: true, length };
}
