import { PAGE_SIZES_MM, type PageSize } from '../../run/index.ts';
import type { GuideItem, GuidePage } from './guidePage.ts';
import { itemsSvg } from './guideSvg.ts';

/** All pages of a guide in one drawing, one under another: every piece at true size, its own unit a millimetre. */
export function piecesSvg(pages: readonly GuidePage[], page: PageSize): string {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  const items = pages.flatMap(({ items: of }, at) => of.map((item) => lowered(item, at * heightMm)));
  return itemsSvg(items, widthMm, heightMm * pages.length);
}

const lowered = (item: GuideItem, byMm: number): GuideItem =>
  item.kind === 'text'
    ? { ...item, at: [item.at[0], item.at[1] + byMm] }
    : { ...item, points: item.points.map(([x, y]) => [x, y + byMm] as const) };
