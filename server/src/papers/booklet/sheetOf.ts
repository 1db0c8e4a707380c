import { type BookletTerms, isSmallPage } from '@lanakit/core/papers';

/** Points to a millimetre. */
export const PT_PER_MM = 72 / 25.4;

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
  /** Of the booklet’s title, times the text. */
  readonly titleTimes: number;
  /** Tables whose cells want more than so many times its width are set row under row. */
  readonly towerTimes: number;
  readonly hasContents: boolean;
  readonly hasFeet: boolean;
}

/** Across and down, mm. */
const PAGES_MM: Readonly<Record<BookletTerms['page'], readonly [number, number]>> = {
  a4: [210, 297],
  a5: [148, 210],
  'a5-folded': [148.5, 210],
  letter: [215.9, 279.4],
};

const [USUAL_PT, SMALL_PAGE_PT, LARGE_PT] = [10.5, 9.5, 18] as const;
const [MARGIN_MM, SMALL_MARGIN_MM, FOOT_MM] = [18, 13, 9] as const;

/** Large type is set in one column: two would break every line. */
export function sheetOf({ page, type, columns }: BookletTerms): Sheet {
  const [acrossMm, downMm] = PAGES_MM[page];
  const isSmall = isSmallPage(page);
  const sizePt = type === 'large' ? LARGE_PT : isSmall ? SMALL_PAGE_PT : USUAL_PT;
  return {
    widthPt: acrossMm * PT_PER_MM,
    heightPt: downMm * PT_PER_MM,
    marginPt: (isSmall ? SMALL_MARGIN_MM : MARGIN_MM) * PT_PER_MM,
    footPt: FOOT_MM * PT_PER_MM,
    columns: type === 'large' || isSmall ? 1 : columns,
    gutterPt: 7 * PT_PER_MM,
    sizePt,
    titleTimes: 2.5,
    towerTimes: 1.9,
    hasContents: true,
    hasFeet: true,
  };
}

/** A card that goes into a box: small, all of it text. */
export const cardSheet = ({
  widthMm,
  heightMm,
}: {
  readonly widthMm: number;
  readonly heightMm: number;
}): Sheet => ({
  widthPt: widthMm * PT_PER_MM,
  heightPt: heightMm * PT_PER_MM,
  marginPt: CARD_MARGIN_MM * PT_PER_MM,
  footPt: 0,
  columns: 1,
  gutterPt: 0,
  sizePt: widthMm < NARROW_CARD_MM ? CARD_PT - 0.5 : CARD_PT,
  titleTimes: 1.5,
  towerTimes: 3,
  hasContents: false,
  hasFeet: false,
});

const [CARD_PT, NARROW_CARD_MM, CARD_MARGIN_MM] = [8.5, 85, 5] as const;

export const columnWidthPt = ({ widthPt, marginPt, columns, gutterPt }: Sheet): number =>
  (widthPt - 2 * marginPt - (columns - 1) * gutterPt) / columns;
