import { ellipseOutline } from './outlines.ts';
import type { PointMm, Solid } from './solid.ts';

/** As seen from the front, from the figure's side, and from above. */
export const VIEWS = ['front', 'side', 'top'] as const;
export type View = (typeof VIEWS)[number];

/** What is seen of a solid: the outer line, what is open within it, and the box that holds it, mm. */
export interface ViewOutline {
  readonly points: readonly PointMm[];
  readonly holes: readonly (readonly PointMm[])[];
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The outline of a solid from one of three sides, standing as it is drawn in front view. */
export function viewOutline(solid: Solid, view: View): ViewOutline {
  const { widthMm, heightMm, depthMm } = solid;
  if (view === 'front') return { points: solid.outline(), holes: solid.holes?.() ?? [], widthMm, heightMm };
  const [across, down] = view === 'side' ? [depthMm, heightMm] : [widthMm, depthMm];
  return { points: sideways(solid, view, across, down), holes: [], widthMm: across, heightMm: down };
}

function sideways(solid: Solid, view: 'side' | 'top', across: number, down: number): readonly PointMm[] {
  switch (solid.build) {
    case 'turned':
      return view === 'side' ? solid.outline() : ellipseOutline(across, down);
    case 'ellipsoid':
      return ellipseOutline(across, down);
    case 'plate':
      return rectangle(across, down);
    case 'rope':
      return stadium(across, down);
  }
}

const rectangle = (across: number, down: number): PointMm[] => [
  [0, 0],
  [across, 0],
  [across, down],
  [0, down],
];

/** A rope seen from its edge: round at both ends. */
function stadium(across: number, down: number): PointMm[] {
  const r = Math.min(across, down) / 2;
  return ellipseOutline(2 * r, 2 * r).map(([x, y]): PointMm => [
    x > r ? x + across - 2 * r : x,
    y > r ? y + down - 2 * r : y,
  ]);
}
