import { type Length, type LengthUnit, MM_PER_INCH } from './length.ts';

/** Under this a sixteenth of an inch is too coarse: thirty-seconds. */
const SIXTEENTHS_FROM_MM = 10;

const SIXTEENTH_SIGNS: Readonly<Record<number, string>> = {
  1: '1⁄16', 2: '⅛', 3: '3⁄16', 4: '¼', 5: '5⁄16', 6: '⅜', 7: '7⁄16', 8: '½',
  9: '9⁄16', 10: '⅝', 11: '11⁄16', 12: '¾', 13: '13⁄16', 14: '⅞', 15: '15⁄16',
}; // prettier-ignore

/** A derived size for reading: whole millimetres (one decimal under 10), or inches to 1⁄16 (1⁄32 under 10 mm). */
export const showSizeMm = (sizeMm: number, unit: LengthUnit): string => `${numberOf(sizeMm, unit)} ${unit}`;

const numberOf = (sizeMm: number, unit: LengthUnit): string =>
  unit === 'in' ? showFineInches(sizeMm) : showMm(sizeMm);

/** One decimal under this, mm. */
const WHOLE_FROM_MM = 10;

/** Whole millimetres, one decimal under 10; what is finer than that keeps its first digit: never 0 for something. */
const showMm = (mm: number): string =>
  mm > 0 && mm < 0.05 ? String(Number(mm.toPrecision(1))) : showNumber(mm, mm < WHOLE_FROM_MM ? 1 : 0);

/** To a sixteenth; small ones to a thirty-second, and what is finer than that by its first digit: never 0 for something. */
function showFineInches(sizeMm: number): string {
  const inches = sizeMm / MM_PER_INCH;
  if (sizeMm >= SIXTEENTHS_FROM_MM || sizeMm <= 0) return showInches(inches);
  const halves = Math.round(inches * 32);
  if (halves === 0) return String(Number(inches.toPrecision(1)));
  return halves % 2 === 0 ? showInches(halves / 32) : `${halves}⁄32`;
}

/** Inches to the nearest sixteenth, as a maker reads them: `2⅜`. */
export function showInches(inches: number): string {
  const sixteenths = Math.round(inches * 16);
  const whole = Math.floor(sixteenths / 16);
  const sign = SIXTEENTH_SIGNS[sixteenths % 16] ?? '';
  if (whole === 0 && sign !== '') return sign;
  // A fraction of several characters needs its space: 12 3⁄16, not 123⁄16.
  return sign.length > 1 ? `${whole} ${sign}` : `${whole}${sign}`;
}

/**
 * The text a size field shows for a stored length: sixteenths as fractions, anything else as the shortest decimal.
 * What nobody types, a size that another was scaled to, shows to a hundredth of a millimetre.
 */
export function showTypedLength(length: Length): string {
  if (length.unit === 'mm') return `${showNumber(length.value, 2)} mm`;
  const isSixteenths = Number.isInteger(length.value * 16);
  return `${isSixteenths ? showInches(length.value) : showNumber(length.value, 3)} in`;
}

/** Rounded to `decimals`, without trailing zeros. */
export function showNumber(value: number, decimals: number): string {
  return String(Number(value.toFixed(decimals)));
}

/** Several sizes of one thing with one unit at the end: `82 × 60 mm`. */
export const showSizesMm = (sizesMm: readonly number[], unit: LengthUnit): string =>
  `${sizesMm.map((sizeMm) => numberOf(sizeMm, unit)).join(' × ')} ${unit}`;

/** In the pattern’s unit, and where both are wanted in the other one behind it: `82 × 60 mm (3¼ × 2⅜ in)`. */
export function showSizesIn(sizesMm: readonly number[], { lengthUnit, showsBothUnits }: UnitsShown): string {
  const words = showSizesMm(sizesMm, lengthUnit);
  return showsBothUnits ? `${words} (${showSizesMm(sizesMm, lengthUnit === 'mm' ? 'in' : 'mm')})` : words;
}

/** What a pattern says of the units its sizes are to be read in. */
export interface UnitsShown {
  readonly lengthUnit: LengthUnit;
  readonly showsBothUnits: boolean;
}

/** The stored sizes of one thing for reading, in their own unit where they share one, to a tenth of a millimetre. */
export function showLengths(lengths: readonly Length[]): string {
  const unit = lengths[0]?.unit ?? 'mm';
  if (!lengths.every((length) => length.unit === unit)) return lengths.map(showTypedLength).join(' × ');
  const texts = lengths.map((length) =>
    length.unit === 'mm' ? showNumber(length.value, 1) : showTypedLength(length).replace(/ in$/, ''),
  );
  return `${texts.join(' × ')} ${unit}`;
}
