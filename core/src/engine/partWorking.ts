import type { Part } from '../pattern/index.ts';
import type { Solid } from '../shapes/index.ts';
import type { Layers } from './layers.ts';
import type { RollUp } from './rollUp.ts';
import type { UseWorking } from './useWorking.ts';

/** One part worked out on its own. */
export interface PartWorking {
  readonly part: Part;
  readonly uses: readonly UseWorking[];
  readonly solid: Solid | null;
  readonly layers: Layers | null;
  readonly rollUp: RollUp | null;
}
