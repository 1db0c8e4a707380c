import type { Bed, Corner } from './bed.ts';
import { FONTS, linesOf } from './lines.ts';
import { INK, type Pen, QUIET } from './pen.ts';
import type { Setting } from './setting.ts';
import { type Tagged, tagged } from './structure.ts';

/** A line of the contents whose page is not known yet. */
export interface ContentsLine {
  readonly anchor: string;
  readonly xPt: number;
  readonly yPt: number;
  readonly node: Tagged;
}

const FRONT_FIGURE_FRACTION = 0.36;

/** Title, lines, the figure together, and what is in it. @returns how far down it goes */
export function setFront(pen: Pen, setting: Setting, corner: Corner): { readonly contents: ContentsLine[]; readonly usedPt: number } {
  const { sheet, booklet, sizePt, lead, smallPt } = setting;
  const figure = booklet.figureKey === null ? undefined : setting.images.get(booklet.figureKey);
  const wholePt = sheet.widthPt - 2 * sheet.marginPt;
  const figureWidePt = figure ? Math.min(wholePt * FRONT_FIGURE_FRACTION, sheet.heightPt * 0.34 * figure.aspect) : 0;
  const figureHighPt = figure ? figureWidePt / figure.aspect : 0;
  const textPt = wholePt - figureWidePt - (figure ? sizePt * 2 : 0);
  const [xPt, topPt] = [corner.xPt + sheet.marginPt, corner.yPt + sheet.marginPt];
  let yPt = topPt;
  const put = (text: string, size: number, colour: string, font: (typeof FONTS)[keyof typeof FONTS], node: Tagged) => {
    for (const line of linesOf([{ text, ...(font === FONTS.strong && { isStrong: true as const }) }], textPt, size, setting.measure)) {
      pen.line(line, { xPt, yPt, sizePt: size, colour }, node);
      yPt += size * 1.2;
    }
  };
  put(booklet.title, sizePt * sheet.titleTimes, INK, FONTS.strong, tagged('H1', null));
  yPt += sizePt * 0.4;
  if (booklet.whose !== '') put(booklet.whose, sizePt * 1.2, INK, FONTS.strong, tagged('P', null));
  for (const line of booklet.lines) put(line, sizePt, QUIET, FONTS.plain, tagged('P', null));
  if (figure)
    pen.image(
      figure,
      { xPt: xPt + wholePt - figureWidePt, yPt: topPt, widthPt: figureWidePt, heightPt: figureHighPt },
      tagged('Figure', null, `${booklet.title}, the figure together`),
    );
  const contents: ContentsLine[] = [];
  if (sheet.hasContents) {
    yPt += sizePt;
    // Read after the title, though its pages are known last.
    const toc = tagged('TOC', null);
    pen.structure.elementOf(toc);
    for (const { anchor, within } of booklet.parts) {
      if (within !== null) continue;
      contents.push({ anchor, xPt, yPt, node: tagged('TOCI', toc) });
      yPt += sizePt * lead;
    }
  }
  const downPt = Math.max(yPt - topPt, figureHighPt) + (sheet.hasContents ? smallPt : smallPt * 0.3);
  pen.rule(xPt, topPt + downPt, wholePt);
  return { contents, usedPt: downPt + sizePt * (sheet.hasContents ? 1 : 0.4) };
} // prettier-ignore

interface FrontBegun {
  readonly begun: ReadonlyMap<string, { readonly page: number }>;
  readonly bed: Bed;
}

/** Now that it is known on which page each part begins. */
export function finishContents(pen: Pen, setting: Setting, lines: readonly ContentsLine[], { begun, bed }: FrontBegun): void {
  const { sheet, booklet, sizePt } = setting;
  bed.go(0);
  for (const { anchor, xPt, yPt, node } of lines) {
    const title = booklet.parts.find((part) => part.anchor === anchor)?.title ?? '';
    const page = begun.get(anchor)?.page;
    const [line] = linesOf([{ text: page === undefined ? title : `${title}  ${page}`, to: anchor }], sheet.widthPt, sizePt, setting.measure);
    if (line) pen.line(line, { xPt, yPt, sizePt, colour: INK }, node);
  }
} // prettier-ignore
