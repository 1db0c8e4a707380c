/** Standard deviations of the log of a mass, as fractions. Lanakit's own defaults, uncalibrated. */
export const SIGMA = {
  /** One maker's firmness, for everything felted in a figure. */
  common: 0.15,
  /** The same once a whole make has been on the scale. */
  commonOfWeighedMake: 0.05,
  /** One density error for all parts of a fibre. */
  coreShared: 0.12,
  coreOwn: 0.1,
  /** One hiding error for all coats of a fibre. */
  coatShared: 0.25,
  coatOwn: 0.1,
  /** How thick hair is laid differs from hand to hand. */
  hairShared: 0.2,
  /** How tightly one maker packs wool before felting it. */
  packing: 0.15,
  weighed: 0.02,
  /** A single number an author states. */
  stated: 0.1,
  /** Through a loft or a staple that is only our default. */
  unmeasured: 0.3,
  /** Fingers whose measure has no spread yet. */
  handUnmeasured: 0.35,
  /** One lot of a fibre against another. */
  lot: 0.08,
} as const;

/** Standard deviations of the log of minutes. Lanakit's own defaults, uncalibrated. */
export const MINUTES_SIGMA = {
  /** One person against others of the same practice. */
  person: 0.25,
  /** A kind of act against how long its author says. */
  act: 0.2,
  /** A degree of practice against what is usual for it. */
  skill: 0.2,
  /** Each step's own. */
  step: 0.3,
} as const;
