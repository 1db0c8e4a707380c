import simplify from 'simplify-js';
import { type Cut, mmOrNull } from '../../pattern/index.ts';
import { conePanelOutline } from './bentPanels.ts';
import { frustumOfCut } from './lengths.ts';

/** As it is cut round: corners, mm from the corner of its box, y down. */
export type TemplatePoints = readonly (readonly [x: number, y: number])[];

/** Less than a scissors’ width. */
const TOLERANCE_MM = 0.05;
const fine = (mm: number): number => Math.round(mm * 100) / 100;

/** An outline with as few corners as tell it, from the corner of its box. */
export function templateOf(points: TemplatePoints): TemplatePoints {
  const [left, top] = [Math.min(...points.map(([x]) => x)), Math.min(...points.map(([, y]) => y))];
  return simplify(
    points.map(([x, y]) => ({ x: x - left, y: y - top })),
    TOLERANCE_MM,
    true,
  ).map(({ x, y }) => [fine(x), fine(y)] as const);
}

/** Of a panel of a cone its piece of a ring; null: it is a rectangle, or a size is not said. */
export function templateOfCut(cut: Cut): TemplatePoints | null {
  if (cut.kind !== 'cone-panel') return null;
  const frustum = frustumOfCut(cut);
  if (!frustum || Math.abs(frustum.bottomMm - frustum.topMm) < 1e-6) return null;
  return templateOf(conePanelOutline(frustum, mmOrNull(cut.overlap) ?? 0));
}

/** The box of a template. */
export const boxOfTemplate = (points: TemplatePoints): { lengthMm: number; widthMm: number } => ({
  lengthMm: Math.max(...points.map(([x]) => x)),
  widthMm: Math.max(...points.map(([, y]) => y)),
});
