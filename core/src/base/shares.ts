/** A fraction as a maker types it, per cent, without the noise of binary thirds: 0.07 is 7. */
export const percentOf = (fraction: number): number => Number((fraction * 100).toFixed(2));

/** Bounds of a fraction, as they are typed. */
export const percentBounds = ({ min, max }: { readonly min: number; readonly max: number }) => ({
  min: percentOf(min),
  max: percentOf(max),
});

export const fractionOf = (percent: number): number => percent / 100;

/** Money as typed (4.20) from integer minor units (420), and back. */
export const majorOf = (minor: number): number => minor / 100;

export const minorOf = (major: number): number => Math.round(major * 100);

/** A price so many per cent dearer (or, under nought, cheaper), in whole minor units, never under nothing. */
export const repriced = (minor: number, percent: number): number =>
  Math.max(0, Math.round(minor * (1 + percent / 100)));
