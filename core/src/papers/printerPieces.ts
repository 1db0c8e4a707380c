import type { PrinterLabel, PrinterPiece } from '../labelling/index.ts';
import { type LabelSheet, PAGE_SIZES_MM } from '../run/index.ts';
import { cellWords } from './cell.ts';
import { bagLine, type FittedLabel, fittedLabels } from './fitLabels.ts';
import { labelPlaces } from './labels.ts';
import type { Paper } from './paper.ts';

/** A label off a roll. Millimetres. */
export interface RollSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Sizes of rolls and sheets that are sold everywhere, the smallest first. */
export const ROLL_SIZES: readonly RollSize[] = [
  { widthMm: 57, heightMm: 32 },
  { widthMm: 64, heightMm: 38 },
  { widthMm: 70, heightMm: 50 },
  { widthMm: 100, heightMm: 70 },
  { widthMm: 100, heightMm: 150 },
];

type Labels = Pick<Paper, 'labels' | 'figures'>;

/** A sheet that is one label. */
const rollSheet = ({ widthMm, heightMm }: RollSize): LabelSheet => ({
  page: 'a4',
  rows: 1,
  columns: 1,
  topMm: 0,
  leftMm: 0,
  widthMm,
  heightMm,
  gapAcrossMm: 0,
  gapDownMm: 0,
  used: 0,
});

/** How many labels a paper takes in a size: a bag that has more on it than goes on one takes several. */
export const labelsInSize = (paper: Labels, size: RollSize): number => fittedLabels(paper, rollSheet(size)).length; // prettier-ignore

/**
 * The smallest size in which each bag has all of it on one label; where none is large enough, the one that takes fewest.
 * @returns null: there is nothing to label
 */
export function sizeForLabels(paper: Labels, sizes: readonly RollSize[] = ROLL_SIZES): RollSize | null {
  const bags = paper.labels.length;
  if (bags === 0) return null;
  const taken = sizes.map((size) => ({ size, labels: labelsInSize(paper, size) }));
  const fewest = Math.min(...taken.map(({ labels }) => labels));
  return (taken.find(({ labels }) => labels === bags) ?? taken.find(({ labels }) => labels === fewest))?.size ?? null; // prettier-ignore
}

/** Pieces of a roll: one label each. @param newId of pieces, which a printer says again */
export const rollPieces = (paper: Labels, size: RollSize, newId: () => string): PrinterPiece[] =>
  fittedLabels(paper, rollSheet(size)).map((label) => ({
    id: newId(),
    ...size,
    labels: [printerLabel(label, { ...size, xMm: 0, yMm: 0 })],
  }));

/** Sheets of labels, as they are laid out to be printed. */
export function sheetPieces(paper: Labels, sheet: LabelSheet, newId: () => string): PrinterPiece[] {
  const labels = fittedLabels(paper, sheet);
  const places = labelPlaces(sheet, labels.length);
  const count = (places.at(-1)?.sheet ?? -1) + 1;
  const { widthMm, heightMm } = sheet;
  return Array.from({ length: count }, (_, number) => ({
    id: newId(),
    ...PAGE_SIZES_MM[sheet.page],
    labels: places.flatMap(({ sheet: on, xMm, yMm }, at) => {
      const label = labels[at];
      return on === number && label ? [printerLabel(label, { widthMm, heightMm, xMm, yMm })] : [];
    }),
  }));
}

type Placed = Pick<PrinterLabel, 'widthMm' | 'heightMm' | 'xMm' | 'yMm'>;

const printerLabel = (label: FittedLabel, placed: Placed): PrinterLabel => ({
  ...placed,
  title: label.title,
  bag: bagLine(label),
  lines: label.lines.map(({ swatch, text, grams }) => ({
    amount: cellWords(grams),
    text,
    colour: swatch?.colour ?? null,
  })),
  notes: [...label.notes, ...(label.parts === '' ? [] : [label.parts])],
  foot: label.foot,
  code: label.codeMm ? label.code : '',
});
