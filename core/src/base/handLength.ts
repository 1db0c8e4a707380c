import { type Length, type LengthUnit, MM_PER_INCH } from './length.ts';

/** What a hand can set by pulling: half a millimetre, or a thirty-second of an inch. */
const STEP: Readonly<Record<LengthUnit, number>> = { mm: 0.5, in: 1 / 32 };

/** Pulled millimetres as a length of its unit, in whole steps of a hand. @param leastSteps 0 where nought is meant */
export function handLength(mm: number, unit: LengthUnit, leastSteps: 0 | 1): Length {
  const steps = Math.round((unit === 'mm' ? mm : mm / MM_PER_INCH) / STEP[unit]);
  return { value: Math.max(leastSteps, steps) * STEP[unit], unit };
}
