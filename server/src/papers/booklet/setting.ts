import type { Booklet, BookletTerms } from '@lanakit/core/papers';
import type { Measure } from './lines.ts';
import type { ReadyImage } from './pen.ts';
import { columnWidthPt, type Sheet } from './sheetOf.ts';

/** What everything on a page is set with. */
export interface Setting {
  readonly sheet: Sheet;
  readonly terms: Pick<BookletTerms, 'ink' | 'isStepAPage'>;
  readonly booklet: Booklet;
  readonly measure: Measure;
  readonly images: ReadonlyMap<string, ReadyImage>;
  readonly swatches: ReadonlyMap<string, ReadyImage>;
  /** Of a column. */
  readonly widthPt: number;
  /** Of the text, and of what is smaller. */
  readonly sizePt: number;
  readonly smallPt: number;
  readonly headPt: number;
  readonly titlePt: number;
  /** From one line to the next, times its size. */
  readonly lead: number;
}

const [SMALL, HEAD, PART, LEAD] = [0.86, 1.12, 1.5, 1.32] as const;

export const settingOf = (
  sheet: Sheet,
  parts: Pick<Setting, 'terms' | 'booklet' | 'measure' | 'images' | 'swatches'>,
): Setting => ({
  ...parts,
  sheet,
  widthPt: columnWidthPt(sheet),
  sizePt: sheet.sizePt,
  smallPt: sheet.sizePt * SMALL,
  headPt: sheet.sizePt * HEAD,
  titlePt: sheet.sizePt * PART,
  lead: LEAD,
});

export const swatchKey = ({ colour, preparation }: { colour: string; preparation: string }): string =>
  `${preparation} ${colour}`;
