import type { Measure } from './lines.ts';

const UNIT_PT = 1000;

/**
 * How wide text is, letter by letter: each is measured once. What is drawn is kerned and a little narrower, so no line that was
 * found to fit ever runs out of its column.
 */
export function measureOf(doc: PDFKit.PDFDocument): Measure {
  const widths = new Map<string, Map<string, number>>();
  const widthIn = (font: string, letter: string): number => {
    const known = widths.get(font) ?? new Map<string, number>();
    widths.set(font, known);
    const width = known.get(letter) ?? doc.font(font).fontSize(UNIT_PT).widthOfString(letter);
    known.set(letter, width);
    return width;
  };
  return (text, font, sizePt) => {
    let sum = 0;
    for (const letter of text) sum += widthIn(font, letter);
    return (sum * sizePt) / UNIT_PT;
  };
}
