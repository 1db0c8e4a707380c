import type { Solid } from '../shapes/index.ts';
import type { Packing } from '../shelf/index.ts';

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
      /** All round, folded in. */
      readonly marginMm: number;
      /** In so many thin layers, each a share of the depth; null: as the maker likes. */
      readonly thinLayers: number | null;
      readonly packing: Packing;
      readonly packedGPerCm3: number;
    };

/**
 * The size to roll a core up to. `q`, finished over packed density, is by how much its volume must shrink:
 * round pieces shrink alike on every axis, rolls hardly in length (q^0.15) and across by what is left, so that what is
 * rolled holds the core's wool whatever its ends are like; on a wire the length stays.
 * @param core the core alone, without its coat
 */
export function rollUpSize(core: Solid, coreG: number, packed: Packed): RollUp {
  const { packing, q } = packed;
  if (core.family === 'flat') return layOut(core, coreG / packed.gPerCm3, packed);
  const how = { packing, packedGPerCm3: packed.gPerCm3, growth: q };
  return { kind: 'rolled', solid: grownBy(core, q), ...how };
}

/** A roll grows so little along, however much it shrinks across. */
const ROLL_ALONG = 0.15;

/** The solid of `q` times the volume, as it grows: round ones alike on every axis, rolls mostly across. */
function grownBy(core: Solid, q: number): Solid {
  if (core.rolled) return core.rolled(q);
  if (core.family !== 'roll') return core.scaled(q ** (1 / 3), q ** (1 / 3));
  const along = q ** ROLL_ALONG;
  return core.scaled(along, acrossFor(core, along, q * core.volumeMm3));
}

/** Enough for a double’s digits. */
const HALVINGS = 60;

/** By how much a roll must be thicker to hold a volume once it is so much longer; where its ends are flat, q^0.425. */
function acrossFor(core: Solid, along: number, volumeMm3: number): number {
  const flatEnded = Math.sqrt(volumeMm3 / core.volumeMm3 / along);
  if (Math.abs(core.scaled(along, flatEnded).volumeMm3 / volumeMm3 - 1) < 1e-12) return flatEnded;
  let [thin, thick] = [flatEnded / 4, flatEnded * 4];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (thin + thick) / 2;
    if (core.scaled(along, middle).volumeMm3 < volumeMm3) thin = middle;
    else thick = middle;
  }
  return (thin + thick) / 2;
}

/** The `q` at which a solid is so many times as wide as felted: `grownBy` the other way round. */
export function growthFromAcross(core: Solid, ratio: number): number {
  if (core.family !== 'roll') return ratio ** 3;
  let [low, high] = [1e-3, 1e3];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = Math.sqrt(low * high);
    if (grownBy(core, middle).widthMm < ratio * core.widthMm) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}

/** How a core is packed before felting. */
export interface Packed {
  readonly packing: Packing;
  readonly gPerCm3: number;
  /** Finished over packed density. */
  readonly q: number;
  /** Folded in all round a flat piece, mm; absent: 8. */
  readonly marginMm?: number;
  /** In which a flat piece is laid; absent: the maker's choice. */
  readonly thinLayers?: number | null;
}

/** Cores and rolls are rolled tight; flat pieces are laid loose. */
export const usualPacking = (core: Solid): Packing => (core.family === 'flat' ? 'loose' : 'tight');

function layOut(
  core: Solid,
  volumeCm3: number,
  { packing, gPerCm3, marginMm = FLAT_MARGIN_MM, thinLayers = null }: Packed,
): RollUp {
  const lengthMm = core.heightMm + 2 * marginMm;
  const widthMm = core.widthMm + 2 * marginMm;
  // The face with its margin: as much larger as the box is, for whatever outline.
  const faceMm2 =
    (core.faceMm2 ?? core.widthMm * core.heightMm) * ((lengthMm * widthMm) / (core.heightMm * core.widthMm));
  return {
    kind: 'laid',
    outline: core,
    lengthMm,
    widthMm,
    depthMm: (volumeCm3 * 1000) / faceMm2,
    marginMm,
    thinLayers,
    packing,
    packedGPerCm3: gPerCm3,
  };
}

/** Across the rolled or laid piece, mm²: what a loose end of it is made of. */
export const sectionMm2 = (rollUp: RollUp): number =>
  rollUp.kind === 'laid' ? rollUp.widthMm * rollUp.depthMm : (Math.PI / 4) * rollUp.solid.widthMm ** 2;
