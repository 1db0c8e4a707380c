import { FONTS, linesOf } from './lines.ts';
import { INK, type Pen, QUIET } from './pen.ts';
import type { Setting } from './setting.ts';
import { type Tagged, tagged } from './structure.ts';

/** A line of the contents whose page is not known yet. */
export interface ContentsLine {
  readonly anchor: string;
  readonly yPt: number;
  readonly node: Tagged;
}

const FRONT_FIGURE_FRACTION = 0.36;

/** Title, lines, the figure together, and what is in it. @param used how far down it goes */
export function setFront(pen: Pen, setting: Setting, used: (usedPt: number) => void): ContentsLine[] {
  const { sheet, booklet, sizePt, lead, smallPt } = setting;
  const figure = booklet.figureKey === null ? undefined : setting.images.get(booklet.figureKey);
  const wholePt = sheet.widthPt - 2 * sheet.marginPt;
  const figureWidePt = figure ? Math.min(wholePt * FRONT_FIGURE_FRACTION, sheet.heightPt * 0.34 * figure.aspect) : 0;
  const figureHighPt = figure ? figureWidePt / figure.aspect : 0;
  const textPt = wholePt - figureWidePt - (figure ? sizePt * 2 : 0);
  const xPt = sheet.marginPt;
  let yPt = sheet.marginPt;
  const put = (text: string, size: number, colour: string, font: (typeof FONTS)[keyof typeof FONTS], node: Tagged) => {
    for (const line of linesOf([{ text, ...(font === FONTS.strong && { isStrong: true as const }) }], textPt, size, setting.measure)) {
      pen.line(line, { xPt, yPt, sizePt: size, colour }, node);
      yPt += size * 1.2;
    }
  };
  const toc = tagged('TOC', null);
  put(booklet.title, sizePt * 2.5, INK, FONTS.strong, tagged('H1', null));
  yPt += sizePt * 0.4;
  if (booklet.whose !== '') put(booklet.whose, sizePt * 1.2, INK, FONTS.strong, tagged('P', null));
  for (const line of booklet.lines) put(line, sizePt, QUIET, FONTS.plain, tagged('P', null));
  if (figure)
    pen.image(
      figure,
      { xPt: xPt + wholePt - figureWidePt, yPt: sheet.marginPt, widthPt: figureWidePt, heightPt: figureHighPt },
      tagged('Figure', null, `${booklet.title}, the figure together`),
    );
  yPt += sizePt;
  // Read after the title, though its pages are known last.
  pen.structure.elementOf(toc);
  const lines = booklet.parts.filter(({ within }) => within === null).map(({ anchor }): ContentsLine => {
    const line = { anchor, yPt, node: tagged('TOCI', toc) };
    yPt += sizePt * lead;
    return line;
  });
  const downPt = Math.max(yPt, sheet.marginPt + figureHighPt) - sheet.marginPt + smallPt;
  pen.rule(xPt, sheet.marginPt + downPt, wholePt);
  used(downPt + sizePt);
  return lines;
} // prettier-ignore

interface FrontBegun {
  readonly begun: ReadonlyMap<string, { readonly page: number }>;
  /** Where its contents stand, from 0. */
  readonly firstPage: number;
}

/** Now that it is known on which page each part begins. */
export function finishContents(pen: Pen, setting: Setting, lines: readonly ContentsLine[], { begun, firstPage }: FrontBegun): void {
  const { sheet, booklet, sizePt } = setting;
  pen.doc.switchToPage(firstPage);
  for (const { anchor, yPt, node } of lines) {
    const title = booklet.parts.find((part) => part.anchor === anchor)?.title ?? '';
    const page = begun.get(anchor)?.page;
    const [line] = linesOf([{ text: page === undefined ? title : `${title}  ${page}`, to: anchor }], sheet.widthPt, sizePt, setting.measure);
    if (line) pen.line(line, { xPt: sheet.marginPt, yPt, sizePt, colour: INK }, node);
  }
} // prettier-ignore
