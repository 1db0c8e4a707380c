/** Standard deviations of the log of a mass, as fractions. Lanakit's own defaults, uncalibrated. */
export const SIGMA = {
  /** One density error for all parts of a fibre. */
  coreShared: 0.2,
  coreOwn: 0.1,
  /** One hiding error for all coats of a fibre. */
  coatShared: 0.25,
  coatOwn: 0.1,
  /** How thick hair is laid differs from hand to hand. */
  hairShared: 0.2,
  weighed: 0.02,
  /** A single number an author states. */
  stated: 0.1,
  /** Fingers whose measure has no spread yet. */
  handUnmeasured: 0.35,
} as const;
