import type { Length } from './length.ts';
import { boundLength } from './parseLength.ts';
import { wholeDown, wholeUp } from './rounding.ts';

/** One press of an arrow: a millimetre, or a sixteenth of an inch. */
const STEP: Readonly<Record<Length['unit'], number>> = { mm: 1, in: 1 / 16 };

/**
 * A length so many steps longer (or, under nought, shorter), kept in its own unit and brought onto the next whole step:
 * 13.4 mm goes to 14, then 15. The same length where it could not be any longer or shorter.
 */
export function nudgeLength(length: Length, steps: number): Length {
  const step = STEP[length.unit];
  const inSteps = length.value / step;
  const from = steps > 0 ? wholeDown(inSteps) : wholeUp(inSteps);
  const bounded = boundLength({ value: Number(((from + steps) * step).toPrecision(12)), unit: length.unit });
  return bounded.ok ? bounded.length : length;
}
