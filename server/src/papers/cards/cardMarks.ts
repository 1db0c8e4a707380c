import { type LeafPlace, SHEET_EDGE_MM } from '@lanakit/core/papers';
import { FONTS } from '../booklet/lines.ts';
import { LINE, QUIET } from '../booklet/pen.ts';
import { PT_PER_MM } from '../booklet/sheetOf.ts';

interface SizeMm {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Where to cut, a line right through; where to fold, a broken one; and a length to check the printer by. */
export function drawMarks(
  doc: PDFKit.PDFDocument,
  leaves: readonly LeafPlace[],
  { widthMm, heightMm }: SizeMm,
  page: SizeMm,
): void {
  const sheets = new Set(leaves.map(({ sheet }) => sheet));
  for (const sheet of sheets) {
    doc.switchToPage(sheet);
    doc.markContent('Artifact', { type: 'Layout' });
    doc.lineWidth(0.35).strokeColor(LINE);
    for (const { xMm, yMm, isFolded } of leaves.filter((leaf) => leaf.sheet === sheet)) {
      const [left, top, right, bottom] = [xMm, yMm, xMm + widthMm, yMm + heightMm].map((mm) => mm * PT_PER_MM) as [number, number, number, number];
      doc.moveTo(left, top).lineTo(right, top).moveTo(left, bottom).lineTo(right, bottom).undash().stroke();
      if (isFolded) doc.moveTo(left, top).lineTo(left, bottom).dash(3, { space: 2.5 }).stroke().undash();
      else doc.moveTo(left, top).lineTo(left, bottom).undash().stroke();
      if (!isFoldAfter(leaves, { sheet, xMm, yMm }, widthMm)) doc.moveTo(right, top).lineTo(right, bottom).undash().stroke();
    }
    foot(doc, page);
    doc.endMarkedContent();
  }
} // prettier-ignore

const isFoldAfter = (
  leaves: readonly LeafPlace[],
  { sheet, xMm, yMm }: Pick<LeafPlace, 'sheet' | 'xMm' | 'yMm'>,
  widthMm: number,
): boolean =>
  leaves.some(
    (leaf) =>
      leaf.isFolded &&
      leaf.sheet === sheet &&
      Math.abs(leaf.yMm - yMm) < 1e-6 &&
      Math.abs(leaf.xMm - xMm - widthMm) < 1e-6,
  );

const CHECK_MM = 50;

function foot(doc: PDFKit.PDFDocument, { heightMm }: SizeMm): void {
  const y = (heightMm - 3) * PT_PER_MM;
  const x = SHEET_EDGE_MM * PT_PER_MM;
  doc.font(FONTS.plain).fontSize(5.5).fillColor(QUIET);
  doc.moveTo(x, y - 3).lineTo(x, y).lineTo(x + CHECK_MM * PT_PER_MM, y).lineTo(x + CHECK_MM * PT_PER_MM, y - 3).undash().stroke();
  const words = `${CHECK_MM} mm if printed at 100 %. One side of the sheet. Cut along whole lines, fold along broken ones.`;
  doc.text(words, x + CHECK_MM * PT_PER_MM + 6, y - 6, { lineBreak: false });
} // prettier-ignore
