import { PACKED_DENSITY_G_PER_CM3, type Packing } from '../fibre/index.ts';
import type { Solid } from '../shapes/index.ts';

/** What is folded in at the edge of a flat piece, each side. */
export const FLAT_MARGIN_MM = 8;

/** What to roll or lay out before the first stab. */
export type RollUp =
  | { readonly kind: 'rolled'; readonly solid: Solid; readonly packing: Packing; readonly growth: number }
  | {
      readonly kind: 'laid';
      /** Outline with the margin that is folded in. */
      readonly lengthMm: number;
      readonly widthMm: number;
      /** How high the loose wool stands before it is pressed. */
      readonly depthMm: number;
      readonly packing: Packing;
    };

/**
 * The size to roll a core up to. `q`, finished over packed density, is by how much its volume must shrink:
 * round pieces shrink alike on every axis, rolls hardly in length (q^0.15) and mostly across (q^0.425).
 * @param core the core alone, without its coat
 */
export function rollUpSize(core: Solid, coreG: number, densityGPerCm3: number): RollUp {
  const packing = defaultPacking(core);
  const packedGPerCm3 = PACKED_DENSITY_G_PER_CM3[packing];
  const q = densityGPerCm3 / packedGPerCm3;
  if (core.family === 'flat') return layOut(core, coreG / packedGPerCm3, packing);
  const [along, across] = core.family === 'round' ? [q ** (1 / 3), q ** (1 / 3)] : [q ** 0.15, q ** 0.425];
  return { kind: 'rolled', solid: core.scaled(along, across), packing, growth: q };
}

/** Cores and rolls are rolled tight; flat pieces are laid loose. */
const defaultPacking = (core: Solid): Packing => (core.family === 'flat' ? 'loose' : 'tight');

function layOut(core: Solid, volumeCm3: number, packing: Packing): RollUp {
  const lengthMm = core.heightMm + 2 * FLAT_MARGIN_MM;
  const widthMm = core.widthMm + 2 * FLAT_MARGIN_MM;
  const faceMm2 = (Math.PI / 4) * lengthMm * widthMm;
  return { kind: 'laid', lengthMm, widthMm, depthMm: (volumeCm3 * 1000) / faceMm2, packing };
}
