import type { Sheet } from './sheetOf.ts';

/** Upper left corner of a page on the paper it is printed on. */
export interface Corner {
  readonly xPt: number;
  readonly yPt: number;
}

/** Where the pages of a booklet, or the leaves of a card, lie on paper. */
export interface Bed {
  /** One more; what is drawn lies on it from now on. */
  readonly add: () => Corner;
  /** Back to one of them, from 0. */
  readonly go: (page: number) => Corner;
  readonly count: () => number;
}

/** Each on a sheet of its own. */
export function plainBed(doc: PDFKit.PDFDocument, { widthPt, heightPt }: Sheet): Bed {
  const first = pagesOf(doc);
  const corner = { xPt: 0, yPt: 0 };
  return {
    add() {
      doc.addPage({ size: [widthPt, heightPt], margin: 0 });
      return corner;
    },
    go(page) {
      doc.switchToPage(first + page);
      return corner;
    },
    count: () => pagesOf(doc) - first,
  };
}

/** Two on each side of a sheet that is printed on both, so that all of them in one pile, folded together, are in order. */
export function foldedBed(doc: PDFKit.PDFDocument, { widthPt, heightPt }: Sheet, pages: number): Bed {
  const first = pagesOf(doc);
  const places = foldedPlaces(pages);
  const sides = Math.max(0, ...places.map(({ side }) => side + 1));
  for (let side = 0; side < sides; side++) doc.addPage({ size: [2 * widthPt, heightPt], margin: 0 });
  let made = 0;
  const go = (page: number): Corner => {
    const { side, isRight } = places[page] ?? { side: 0, isRight: false };
    doc.switchToPage(first + side);
    return { xPt: isRight ? widthPt : 0, yPt: 0 };
  };
  return {
    add() {
      made += 1;
      return go(made - 1);
    },
    go,
    count: () => made,
  };
}

/** On which side, from 0, and in which half of it each page lies: the outermost sheet has the first two and the last two. */
export function foldedPlaces(pages: number): { readonly side: number; readonly isRight: boolean }[] {
  const room = Math.ceil(pages / PAGES_A_SHEET) * PAGES_A_SHEET;
  return Array.from({ length: pages }, (_each, page) => {
    const isFirstHalf = page < room / 2;
    const side = isFirstHalf ? page : room - 1 - page;
    // On fronts the earlier page is at the right, on backs at the left.
    return { side, isRight: isFirstHalf === (side % 2 === 0) };
  });
}

const PAGES_A_SHEET = 4;

/** Sides that are made, those that were let go of too. */
export function pagesOf(doc: PDFKit.PDFDocument): number {
  const { start, count } = doc.bufferedPageRange();
  return start + count;
}
