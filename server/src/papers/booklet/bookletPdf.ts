import type { Block, Booklet, BookletPart, BookletTerms } from '@lanakit/core/papers';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import PDFDocument from 'pdfkit';
import { blocksUnits } from './blockUnits.ts';
import { bookletImages, bookletSwatches, type StudioPictures } from './bookletImages.ts';
import { flow } from './flow.ts';
import { FONTS, linesOf } from './lines.ts';
import { measureOf } from './measureOf.ts';
import { INK, LINE, type Pen, penOf, QUIET } from './pen.ts';
import { type Setting, settingOf } from './setting.ts';
import { columnWidthPt, type Sheet, sheetOf } from './sheetOf.ts';
import { structureOf, type Tagged, tagged } from './structure.ts';
import { keepingNext, together, type Unit } from './units.ts';
import { wordUnits } from './wordUnits.ts';

const FILES: Readonly<Record<(typeof FONTS)[keyof typeof FONTS], string>> = {
  Plain: '400Regular',
  Strong: '600SemiBold',
  Slanted: '400Regular_Italic',
  StrongSlanted: '600SemiBold_Italic',
};

const fontFile = (weight: string): string =>
  join(
    dirname(createRequire(import.meta.url).resolve('@expo-google-fonts/source-sans-3/package.json')),
    weight,
    `SourceSans3_${weight}.ttf`,
  );

/**
 * A booklet as PDF 1.7: fonts in it, tagged in the order it is read (ISO 32000-1, 14.8), bookmarks, links between step, piece and
 * part, and conforming to PDF/A-2a (ISO 19005-2).
 * @param pictures those of the studio that it shows, by id
 */
export async function bookletPdf(booklet: Booklet, terms: BookletTerms, pictures: StudioPictures, at: Date): Promise<Buffer> {
  const sheet = sheetOf(terms);
  const doc = newDocument(booklet, sheet, at);
  const [images, swatches] = [await bookletImages(booklet, terms, pictures), await bookletSwatches(booklet, terms)];
  const measure = measureOf(doc);
  const setting = settingOf(sheet, { booklet, terms, measure, images, swatches });
  const structure = structureOf(doc);
  const anchors = anchorsOf(booklet);
  const pen = penOf(doc, structure, measure, (name) => anchors.has(name));
  setAll(pen, setting);
  structure.end();
  return finished(doc);
} // prettier-ignore

function newDocument({ title }: Booklet, { widthPt, heightPt }: Sheet, at: Date): PDFKit.PDFDocument {
  const doc = new PDFDocument({
    size: [widthPt, heightPt],
    margin: 0,
    autoFirstPage: false,
    font: fontFile(FILES.Plain),
    bufferPages: true,
    pdfVersion: '1.7',
    subset: 'PDF/A-2a',
    tagged: true,
    lang: 'en-GB',
    displayTitle: true,
    info: { Title: title, Creator: 'Lanakit', Producer: 'Lanakit', CreationDate: at, ModDate: at },
  });
  for (const [name, weight] of Object.entries(FILES)) doc.registerFont(name, fontFile(weight));
  doc.font(FONTS.plain);
  return doc;
}

/** Everything a link may lead to. */
function anchorsOf({ parts }: Booklet): ReadonlySet<string> {
  const inside = (block: Block): string[] =>
    block.is === 'step' || block.is === 'piece'
      ? [block.anchor, ...block.blocks.flatMap(inside)]
      : block.is === 'heading' && block.anchor !== null
        ? [block.anchor]
        : [];
  return new Set(parts.flatMap(({ anchor, blocks }) => [anchor, ...blocks.flatMap(inside)]));
}

/** Where each part begins, and what number its page has. */
type Begun = Map<string, { readonly page: number; readonly outline: PDFKit.PDFOutline | null }>;

function setAll(pen: Pen, setting: Setting): void {
  const { doc } = pen;
  const { sheet, booklet } = setting;
  let [column, yPt, topPt] = [0, sheet.marginPt, sheet.marginPt];
  const bottomPt = sheet.heightPt - sheet.marginPt - sheet.footPt;
  const begun: Begun = new Map();
  const newPage = () => {
    doc.addPage({ size: [sheet.widthPt, sheet.heightPt], margin: 0 });
    [column, topPt, yPt] = [0, sheet.marginPt, sheet.marginPt];
  };
  newPage();
  const contents = setFront(pen, setting, (usedPt) => {
    topPt = yPt = sheet.marginPt + usedPt;
  });
  const room = {
    leftPt: () => bottomPt - yPt,
    columnPt: bottomPt - sheet.marginPt,
    isAtTop: () => yPt <= topPt + 1e-6,
    nextColumn: () => {
      if (column + 1 < sheet.columns) [column, yPt] = [column + 1, topPt];
      else newPage();
    },
    nextPage: newPage,
    place: (unit: Unit, isRepeat: boolean) => {
      const abovePt = yPt <= topPt + 1e-6 ? 0 : unit.abovePt;
      const xPt = sheet.marginPt + column * (columnWidthPt(sheet) + sheet.gutterPt);
      unit.draw(pen, xPt, yPt + abovePt, isRepeat);
      yPt += abovePt + unit.heightPt;
    },
  };
  const pageNow = () => doc.bufferedPageRange().count;
  const section = new Map<string, Tagged>();
  for (const part of booklet.parts) flow(partUnits(part, section, setting, begun, pageNow), room);
  finishContents(pen, setting, contents, begun);
  feet(pen, setting);
}

