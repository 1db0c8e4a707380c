import { Type, type Static } from '@sinclair/typebox';

/** A length exactly as the maker gave it. Millimetres are derived on use, so a size never has two values. */
export const Length = Type.Object(
  { value: Type.Number(), unit: Type.Union([Type.Literal('mm'), Type.Literal('in')]) },
  { additionalProperties: false },
);
export type Length = Static<typeof Length>;
export type LengthUnit = Length['unit'];

/** Millimetres in one inch, exact by definition (1959). */
export const MM_PER_INCH = 25.4;

/** The largest size a part or figure may have. Larger is a slip of the keyboard, not felting. */
export const MAX_LENGTH_MM = 2000;

/** The one converter. */
export function toMm(length: Length): number {
  return length.unit === 'mm' ? length.value : length.value * MM_PER_INCH;
}
