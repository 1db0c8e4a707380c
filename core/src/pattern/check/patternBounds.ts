import { GAUGE_BOUNDS } from './checkSteps.ts';

/** What a pattern’s numbers lie between; outside them it is a slip of the keyboard. */
export const PATTERN_BOUNDS = {
  count: { min: 1, max: 500 },
  gauge: GAUGE_BOUNDS,
  minutes: { min: 0, max: 1440 },
} as const;
