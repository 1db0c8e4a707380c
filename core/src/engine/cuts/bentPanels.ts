/** A strip rolled up is compressed by so much: the limb comes out thinner than its layers add up to. */
const ROLL_COMPRESSION = 1.15;

/**
 * Sheet that is bent, folded or rolled into shape, both ways: from the shape to what is cut, and from what is cut to the
 * shape it comes to. All sizes mm; null where what is asked for is not there.
 */

/** A straight panel bent to a tube: its length is the round and what overlaps. */
export const tubePanelMm = (acrossMm: number, overlapMm: number): number => Math.PI * acrossMm + overlapMm;
export function tubeAcrossMm(panelMm: number, overlapMm: number): number | null {
  return panelMm > overlapMm ? (panelMm - overlapMm) / Math.PI : null;
}

/** A piece of a ring: what is between two arcs about one middle. */
export interface RingSector {
  /** Along the straight edges. */
  readonly slantMm: number;
  readonly innerMm: number;
  readonly outerMm: number;
  readonly angleDeg: number;
}

/** A cone or what is cut off one: across at both ends, and how high it stands. */
export interface Frustum {
  readonly bottomMm: number;
  readonly topMm: number;
  readonly heightMm: number;
}

/** Laid flat; null: as wide at both ends, it is a tube. Source: the development of a cone. */
export function sectorOf({ bottomMm, topMm, heightMm }: Frustum): RingSector | null {
  const [narrow, wide] = [Math.min(bottomMm, topMm), Math.max(bottomMm, topMm)];
  const difference = wide - narrow;
  if (difference < 1e-6 * wide) return null;
  const slantMm = Math.hypot(heightMm, difference / 2);
  const outerMm = (slantMm * wide) / difference;
  return { slantMm, innerMm: outerMm - slantMm, outerMm, angleDeg: (180 * wide) / outerMm };
}

/** What a piece of a ring comes to, bent until its edges meet, its wider end on top; null: it does not close to a cone. */
export function frustumOf({ innerMm, outerMm, angleDeg }: Omit<RingSector, 'slantMm'>): Frustum | null {
  const half = ((outerMm - innerMm) * angleDeg) / 360;
  const slantMm = outerMm - innerMm;
  const height = slantMm ** 2 - half ** 2;
  return height > 0
    ? {
        bottomMm: (innerMm * angleDeg) / 180,
        topMm: (outerMm * angleDeg) / 180,
        heightMm: Math.sqrt(height),
      }
    : null;
}

/** A square whose corners are notched, its sides folded up: as wide as is left, as high as the notch. */
export const pouchSideMm = (baseMm: number, wallMm: number): number => baseMm + 2 * wallMm;
export const pouchBaseMm = (sideMm: number, wallMm: number): number | null =>
  sideMm > 2 * wallMm ? sideMm - 2 * wallMm : null;
export const pouchWallMm = (sideMm: number, baseMm: number): number | null =>
  sideMm > baseMm ? (sideMm - baseMm) / 2 : null;

/** A half-round handle, and what is tucked in at each end. */
export const handleLengthMm = (acrossMm: number, tuckMm: number): number =>
  (Math.PI * acrossMm) / 2 + 2 * tuckMm;
export function handleAcrossMm(lengthMm: number, tuckMm: number): number | null {
  return lengthMm > 2 * tuckMm ? (2 * (lengthMm - 2 * tuckMm)) / Math.PI : null;
}

/** A sheet rolled up tight: as much of it as fills the round, pressed a little. */
export const rolledWidthMm = (acrossMm: number, sheetMm: number): number =>
  (Math.PI * acrossMm ** 2) / (4 * sheetMm * ROLL_COMPRESSION);
export const rolledAcrossMm = (widthMm: number, sheetMm: number): number =>
  2 * Math.sqrt((widthMm * sheetMm * ROLL_COMPRESSION) / Math.PI);

/** Steps of an arc: what is cut is true to a fiftieth of a millimetre at the width of a page. */
const ARC_STEPS = 72;

/**
 * The panel of a cone as it is cut, y down, its wider arc below, with a strip along one edge that goes under the other; of
 * what is as wide at both ends a straight one.
 */
export function conePanelOutline(frustum: Frustum, overlapMm: number): (readonly [number, number])[] {
  const sector = sectorOf(frustum);
  if (!sector) {
    const [length, height] = [tubePanelMm(frustum.bottomMm, overlapMm), frustum.heightMm];
    return [
      [0, 0],
      [length, 0],
      [length, height],
      [0, height],
    ];
  }
  const { innerMm, outerMm, angleDeg } = sector;
  const half = (angleDeg * Math.PI) / 360;
  const at = (radius: number, angle: number) => [radius * Math.sin(angle), radius * Math.cos(angle)] as const;
  const arc = (radius: number, from: number, to: number) =>
    Array.from({ length: ARC_STEPS + 1 }, (_, step) => at(radius, from + ((to - from) * step) / ARC_STEPS));
  // Square to the edge, all along it.
  const [dx, dy] = [overlapMm * Math.cos(half), -overlapMm * Math.sin(half)];
  const strip = [outerMm, innerMm].map((radius) => {
    const [x, y] = at(radius, half);
    return [x + dx, y + dy] as const;
  });
  return [...arc(outerMm, -half, half), ...(overlapMm > 0 ? strip : []), ...arc(innerMm, half, -half)];
}

/** The box that holds an outline. */
export function boxOfOutline(points: readonly (readonly [number, number])[]): {
  lengthMm: number;
  widthMm: number;
} {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return {
    lengthMm: Math.max(...xs) - Math.min(...xs),
    widthMm: Math.max(...ys) - Math.min(...ys),
  };
}
