/**
 * How far a sum of floating-point terms may lie from the whole number it stands for: 0.1 × 10 is 0.9999999999999999, and
 * 9 / (1 − 0.9) is 90.00000000000001, which no one should buy, pay or cut one more for.
 */
const RELATIVE_ERROR = 1e-9;

const errorOf = (value: number): number => RELATIVE_ERROR * Math.max(1, Math.abs(value));

/** The least whole number that is not less, but for the error of arithmetic. Never −0. */
export const wholeUp = (value: number): number => Math.ceil(value - errorOf(value)) + 0;

/** The largest whole number that is not more, but for the error of arithmetic. Never −0. */
export const wholeDown = (value: number): number => Math.floor(value + errorOf(value)) + 0;
