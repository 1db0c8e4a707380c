import type { Solid } from '../shapes/index.ts';

/** One layer as it is asked for, from the inside out. */
export interface LayerRequest {
  readonly useId: string;
  /** Grams wanted on a surface so large. */
  readonly wantedG: (surfaceMm2: number) => number;
  readonly gPerCm3: number;
  /** Which part of the surface it lies on; its thickness is over that. */
  readonly coveredMm2: (surfaceMm2: number) => number;
  /** Its mass depends on the surface beneath the layers over it. */
  readonly needsSurface: boolean;
}

/** One layer as it came out. */
interface LayerShare {
  readonly useId: string;
  readonly massG: number;
  readonly volumeCm3: number;
  readonly gPerCm3: number;
  /** The surface it lies on. */
  readonly coveredCm2: number;
  readonly thicknessMm: number;
  /** There was less room than it wanted. */
  readonly isCut: boolean;
}

/** How the finished volume is shared. Nothing is created: core, layers and inserts together fill the finished size. */
export interface Layers {
  readonly volumeCm3: number;
  readonly areaCm2: number;
  /** Wire, balls, beads: no wool. */
  readonly insertsCm3: number;
  /** The inserts alone are more than the piece. */
  readonly isOverfull: boolean;
  readonly coreGPerCm3: number;
  readonly coreG: number;
  readonly coreVolumeCm3: number;
  /** The layers alone fill the piece; there is no core to roll. */
  readonly isAllCoat: boolean;
  /** From the inside out. */
  readonly shares: readonly LayerShare[];
  /** The core's own shape before anything is laid over it, inserts within; null when there is none. */
  readonly coreSolid: Solid | null;
  /** The piece once the first `count` layers are on it; null when nothing is there yet. */
  readonly solidAfter: (count: number) => Solid | null;
}

/**
 * Shares a finished volume among its layers, from the outside in: each takes what it wants of what is left.
 * @param insertsMm3 what is not wool
 * @param requests from the inside out
 */
export function shareVolume(
  solid: Solid,
  coreGPerCm3: number,
  insertsMm3: number,
  requests: readonly LayerRequest[],
): Layers {
  let leftMm3 = Math.max(0, solid.volumeMm3 - insertsMm3);
  let surface: Solid | null = solid;
  const innerMm3: number[] = [];
  const shares = [...requests].reverse().map((request) => {
    if (request.needsSurface && surface === null) surface = solidLeaving(solid, leftMm3 + insertsMm3);
    const surfaceMm2 = request.needsSurface && surface ? surface.areaMm2 : 0;
    const share = shareOf(request, surfaceMm2, leftMm3);
    leftMm3 = share.isCut ? 0 : leftMm3 - share.volumeCm3 * 1000;
    innerMm3.push(leftMm3 + insertsMm3);
    if (share.volumeCm3 > 0) surface = null;
    return share;
  });
  const isAllCoat = requests.length > 0 && leftMm3 <= 0;
  const coreVolumeCm3 = leftMm3 / 1000;
  const inner = innerMm3.reverse();
  return {
    volumeCm3: solid.volumeMm3 / 1000,
    areaCm2: solid.areaMm2 / 100,
    insertsCm3: insertsMm3 / 1000,
    isOverfull: insertsMm3 > solid.volumeMm3,
    coreGPerCm3,
    coreG: coreVolumeCm3 * coreGPerCm3,
    coreVolumeCm3,
    isAllCoat,
    shares: shares.reverse(),
    coreSolid: isAllCoat || insertsMm3 > solid.volumeMm3 ? null : solidLeaving(solid, leftMm3 + insertsMm3),
    solidAfter: (count) => (count >= requests.length ? solid : solidLeaving(solid, inner[count] ?? 0)),
  };
}

function shareOf(request: LayerRequest, surfaceMm2: number, leftMm3: number): LayerShare {
  const { useId, gPerCm3 } = request;
  const wantedG = request.wantedG(surfaceMm2);
  const wantedMm3 = (wantedG / gPerCm3) * 1000;
  const isCut = wantedMm3 > leftMm3;
  const volumeMm3 = isCut ? leftMm3 : wantedMm3;
  const coveredMm2 = request.coveredMm2(surfaceMm2);
  return {
    useId,
    gPerCm3,
    massG: isCut ? (leftMm3 * gPerCm3) / 1000 : wantedG,
    volumeCm3: volumeMm3 / 1000,
    coveredCm2: coveredMm2 / 100,
    thicknessMm: thicknessOf(volumeMm3, coveredMm2),
    isCut,
  };
}

/** Over a part of a surface, which is nearly flat, volume over area. Over all of it `solidAfter` tells better. */
const thicknessOf = (volumeMm3: number, coveredMm2: number): number =>
  coveredMm2 > 0 ? volumeMm3 / coveredMm2 : 0;

/** The parallel solid inside `solid` that has this volume; itself where that is all of it, null for nothing. */
function solidLeaving(solid: Solid, volumeMm3: number): Solid | null {
  if (volumeMm3 <= 0) return null;
  if (volumeMm3 >= solid.volumeMm3) return solid;
  return solid.inset(offsetThatLeaves(solid, volumeMm3));
}

/** Enough for any shape here; the search usually ends after eight. */
const MOST_STEPS = 60;

/**
 * The inward offset after which `volumeMm3` is left, mm. The volume falls steadily with depth, so a false position
 * between too shallow and too deep closes in on it (Illinois: an end that stays twice has its error halved).
 */
function offsetThatLeaves(solid: Solid, volumeMm3: number): number {
  const leftAt = solid.insetVolumeMm3 ?? ((depthMm: number) => solid.inset(depthMm)?.volumeMm3 ?? 0);
  const excessAt = (depthMm: number) => leftAt(depthMm) - volumeMm3;
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
