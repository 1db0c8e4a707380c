import type { PointMm } from '../../shapes/index.ts';
import { type Drawing, moveItem } from './drawing.ts';
import { type GuideItem, textItem } from './guidePage.ts';
import { wrapText } from './wrapText.ts';

/** A drawing with its words under it, from 0, 0: what has to find room on a page. */
export interface Cell {
  readonly items: readonly GuideItem[];
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Words are set at least so wide. */
const LABEL_MM = 46;
const TITLE_MM = 3.1;
const TITLE_LINE_MM = 3.9;
const TEXT_MM = 2.4;
const TEXT_LINE_MM = 3;
/** Round everything. */
const PAD_MM = 1.5;

/** @param roomMm what a page is wide */
export function cellOf(drawing: Drawing, roomMm: number): Cell {
  const across = Math.min(roomMm - 2 * PAD_MM, Math.max(LABEL_MM, drawing.widthMm));
  const { items, heightMm } = labelOf(drawing, across);
  const left = (Math.max(across, drawing.widthMm) - drawing.widthMm) / 2;
  return {
    items: [
      ...drawing.items.map((item) => moveItem(item, PAD_MM + left, PAD_MM)),
      ...items.map((item) => moveItem(item, PAD_MM, PAD_MM + drawing.heightMm)),
    ],
    widthMm: Math.max(across, drawing.widthMm) + 2 * PAD_MM,
    heightMm: drawing.heightMm + heightMm + 2 * PAD_MM,
  };
}

/** Between a drawing and words at its right. */
const BESIDE_MM = 3;

/** The same with its words at its right: for what is nearly as high as a page. */
export function cellBeside(drawing: Drawing): Cell {
  const { items, heightMm } = labelOf(drawing, LABEL_MM);
  const left = PAD_MM + drawing.widthMm + BESIDE_MM;
  return {
    items: [
      ...drawing.items.map((item) => moveItem(item, PAD_MM, PAD_MM)),
      ...items.map((item) => moveItem(item, left, PAD_MM)),
    ],
    widthMm: left + LABEL_MM + PAD_MM,
    heightMm: Math.max(drawing.heightMm, heightMm) + 2 * PAD_MM,
  };
}

/** Title and lines in so much width, from 0, 0. */
export function labelOf(
  { title, lines }: Pick<Drawing, 'title' | 'lines'>,
  widthMm: number,
): { items: GuideItem[]; heightMm: number } {
  const items: GuideItem[] = [];
  let y = 0.6;
  for (const line of wrapText(title, TITLE_MM, widthMm)) {
    y += TITLE_LINE_MM;
    items.push(textItem(line, [0, y - 0.9], { sizeMm: TITLE_MM, isBold: true }));
  }
  for (const line of shortened(lines.flatMap((words) => wrapText(words, TEXT_MM, widthMm)))) {
    y += TEXT_LINE_MM;
    items.push(textItem(line, [0, y - 0.8], { sizeMm: TEXT_MM }));
  }
  return { items, heightMm: y };
}

/** So many lines of words there is always room for beside a drawing; of more it is told how many they are. */
const MOST_LINES = 44;

const shortened = (lines: readonly string[]): readonly string[] =>
  lines.length <= MOST_LINES
    ? lines
    : [...lines.slice(0, MOST_LINES - 1), `… and ${lines.length - MOST_LINES + 1} lines more`];

/** The same a quarter round, its words and signs upright; what may not be turned as it is. */
export function turned(drawing: Drawing): Drawing {
  const { heightMm, isTurnable } = drawing;
  if (!isTurnable) return drawing;
  const turn = ([x, y]: PointMm): PointMm => [heightMm - y, x];
  return {
    ...drawing,
    items: drawing.items.map((item) =>
      item.kind === 'line'
        ? { ...item, points: item.points.map(turn) }
        : { ...item, at: turn(item.at), anchor: 'middle' },
    ),
    widthMm: drawing.heightMm,
    heightMm: drawing.widthMm,
  };
}

/** Words alone, as wide as a label. */
export function noteCell(lines: readonly string[]): Cell {
  const label = labelOf({ title: 'Not drawn', lines }, NOTE_MM);
  return {
    items: label.items.map((item) => moveItem(item, PAD_MM, PAD_MM)),
    widthMm: NOTE_MM + 2 * PAD_MM,
    heightMm: label.heightMm + 2 * PAD_MM,
  };
}

const NOTE_MM = 80;
