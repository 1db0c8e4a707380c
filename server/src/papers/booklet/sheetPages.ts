import { type Block, type Booklet, GUIDE_STROKES, type GuideItem } from '@lanakit/core/papers';
import { PAGE_SIZES_MM } from '@lanakit/core/run';
import { FONTS } from './lines.ts';
import { INK, type Pen } from './pen.ts';
import { PT_PER_MM } from './sheetOf.ts';
import { tagged } from './structure.ts';

type Sheets = Extract<Block, { is: 'sheets' }>;

/** Pages at true size after all the others, each on a sheet of its own, as lines and not as a picture. */
export function sheetPages(pen: Pen, { parts }: Booklet): void {
  const all = parts.flatMap(({ blocks }) => blocks.filter((block): block is Sheets => block.is === 'sheets'));
  for (const { anchor, about, page, sheets } of all) {
    const { widthMm, heightMm } = PAGE_SIZES_MM[page];
    const part = tagged('Sect', null);
    sheets.forEach(({ items }, at) => {
      pen.doc.addPage({ size: [widthMm * PT_PER_MM, heightMm * PT_PER_MM], margin: 0 });
      if (at === 0) pen.anchor(anchor, 0);
      const figure = tagged('Figure', part, `${about}, page ${at + 1} of ${sheets.length}`);
      pen.structure.draw(figure, () => items.forEach((item) => drawItem(pen.doc, item)));
    });
  }
}

function drawItem(doc: PDFKit.PDFDocument, item: GuideItem): void {
  if (item.kind === 'text') return drawText(doc, item);
  const { widthMm, dashMm, isQuiet } = GUIDE_STROKES[item.stroke];
  item.points.forEach(([x, y], at) => {
    if (at === 0) doc.moveTo(x * PT_PER_MM, y * PT_PER_MM);
    else doc.lineTo(x * PT_PER_MM, y * PT_PER_MM);
  });
  if (item.isClosed) doc.closePath();
  doc.lineWidth(widthMm * PT_PER_MM).strokeColor(isQuiet ? QUIET : INK);
  const dashes = dashMm.map((mm) => mm * PT_PER_MM);
  if (dashes.length > 0) doc.dash(...([dashes] as unknown as Parameters<typeof doc.dash>));
  if (item.isHiding) doc.fillAndStroke('#ffffff', isQuiet ? QUIET : INK);
  else doc.stroke();
  doc.undash();
} // prettier-ignore

const QUIET = '#6b747c';

function drawText(doc: PDFKit.PDFDocument, { text, at: [x, y], sizeMm, isBold, anchor, isOnLines }: Extract<GuideItem, { kind: 'text' }>): void {
  const sizePt = sizeMm * PT_PER_MM;
  doc.font(isBold ? FONTS.strong : FONTS.plain).fontSize(sizePt);
  const widePt = doc.widthOfString(text);
  const leftPt = x * PT_PER_MM - (anchor === 'start' ? 0 : anchor === 'middle' ? widePt / 2 : widePt);
  if (isOnLines) doc.rect(leftPt - sizePt * 0.1, y * PT_PER_MM - sizePt * 0.85, widePt + sizePt * 0.2, sizePt * 1.15).fill('#ffffff');
  doc.fillColor(INK).text(text, leftPt, y * PT_PER_MM, { lineBreak: false, baseline: 'alphabetic' });
} // prettier-ignore
