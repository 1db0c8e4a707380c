import { showNumber, type ExactCut, type LengthUnit } from '@lanakit/core';

/** A cut length or size for scissors: centimetres, or inches. */
export function cutWords(cut: ExactCut, unit: LengthUnit): string {
  const long = length(cut.lengthMm, unit);
  return cut.kind === 'length' ? long : `${long} × ${length(cut.widthMm, unit)}`;
}

/** Up to the next quarter inch, as millimetres are up to the next five. */
const length = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${showNumber(mm / 10, 1)} cm` : `${showNumber(Math.ceil(mm / 6.35 - 1e-9) / 4, 2)} in`;