function partUnits(
  { anchor, title, within, blocks }: BookletPart,
  section: Map<string, Tagged>,
  setting: Setting,
  begun: Begun,
  pageNow: () => number,
): Unit[] {
  const parent = within === null ? null : (section.get(within) ?? null);
  const node = tagged('Sect', parent);
  section.set(anchor, node);
  const isWithin = within !== null;
  const heading = wordUnits(
    [{ text: title, isStrong: true }],
    { sizePt: isWithin ? setting.headPt * 1.12 : setting.titlePt, abovePt: setting.sizePt * (isWithin ? 1.4 : 2) },
    tagged('H2', node),
    setting,
  ).map((unit, at): Unit =>
    at > 0
      ? unit
      : {
          ...unit,
          draw: (pen, xPt, yPt, isRepeat) => {
            const above = within === null ? pen.doc.outline : (begun.get(within)?.outline ?? pen.doc.outline);
            begun.set(anchor, { page: pageNow(), outline: above.addItem(title, { expanded: false }) });
            pen.anchor(anchor, yPt);
            unit.draw(pen, xPt, yPt, isRepeat);
          },
        });
  const [first] = blocks;
  const intro = first?.is === 'words' && blocks.length > 1 ? blocks.slice(0, 1) : [];
  const place = { xPt: 0, parent: node };
  // What introduces it is not left behind with its heading.
  return [
    ...keepingNext(heading),
    ...together([...blocksUnits(intro, place, setting)]).map((unit) => ({ ...unit, keepsNext: true })),
    ...blocksUnits(blocks.slice(intro.length), place, setting),
  ];
} // prettier-ignore

interface ContentsLine {
  readonly anchor: string;
  readonly yPt: number;
  readonly node: Tagged;
}

const FRONT_FIGURE_FRACTION = 0.36;

/** Title, lines, the figure together, and what is in it. @param used how far down it goes */
function setFront(pen: Pen, setting: Setting, used: (usedPt: number) => void): ContentsLine[] {
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

/** Now that it is known on which page each part begins. */
function finishContents(pen: Pen, setting: Setting, lines: readonly ContentsLine[], begun: Begun): void {
  const { sheet, booklet, sizePt } = setting;
  pen.doc.switchToPage(0);
  for (const { anchor, yPt, node } of lines) {
    const title = booklet.parts.find((part) => part.anchor === anchor)?.title ?? '';
    const page = begun.get(anchor)?.page;
    const [line] = linesOf([{ text: page === undefined ? title : `${title}  ${page}`, to: anchor }], sheet.widthPt, sizePt, setting.measure);
    if (line) pen.line(line, { xPt: sheet.marginPt, yPt, sizePt, colour: INK }, node);
  }
} // prettier-ignore

/** On every page: what it is of, what to beware of, and where one is. */
function feet(pen: Pen, setting: Setting): void {
  const { doc } = pen;
  const { sheet, booklet } = setting;
  const sizePt = Math.max(7, setting.sizePt * 0.7);
  const { count } = doc.bufferedPageRange();
  const yPt = sheet.heightPt - sheet.marginPt - sizePt * 1.3;
  const wholePt = sheet.widthPt - 2 * sheet.marginPt;
  for (let page = 0; page < count; page++) {
    doc.switchToPage(page);
    doc.markContent('Artifact', { type: 'Pagination', attached: ['Bottom'] });
    const where = `${page + 1} of ${count}`;
    doc.font(FONTS.plain).fontSize(sizePt).fillColor(QUIET);
    const wherePt = doc.widthOfString(where);
    const [first] = linesOf([{ text: `${booklet.title}. ${booklet.foot}` }], wholePt - wherePt - sizePt * 2, sizePt, setting.measure);
    doc.moveTo(sheet.marginPt, yPt - sizePt * 0.5).lineTo(sheet.marginPt + wholePt, yPt - sizePt * 0.5).lineWidth(0.3).strokeColor(LINE).stroke();
    doc.font(FONTS.plain).fontSize(sizePt).fillColor(QUIET);
    doc.text(first?.stretches[0]?.text ?? '', sheet.marginPt, yPt, { lineBreak: false });
    doc.text(where, sheet.marginPt + wholePt - wherePt, yPt, { lineBreak: false });
    doc.endMarkedContent();
  }
} // prettier-ignore

const finished = (doc: PDFKit.PDFDocument): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const parts: Buffer[] = [];
    doc.on('data', (part: Buffer) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
    doc.end();
  });
