import type { GuideText } from './guidePage.ts';

/** A letter of ours is about so wide, of its size; capitals and figures among them. */
const LETTER = 0.52;

/** How wide a text is set, mm: never less than it is. */
export const textWidthMm = (text: string, sizeMm: number): number => [...text].length * LETTER * sizeMm;

/** A text in lines no wider than this, broken between words; a word that is wider is broken where it must. */
export function wrapText(text: string, sizeMm: number, widthMm: number): string[] {
  const most = Math.max(1, Math.floor(widthMm / (LETTER * sizeMm)));
  const lines: string[] = [];
  let line = '';
  for (const word of unbroken(text)
    .split(' ')
    .flatMap((whole) => broken(whole, most))) {
    const longer = line === '' ? word : `${line} ${word}`;
    if ([...longer].length <= most) line = longer;
    else {
      if (line !== '') lines.push(line);
      line = word;
    }
  }
  return line === '' ? lines : [...lines, line];
}

/** A number stays with its unit. */
const unbroken = (text: string): string =>
  text.replaceAll(/(\d|[¼½¾⅛⅜⅝⅞]) (mm|in|×)/gu, '$1\u00a0$2').replaceAll('× ', '×\u00a0');

function broken(word: string, most: number): string[] {
  const letters = [...word];
  const parts: string[] = [];
  for (let at = 0; at < letters.length; at += most) parts.push(letters.slice(at, at + most).join(''));
  return parts;
}

/** The box a text is set in: left, right, top, bottom, mm. */
export function textBox({ at: [x, y], text, sizeMm, anchor }: GuideText): [number, number, number, number] {
  const width = textWidthMm(text, sizeMm);
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return [left, left + width, y - sizeMm * 0.8, y + sizeMm * 0.25];
}
