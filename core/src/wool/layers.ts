import type { Solid } from '../shapes/index.ts';
import type { CoatWeight } from './coat.ts';

/** How the finished volume is shared. Nothing is created: core and coat together fill the finished size. */
export interface Layers {
  readonly volumeCm3: number;
  readonly areaCm2: number;
  readonly densityGPerCm3: number;
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

/** @param coat null for a bare core */
export function shareVolume(solid: Solid, densityGPerCm3: number, coat: CoatWeight | null): Layers {
  const volumeCm3 = solid.volumeMm3 / 1000;
  const areaCm2 = solid.areaMm2 / 100;
  const wantedCoatG = coat ? (coat.arealGPerM2 * areaCm2) / 10_000 : 0;
  const isAllCoat = wantedCoatG >= volumeCm3 * densityGPerCm3;
  const coatG = isAllCoat ? volumeCm3 * densityGPerCm3 : wantedCoatG;
  const coreVolumeCm3 = isAllCoat ? 0 : volumeCm3 - coatG / densityGPerCm3;
  const coatThicknessMm = coat ? offsetThatLeaves(solid, coreVolumeCm3 * 1000) : 0;
  return {
    volumeCm3,
    areaCm2,
    densityGPerCm3,
    coreG: coreVolumeCm3 * densityGPerCm3,
    coreVolumeCm3,
    coatG,
    coatThicknessMm,
    isAllCoat,
    coreSolid: isAllCoat ? null : solid.inset(coatThicknessMm),
  };
}

/** Halvings of a depth of at most 1 m: well under a nanometre. */
const HALVINGS = 50;

/** The inward offset after which `volumeMm3` is left, by bisection: the volume falls steadily with depth. */
function offsetThatLeaves(solid: Solid, volumeMm3: number): number {
  let [shallow, deep] = [0, Math.max(solid.widthMm, solid.heightMm) / 2];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (shallow + deep) / 2;
    const left = solid.inset(middle)?.volumeMm3 ?? 0;
    if (left > volumeMm3) shallow = middle;
    else deep = middle;
  }
  return (shallow + deep) / 2;
}
