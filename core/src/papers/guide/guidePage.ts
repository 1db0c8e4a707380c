import type { GuideLineIs } from '../../figure/index.ts';
import { PAGE_SIZES_MM, type PageSize } from '../../run/index.ts';
import type { PointMm } from '../../shapes/index.ts';

/** How a line is drawn on the guide: told apart without colour. */
export type GuideStroke = GuideLineIs | 'mark' | 'behind' | 'sunk' | 'wire' | 'frame' | 'ruler' | 'tile';

/** mm; dashes in mm, none: a whole line. */
export const STROKES: Readonly<
  Record<
    GuideStroke,
    { readonly widthMm: number; readonly dashMm: readonly number[]; readonly isQuiet: boolean }
  >
> = {
  finished: { widthMm: 0.4, dashMm: [], isQuiet: false },
  cut: { widthMm: 0.4, dashMm: [], isQuiet: false },
  side: { widthMm: 0.25, dashMm: [], isQuiet: false },
  felted: { widthMm: 0.3, dashMm: [0.3, 1.1], isQuiet: false },
  rolled: { widthMm: 0.28, dashMm: [3, 1.6], isQuiet: false },
  laid: { widthMm: 0.28, dashMm: [3, 1.6], isQuiet: false },
  overlap: { widthMm: 0.25, dashMm: [2, 1.4], isQuiet: false },
  fold: { widthMm: 0.25, dashMm: [2, 1.4], isQuiet: false },
  'loose-end': { widthMm: 0.22, dashMm: [1.4, 1], isQuiet: false },
  mark: { widthMm: 0.2, dashMm: [], isQuiet: false },
  behind: { widthMm: 0.2, dashMm: [0.8, 0.8], isQuiet: true },
  sunk: { widthMm: 0.15, dashMm: [], isQuiet: true },
  wire: { widthMm: 0.22, dashMm: [4, 1, 0.6, 1], isQuiet: false },
  frame: { widthMm: 0.12, dashMm: [], isQuiet: true },
  ruler: { widthMm: 0.15, dashMm: [], isQuiet: false },
  tile: { widthMm: 0.15, dashMm: [5, 3], isQuiet: true },
};

/** Words on a page, by their baseline. */
export interface GuideText {
  readonly kind: 'text';
  readonly at: PointMm;
  readonly text: string;
  readonly sizeMm: number;
  readonly isBold: boolean;
  readonly anchor: 'start' | 'middle' | 'end';
  /** White behind it: lines do not go through it. */
  readonly isOnLines: boolean;
}

/** Something on a page, mm from its upper left corner. */
export type GuideItem = GuideStrokeLine | GuideText;

export interface GuideStrokeLine {
  readonly kind: 'line';
  readonly stroke: GuideStroke;
  readonly points: readonly PointMm[];
  readonly isClosed: boolean;
  /** White within: it hides what was drawn before it. */
  readonly isHiding?: true;
}

export interface Rect {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** One page as it is printed. */
export interface GuidePage {
  readonly items: readonly GuideItem[];
  /** The room of each drawing on it, its words too; they do not overlap. */
  readonly cells: readonly Rect[];
}

/** Printers reach as near to the edge as this. */
export const EDGE_MM = 10;
export const HEAD_MM = 13;
export const FOOT_MM = 25;

/** Where drawings go on a page. */
export function roomOf(page: PageSize): Rect {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  return {
    xMm: EDGE_MM,
    yMm: EDGE_MM + HEAD_MM,
    widthMm: widthMm - 2 * EDGE_MM,
    heightMm: heightMm - 2 * EDGE_MM - HEAD_MM - FOOT_MM,
  };
}

export const textItem = (
  text: string,
  at: PointMm,
  more: Partial<Omit<GuideText, 'kind' | 'at' | 'text'>> = {},
): GuideText => ({
  kind: 'text',
  text,
  at,
  sizeMm: 2.5,
  isBold: false,
  anchor: 'start',
  isOnLines: false,
  ...more,
});

export const lineItem = (
  stroke: GuideStroke,
  points: readonly PointMm[],
  isClosed = false,
): GuideStrokeLine => ({
  kind: 'line',
  stroke,
  points,
  isClosed,
});
