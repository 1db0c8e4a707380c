import type { Booklet, BookletTerms } from '@lanakit/core/papers';
import { setImmediate } from 'node:timers/promises';
import { bookletImages, bookletSwatches, imageDrawer, type StudioPictures } from './bookletImages.ts';
import { foldedBed, plainBed } from './bed.ts';
import { measureOf } from './measureOf.ts';
import { pageCounter } from './pageCounter.ts';
import { newDocument } from './pdfDocument.ts';
import { penOf } from './pen.ts';
import { anchorsOf, setBookletIn } from './setBookletIn.ts';
import { settingOf } from './setting.ts';
import { sheetOf } from './sheetOf.ts';
import { sheetPages } from './sheetPages.ts';
import { structureOfDocument } from './structure.ts';

/** Booklets that are set into one file, one after the other. */
export interface BookletsToSet {
  /** Of the whole file. */
  readonly title: string;
  readonly booklets: readonly Booklet[];
  readonly terms: BookletTerms;
  /** Those of the studio that they show, by id. */
  readonly pictures: StudioPictures;
  readonly at: Date;
}

/**
 * Booklets as PDF 1.7: fonts in it, tagged in the order it is read (ISO 32000-1, 14.8), bookmarks, links between step, piece and
 * part, and conforming to PDF/A-2a (ISO 19005-2). Each has pages, numbers and bookmarks of its own.
 * @param gather what becomes of it as it is made: held, or written to a file
 * @param told so many are set
 */
export async function bookletsPdf<T>(
  { title, booklets, terms, pictures, at }: BookletsToSet,
  gather: (doc: PDFKit.PDFDocument) => Promise<T>,
  told: (done: number) => void = () => undefined,
): Promise<T> {
  const sheet = sheetOf(terms);
  const doc = newDocument({ title, language: booklets[0]?.language ?? 'en-GB' }, sheet, at);
  const gathering = gather(doc);
  const structure = structureOfDocument(doc);
  const measure = measureOf(doc);
  const countPages = pageCounter(sheet, at);
  const draw = imageDrawer(terms, pictures);
  for (const [number, booklet] of booklets.entries()) {
    const [images, swatches] = [await bookletImages(booklet, draw), await bookletSwatches(booklet, draw)];
    const setting = settingOf(sheet, { booklet, terms, measure, images, swatches });
    const part = structure.part(booklet.title);
    const isAlone = booklets.length === 1;
    const outline = isAlone ? () => doc.outline : bookmark(doc, nameOf(booklet));
    const prefix = isAlone ? '' : `${number + 1}-`;
    const pen = penOf(doc, { outline, structure: part, measure, prefix, anchors: anchorsOf(booklet) });
    const bed = terms.page === 'a5-folded' ? foldedBed(doc, sheet, countPages(setting)) : plainBed(doc, sheet);
    setBookletIn(pen, setting, bed);
    sheetPages(pen, booklet);
    // They are done with, and let go of.
    doc.flushPages();
    part.end();
    told(number + 1);
    // What is written flows on only when nothing else is done.
    await setImmediate();
  }
  structure.end();
  doc.end();
  return gathering;
} // prettier-ignore

/** Made on the first page of its booklet: a bookmark leads to where it is made. */
function bookmark(doc: PDFKit.PDFDocument, name: string): () => PDFKit.PDFOutline {
  let made: PDFKit.PDFOutline | null = null;
  return () => (made ??= doc.outline.addItem(name, { expanded: false }));
}

const nameOf = ({ title, whose }: Booklet): string => (whose === '' ? title : `${title}, ${whose}`);
