import { PAGE_SIZES_MM, type PageSize } from '../../run/index.ts';
import { type GuideItem, type GuidePage, type GuideText, STROKES } from './guidePage.ts';
import { textBox } from './wrapText.ts';

const INK = '#1d2733';
const QUIET = '#6b747c';

/** Letters that the paper, the browser and whoever opens the file have. */
const LETTERS = "SourceSans, 'Source Sans 3 Variable', 'Source Sans 3', sans-serif";

/** A page as SVG, its own unit a millimetre. @param unit in which it says how large it is: points for what sets a PDF */
export function guideSvg({ items }: GuidePage, page: PageSize, unit: 'mm' | 'pt' = 'mm'): string {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  return itemsSvg(items, widthMm, heightMm, unit);
}

/** Lines and words as SVG of this size, its own unit a millimetre. */
export function itemsSvg(
  items: readonly GuideItem[],
  widthMm: number,
  heightMm: number,
  unit: 'mm' | 'pt' = 'mm',
): string {
  const size = (mm: number) => (unit === 'mm' ? `${mm}mm` : String((mm * 72) / 25.4));
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size(widthMm)}" height="${size(heightMm)}" viewBox="0 0 ${widthMm} ${heightMm}">` +
    `${items.map(itemSvg).join('')}</svg>`
  );
}

/** Finer than a printer is. */
const fine = (mm: number): number => Math.round(mm * 1000) / 1000;

/** Points of a line as SVG path data. */
const pathData = (points: readonly (readonly [number, number])[], isClosed: boolean): string =>
  `M${points.map(([x, y]) => `${fine(x)} ${fine(y)}`).join('L')}${isClosed ? 'Z' : ''}`;

function itemSvg(item: GuideItem): string {
  if (item.kind === 'line') {
    const { widthMm, dashMm, isQuiet } = STROKES[item.stroke];
    const dashes = dashMm.length > 0 ? ` stroke-dasharray="${dashMm.join(' ')}"` : '';
    return `<path d="${pathData(item.points, item.isClosed)}" fill="${item.isHiding ? '#fff' : 'none'}" stroke="${isQuiet ? QUIET : INK}" stroke-width="${widthMm}"${dashes}/>`;
  }
  const [x, y] = item.at;
  return (
    (item.isOnLines ? groundOf(item) : '') +
    `<text x="${fine(x)}" y="${fine(y)}" font-family="${LETTERS}" font-size="${item.sizeMm}"` +
    `${item.isBold ? ' font-weight="bold"' : ''} text-anchor="${item.anchor}" fill="${INK}">${escaped(item.text)}</text>`
  );
}

function groundOf(item: GuideText): string {
  const [left, right, top, bottom] = textBox(item);
  return `<rect x="${fine(left)}" y="${fine(top)}" width="${fine(right - left)}" height="${fine(bottom - top)}" fill="#fff"/>`;
}

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** As it stands in XML; what XML cannot hold is left out. */
const escaped = (text: string): string =>
  text.replaceAll(/\p{Cc}/gu, '').replaceAll(/[&<>"]/gu, (sign) => ESCAPES[sign] ?? sign);
