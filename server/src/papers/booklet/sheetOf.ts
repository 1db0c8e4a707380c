import type { BookletTerms } from '@lanakit/core/papers';

/** Points to a millimetre. */
const PT_PER_MM = 72 / 25.4;

/** A page and the type on it, in points. */
export interface Sheet {
  readonly widthPt: number;
  readonly heightPt: number;
  readonly marginPt: number;
  /** Beneath the text: the foot. */
  readonly footPt: number;
  readonly columns: number;
  readonly gutterPt: number;
  /** Of the text; everything else is so many times it. */
  readonly sizePt: number;
}

/** Across and down, mm. */
const PAGES_MM: Readonly<Record<BookletTerms['page'], readonly [number, number]>> = {
  a4: [210, 297],
  a5: [148, 210],
  letter: [215.9, 279.4],
};

const [USUAL_PT, SMALL_PAGE_PT, LARGE_PT] = [10.5, 9.5, 18] as const;
const [MARGIN_MM, SMALL_MARGIN_MM, FOOT_MM] = [18, 13, 9] as const;

/** Large type is set in one column: two would break every line. */
export function sheetOf({ page, type, columns }: BookletTerms): Sheet {
  const [acrossMm, downMm] = PAGES_MM[page];
  const isSmall = page === 'a5';
  const sizePt = type === 'large' ? LARGE_PT : isSmall ? SMALL_PAGE_PT : USUAL_PT;
  return {
    widthPt: acrossMm * PT_PER_MM,
    heightPt: downMm * PT_PER_MM,
    marginPt: (isSmall ? SMALL_MARGIN_MM : MARGIN_MM) * PT_PER_MM,
    footPt: FOOT_MM * PT_PER_MM,
    columns: type === 'large' || isSmall ? 1 : columns,
    gutterPt: 7 * PT_PER_MM,
    sizePt,
  };
}

export const columnWidthPt = ({ widthPt, marginPt, columns, gutterPt }: Sheet): number =>
  (widthPt - 2 * marginPt - (columns - 1) * gutterPt) / columns;
