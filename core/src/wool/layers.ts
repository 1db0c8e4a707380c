import type { Solid } from '../shapes/index.ts';
import type { CoatWeight } from './coat.ts';

/** How the finished volume is shared. Nothing is created: core and coat together fill the finished size. */
export interface Layers {
  readonly volumeCm3: number;
  readonly areaCm2: number;
  readonly coreGPerCm3: number;
  readonly coatGPerCm3: number;
  readonly coreG: number;
  readonly coreVolumeCm3: number;
  readonly coatG: number;
  /** How far the coat reaches inward from the finished surface. */
  readonly coatThicknessMm: number;
  /** The coat alone fills the piece; there is no core to roll. */
  readonly isAllCoat: boolean;
  /** The core's own shape before it is coated; null when there is none. */
  readonly coreSolid: Solid | null;
}

/** Finished densities of the two layers, g/cm³: one firmness, but a fibre may felt denser than another. */
export interface LayerDensities {
  readonly coreGPerCm3: number;
  readonly coatGPerCm3: number;
}

/** @param coat null for a bare core */
export function shareVolume(
  solid: Solid,
  { coreGPerCm3, coatGPerCm3 }: LayerDensities,
  coat: CoatWeight | null,
): Layers {
  const volumeCm3 = solid.volumeMm3 / 1000;
  const areaCm2 = solid.areaMm2 / 100;
  const wantedCoatG = coat ? (coat.arealGPerM2 * areaCm2) / 10_000 : 0;
  const isAllCoat = wantedCoatG >= volumeCm3 * coatGPerCm3;
  const coatG = isAllCoat ? volumeCm3 * coatGPerCm3 : wantedCoatG;
  const coreVolumeCm3 = isAllCoat ? 0 : volumeCm3 - coatG / coatGPerCm3;
  const coatThicknessMm = coat ? offsetThatLeaves(solid, coreVolumeCm3 * 1000) : 0;
  return {
    volumeCm3,
    areaCm2,
    coreGPerCm3,
    coatGPerCm3,
    coreG: coreVolumeCm3 * coreGPerCm3,
    coreVolumeCm3,
    coatG,
    coatThicknessMm,
    isAllCoat,
    coreSolid: isAllCoat ? null : solid.inset(coatThicknessMm),
  };
}

/** Enough for any shape here; the search usually ends after eight. */
const MOST_STEPS = 60;

/**
 * The inward offset after which `volumeMm3` is left. The volume falls steadily with depth, so a false position
 * between too shallow and too deep closes in on it (Illinois: an end that stays twice has its error halved).
 */
function offsetThatLeaves(solid: Solid, volumeMm3: number): number {
  const excessAt = (depthMm: number) => (solid.inset(depthMm)?.volumeMm3 ?? 0) - volumeMm3;
  let [shallow, deep] = [0, Math.min(...solid.sizesMm.filter((size) => size > 0)) / 2];
  let [excess, lack] = [solid.volumeMm3 - volumeMm3, excessAt(deep)];
  // A slanted side may leave something at half the thinnest size: go on until nothing is left.
  while (lack > 0) [shallow, excess, deep, lack] = [deep, lack, deep * 2, excessAt(deep * 2)];
  const toleranceMm3 = solid.volumeMm3 * 1e-9;
  let lastSide = 0;
  for (let i = 0; i < MOST_STEPS; i++) {
    const depthMm = (shallow * lack - deep * excess) / (lack - excess);
    const found = excessAt(depthMm);
    if (Math.abs(found) <= toleranceMm3) return depthMm;
    if (found > 0) {
      [shallow, excess] = [depthMm, found];
      if (lastSide === 1) lack /= 2;
      lastSide = 1;
    } else {
      [deep, lack] = [depthMm, found];
      if (lastSide === -1) excess /= 2;
      lastSide = -1;
    }
  }
  return shallow;
}
