export const FIRMNESSES = ['airy', 'springy', 'firm', 'solid'] as const;
export type Firmness = (typeof FIRMNESSES)[number];

/** Finished density by the thumb test, g/cm³. Lanakit's own defaults, uncalibrated. */
export const FINISHED_DENSITY_G_PER_CM3: Readonly<Record<Firmness, number>> = {
  airy: 0.06,
  springy: 0.1,
  firm: 0.15,
  solid: 0.2,
};

export const PACKINGS = ['loft', 'loose', 'rolled', 'tight'] as const;
export type Packing = (typeof PACKINGS)[number];

/** Density before felting, g/cm³: as torn from the batt, loose handful, rolled by hand, rolled as tight as it goes. */
export const PACKED_DENSITY_G_PER_CM3: Readonly<Record<Packing, number>> = {
  loft: 0.011,
  loose: 0.028,
  rolled: 0.04,
  tight: 0.055,
};
