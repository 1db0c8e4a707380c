/** Standard deviations of the log of a calculated mass, as fractions. Lanakit's own defaults, uncalibrated. */
export const SIGMA = {
  /** One density error for all parts of a fibre. */
  coreShared: 0.2,
  coreOwn: 0.1,
  /** One hiding error for all coats of a fibre. */
  coatShared: 0.25,
  coatOwn: 0.1,
} as const;
