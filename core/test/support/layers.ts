import type { LayerRequest } from '../../src/engine/index.ts';

/** A coat over all of a piece, felted as dense as a firm core. */
export const coatOf = (arealGPerM2: number, useId = 'coat'): LayerRequest => ({
  useId,
  gPerCm3: 0.15,
  needsSurface: true,
  coveredMm2: (mm2) => mm2,
  wantedG: (mm2) => (arealGPerM2 * mm2) / 1e6,
});
