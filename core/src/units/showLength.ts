import { MM_PER_INCH, type Length, type LengthUnit } from './length.ts';

/** Under this, inches mislead (1⁄16 in is 1.6 mm): always millimetres. */
const INCHES_FROM_MM = 10;

const SIXTEENTH_SIGNS: Readonly<Record<number, string>> = {
  1: '1⁄16', 2: '⅛', 3: '3⁄16', 4: '¼', 5: '5⁄16', 6: '⅜', 7: '7⁄16', 8: '½',
  9: '9⁄16', 10: '⅝', 11: '11⁄16', 12: '¾', 13: '13⁄16', 14: '⅞', 15: '15⁄16',
}; // prettier-ignore

/** A derived size for reading: whole millimetres (one decimal under 10), or inches to 1⁄16 from 10 mm up. */
export function showSizeMm(sizeMm: number, unit: LengthUnit): string {
  if (unit === 'in' && sizeMm >= INCHES_FROM_MM) return `${showInches(sizeMm / MM_PER_INCH)} in`;
  return `${showMm(sizeMm)} mm`;
}

/** Whole millimetres, one decimal under 10; what is finer than that keeps its first digit: never 0 for something. */
const showMm = (mm: number): string =>
  mm > 0 && mm < 0.05 ? String(Number(mm.toPrecision(1))) : showNumber(mm, mm < INCHES_FROM_MM ? 1 : 0);

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
export function showSizesMm(sizesMm: readonly number[], unit: LengthUnit): string {
  const inInches = unit === 'in' && Math.min(...sizesMm) >= INCHES_FROM_MM;
  const texts = sizesMm.map((mm) => (inInches ? showInches(mm / MM_PER_INCH) : showMm(mm)));
  return `${texts.join(' × ')} ${inInches ? 'in' : 'mm'}`;
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
