import type { Calibration } from './calibration.ts';
import type { Colours } from './showing.ts';
import type { Wool } from './wool.ts';

/** What a part needs to know of the rest of the pattern. */
export interface PartSurroundings {
  readonly wool: Wool;
  readonly calibration: Calibration;
  /** Wire that runs through one piece, mm³. */
  readonly wireMm3: number;
  /** Ends of one piece that stay loose: how many. */
  readonly looseEnds: number;
  /** What shows of the part that a patch is laid on. */
  readonly beneath: Colours;
}
