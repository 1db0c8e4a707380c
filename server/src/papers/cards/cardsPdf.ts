import {
  type CardTerms,
  cardSizeMm,
  type LeafPlace,
  leafPlaces,
  leafSheet,
  type RunCard,
} from '@lanakit/core/papers';
import { type Bed, type Corner, pagesOf } from '../booklet/bed.ts';
import { bookletImages, bookletSwatches, imageDrawer } from '../booklet/bookletImages.ts';
import { FONTS } from '../booklet/lines.ts';
import { measureOf } from '../booklet/measureOf.ts';
import { pageCounter } from '../booklet/pageCounter.ts';
import { finished, newDocument } from '../booklet/pdfDocument.ts';
import { penOf, QUIET } from '../booklet/pen.ts';
import { setBookletIn } from '../booklet/setBookletIn.ts';
import { type Setting, settingOf } from '../booklet/setting.ts';
import { cardSheet, PT_PER_MM } from '../booklet/sheetOf.ts';
import { structureOfDocument } from '../booklet/structure.ts';
import { drawMarks } from './cardMarks.ts';

/** Cards of a run that are to be set. Plain data: it crosses into a worker. */
export interface CardsTask {
  readonly title: string;
  readonly cards: readonly RunCard[];
  readonly terms: CardTerms;
  /** When it is made, ISO 8601. */
  readonly at: string;
}

/** Cards in their size on sheets printed on one side, tagged card by card, with marks where to cut and to fold. */
export async function cardsPdf({ title, cards, terms, at }: CardsTask): Promise<Buffer> {
  const size = cardSizeMm(terms);
  const sheet = cardSheet(size);
  const made = new Date(at);
  const page = leafSheet(terms.page, size);
  const paper = { ...sheet, widthPt: page.widthMm * PT_PER_MM, heightPt: page.heightMm * PT_PER_MM };
  const doc = newDocument({ title, language: cards[0]?.card.language ?? 'en-GB' }, paper, made);
  const file = finished(doc);
  const structure = structureOfDocument(doc);
  const measure = measureOf(doc);
  const draw = imageDrawer(terms, new Map());
  const settings: Setting[] = [];
  for (const { card } of cards) {
    const [images, swatches] = [await bookletImages(card, draw), await bookletSwatches(card, draw)];
    settings.push(settingOf(sheet, { booklet: card, terms: { ink: terms.ink, isStepAPage: false }, measure, images, swatches }));
  }
  const countPages = pageCounter(sheet, made);
  const places = leafPlaces(settings.map(countPages), terms.page, size);
  settings.forEach((setting, nth) => {
    const part = structure.part(setting.booklet.title);
    const outline = () => doc.outline;
    const bed = placedBed(doc, places[nth] ?? [], paper);
    setBookletIn(penOf(doc, { outline, structure: part, measure, prefix: `${nth + 1}-`, anchors: new Set() }), setting, bed);
    feetOfCard(doc, bed, setting, cards[nth]?.whose ?? '');
    part.end();
  });
  if (terms.hasMarks) drawMarks(doc, places.flat(), size, page);
  structure.end();
  doc.end();
  return file;
} // prettier-ignore

/** On places that are known beforehand; a sheet is made when the first leaf comes to lie on it. */
function placedBed(doc: PDFKit.PDFDocument, places: readonly LeafPlace[], { widthPt, heightPt }: { readonly widthPt: number; readonly heightPt: number }): Bed {
  let made = 0;
  const go = (leaf: number): Corner => {
    const { sheet, xMm, yMm } = places[leaf] ?? { sheet: 0, xMm: 0, yMm: 0 };
    while (pagesOf(doc) <= sheet) doc.addPage({ size: [widthPt, heightPt], margin: 0 });
    doc.switchToPage(sheet);
    return { xPt: xMm * PT_PER_MM, yPt: yMm * PT_PER_MM };
  };
  return {
    add() {
      made += 1;
      return go(made - 1);
    },
    go,
    count: () => made,
  };
} // prettier-ignore

/** For which pack it is, and which leaf of how many: for whoever puts them into boxes. */
function feetOfCard(doc: PDFKit.PDFDocument, bed: Bed, { sheet, booklet }: Setting, whose: string): void {
  const count = bed.count();
  for (let leaf = 0; leaf < count; leaf++) {
    const { xPt, yPt } = bed.go(leaf);
    const words = [whose, count > 1 ? `${booklet.title}, ${leaf + 1} of ${count}` : ''].filter((each) => each !== '');
    doc.markContent('Artifact', { type: 'Pagination', attached: ['Bottom'] });
    doc.font(FONTS.plain).fontSize(FOOT_PT).fillColor(QUIET);
    doc.text(words.join(' · '), xPt + sheet.marginPt, yPt + sheet.heightPt - sheet.marginPt * 0.8 - FOOT_PT * 0.4, { lineBreak: false });
    doc.endMarkedContent();
  }
} // prettier-ignore

const FOOT_PT = 5.5;
