import type { PointMm } from '@lanakit/core/shapes';
import type { Outline } from '@lanakit/core/figure';

interface Box {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Where an outline’s own 0, 0 lies in a box that it is centred in, mm. */
export const offsetIn = (outline: Box, box: Box): PointMm => [
  (box.widthMm - outline.widthMm) / 2,
  (box.heightMm - outline.heightMm) / 2,
];

/** An outline, holes too, centred in a box, as SVG path data in px. */
export function pathOf(outline: Outline, box: Box, scale: number): string {
  const [left, top] = offsetIn(outline, box);
  const contour = (points: readonly PointMm[]) =>
    `M${points.map(([x, y]) => `${((left + x) * scale).toFixed(1)} ${((top + y) * scale).toFixed(1)}`).join('L')}Z`;
  return contour(outline.points) + outline.holes.map(contour).join('');
}
