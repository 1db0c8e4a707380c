import type { Part } from '../pattern/index.ts';
import type { Solid } from '../shapes/index.ts';
import type { Calibration } from './calibration.ts';
import type { Layers } from './layers.ts';
import type { RollUp } from './rollUp.ts';
import type { Colours } from './showing.ts';
import type { UseWorking } from './useWorking.ts';
import type { Wool } from './wool.ts';

/** One part worked out on its own. */
export interface PartWorking {
  readonly part: Part;
  readonly uses: readonly UseWorking[];
  readonly solid: Solid | null;
  readonly layers: Layers | null;
  readonly rollUp: RollUp | null;
}

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
