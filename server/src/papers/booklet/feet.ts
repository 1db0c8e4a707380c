import type { Bed } from './bed.ts';
import { FONTS, linesOf } from './lines.ts';
import { LINE, type Pen, QUIET } from './pen.ts';
import type { Setting } from './setting.ts';

/** On every page: what it is of, what to beware of, and where one is. */
export function feet(pen: Pen, setting: Setting, bed: Bed): void {
  const { doc } = pen;
  const { sheet, booklet } = setting;
  const sizePt = Math.max(7, setting.sizePt * 0.7);
  const count = bed.count();
  const wholePt = sheet.widthPt - 2 * sheet.marginPt;
  for (let page = 0; page < count; page++) {
    const corner = bed.go(page);
    const leftPt = corner.xPt + sheet.marginPt;
    const yPt = corner.yPt + sheet.heightPt - sheet.marginPt - sizePt * 1.3;
    doc.markContent('Artifact', { type: 'Pagination', attached: ['Bottom'] });
    const where = `${page + 1} of ${count}`;
    doc.font(FONTS.plain).fontSize(sizePt).fillColor(QUIET);
    const wherePt = doc.widthOfString(where);
    const [first] = linesOf([{ text: `${booklet.title}. ${booklet.foot}` }], wholePt - wherePt - sizePt * 2, sizePt, setting.measure);
    doc.moveTo(leftPt, yPt - sizePt * 0.5).lineTo(leftPt + wholePt, yPt - sizePt * 0.5).lineWidth(0.3).strokeColor(LINE).stroke();
    doc.font(FONTS.plain).fontSize(sizePt).fillColor(QUIET);
    doc.text(first?.stretches[0]?.text ?? '', leftPt, yPt, { lineBreak: false });
    doc.text(where, leftPt + wholePt - wherePt, yPt, { lineBreak: false });
    doc.endMarkedContent();
  }
} // prettier-ignore
