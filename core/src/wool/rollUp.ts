import type { Packing } from '../fibre/index.ts';
import type { Solid } from '../shapes/index.ts';

/** What is folded in at the edge of a flat piece, each side. */
export const FLAT_MARGIN_MM = 8;

/** What to roll or lay out before the first stab. */
export type RollUp =
  | {
      readonly kind: 'rolled';
      readonly solid: Solid;
      readonly packing: Packing;
      readonly packedGPerCm3: number;
      readonly growth: number;
    }
  | {
      readonly kind: 'laid';
      /** What its outline is like; it is laid out larger. */
      readonly outline: Solid;
      /** Outline with the margin that is folded in. */
      readonly lengthMm: number;
      readonly widthMm: number;
      /** How high the loose wool stands before it is pressed. */
      readonly depthMm: number;
      readonly packing: Packing;
      readonly packedGPerCm3: number;
    };

/**
 * The size to roll a core up to. `q`, finished over packed density, is by how much its volume must shrink:
 * round pieces shrink alike on every axis, rolls hardly in length (q^0.15) and mostly across (q^0.425); on a wire the
 * length stays.
 * @param core the core alone, without its coat
 */
export function rollUpSize(core: Solid, coreG: number, packed: Packed): RollUp {
  const { packing, q } = packed;
  if (core.family === 'flat') return layOut(core, coreG / packed.gPerCm3, packed);
  const how = { packing, packedGPerCm3: packed.gPerCm3, growth: q };
  if (core.rolled) return { kind: 'rolled', solid: core.rolled(q), ...how };
  const [along, across] = core.family === 'round' ? [q ** (1 / 3), q ** (1 / 3)] : [q ** 0.15, q ** 0.425];
  return { kind: 'rolled', solid: core.scaled(along, across), ...how };
}

/** How a core is packed before felting. */
export interface Packed {
  readonly packing: Packing;
  readonly gPerCm3: number;
  /** Finished over packed density. */
  readonly q: number;
}

/** Cores and rolls are rolled tight; flat pieces are laid loose. */
export const usualPacking = (core: Solid): Packing => (core.family === 'flat' ? 'loose' : 'tight');

function layOut(core: Solid, volumeCm3: number, { packing, gPerCm3 }: Packed): RollUp {
  const lengthMm = core.heightMm + 2 * FLAT_MARGIN_MM;
  const widthMm = core.widthMm + 2 * FLAT_MARGIN_MM;
  // The face with its margin: as much larger as the box is, for whatever outline.
  const faceMm2 =
    (core.faceMm2 ?? core.widthMm * core.heightMm) * ((lengthMm * widthMm) / (core.heightMm * core.widthMm));
  return {
    kind: 'laid',
    outline: core,
    lengthMm,
    widthMm,
    depthMm: (volumeCm3 * 1000) / faceMm2,
    packing,
    packedGPerCm3: gPerCm3,
  };
}

/** Across the rolled or laid piece, mm²: what a loose end of it is made of. */
export const sectionMm2 = (rollUp: RollUp): number =>
  rollUp.kind === 'laid' ? rollUp.widthMm * rollUp.depthMm : (Math.PI / 4) * rollUp.solid.widthMm ** 2;
