import { checkRange, checkWhole } from '../../base/index.ts';
import type { RunProblem } from './problem.ts';

export const PAGE_SIZES_MM = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;
export type PageSize = keyof typeof PAGE_SIZES_MM;

/** A sheet of labels as it is bought: how many, and how far from the edges and from one another. */
export interface LabelSheet {
  readonly page: PageSize;
  readonly rows: number;
  readonly columns: number;
  readonly topMm: number;
  readonly leftMm: number;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly gapDownMm: number;
  readonly gapAcrossMm: number;
  /** Labels of the first sheet that are used up already. */
  readonly used: number;
}

export const LABEL_SHEET: LabelSheet = {
  page: 'a4',
  rows: 7,
  columns: 3,
  topMm: 12,
  leftMm: 7,
  heightMm: 38,
  widthMm: 64,
  gapDownMm: 0,
  gapAcrossMm: 2,
  used: 0,
};

export const LABEL_BOUNDS = {
  rows: { min: 1, max: 30 },
  columns: { min: 1, max: 12 },
  topMm: { min: 0, max: 200 },
  leftMm: { min: 0, max: 200 },
  heightMm: { min: 10, max: 300 },
  widthMm: { min: 15, max: 300 },
  gapDownMm: { min: 0, max: 100 },
  gapAcrossMm: { min: 0, max: 100 },
} as const;

/** Why labels cannot be laid out so. */
export function checkLabelSheet(sheet: LabelSheet): RunProblem[] {
  const page = PAGE_SIZES_MM[sheet.page];
  const ranges = [
    ...checkWhole(sheet.rows, LABEL_BOUNDS.rows, '/rows'),
    ...checkWhole(sheet.columns, LABEL_BOUNDS.columns, '/columns'),
    ...(['topMm', 'leftMm', 'heightMm', 'widthMm', 'gapDownMm', 'gapAcrossMm'] as const).flatMap((key) =>
      checkRange(sheet[key], LABEL_BOUNDS[key], `/${key}`),
    ),
    ...checkWhole(sheet.used, { min: 0, max: Math.max(0, sheet.rows * sheet.columns - 1) }, '/used'),
  ];
  if (ranges.length > 0) return ranges;
  const across = sheet.leftMm + sheet.columns * sheet.widthMm + (sheet.columns - 1) * sheet.gapAcrossMm;
  const down = sheet.topMm + sheet.rows * sheet.heightMm + (sheet.rows - 1) * sheet.gapDownMm;
  return [
    ...(across > page.widthMm + 1e-9
      ? [{ code: 'labels_too_wide', pointer: '/columns', neededMm: across, pageMm: page.widthMm } as const]
      : []),
    ...(down > page.heightMm + 1e-9
      ? [{ code: 'labels_too_tall', pointer: '/rows', neededMm: down, pageMm: page.heightMm } as const]
      : []),
  ];
}
