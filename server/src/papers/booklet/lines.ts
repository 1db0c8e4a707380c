import type { Words } from '@lanakit/core/papers';

export const FONTS = {
  plain: 'Plain',
  strong: 'Strong',
  slanted: 'Slanted',
  strongSlanted: 'StrongSlanted',
} as const;
type FontName = (typeof FONTS)[keyof typeof FONTS];

/** A stretch of one line in one hand. */
interface Stretch {
  readonly text: string;
  readonly font: FontName;
  readonly xPt: number;
  readonly widthPt: number;
  readonly to: string | null;
}

export interface TextLine {
  readonly stretches: readonly Stretch[];
  readonly widthPt: number;
}

/** How wide a text is in a font at a size. */
export type Measure = (text: string, font: FontName, sizePt: number) => number;

const fontOf = ({ isStrong, isSlanted }: Words[number]): FontName =>
  isStrong ? (isSlanted ? FONTS.strongSlanted : FONTS.strong) : isSlanted ? FONTS.slanted : FONTS.plain;

interface Piece {
  readonly text: string;
  readonly font: FontName;
  readonly to: string | null;
  readonly widthPt: number;
}

/** Words broken into lines, the first that fits (greedy); what is wider than a line is broken anywhere. */
export function linesOf(words: Words, widthPt: number, sizePt: number, measure: Measure): TextLine[] {
  const lines: Piece[][] = [[]];
  let atPt = 0;
  const feed = () => {
    lines.push([]);
    atPt = 0;
  };
  for (const run of words) {
    const font = fontOf(run);
    for (const text of run.text.split(/(\n| +)/)) {
      if (text === '') continue;
      if (text === '\n') {
        feed();
        continue;
      }
      const isSpace = text.trim() === '' && !text.includes('\u00A0');
      const wide = measure(text, font, sizePt);
      if (isSpace && atPt === 0) continue;
      if (!isSpace && atPt + wide > widthPt + 1e-6 && atPt > 0) feed();
      for (const part of wide > widthPt && !isSpace ? brokenAnywhere(text, font, widthPt, sizePt, measure) : [text]) {
        const partPt = measure(part, font, sizePt);
        if (atPt + partPt > widthPt + 1e-6 && atPt > 0 && !isSpace) feed();
        lines.at(-1)?.push({ text: part, font, to: run.to ?? null, widthPt: partPt });
        atPt += partPt;
      }
    }
  }
  return lines.map(lineOf).filter(({ stretches }, at) => stretches.length > 0 || at < lines.length - 1);
} // prettier-ignore

/** Neighbours of one hand are drawn at once; no line ends in a space. */
function lineOf(pieces: readonly Piece[]): TextLine {
  const trimmed = [...pieces];
  while (trimmed.at(-1)?.text.trim() === '') trimmed.pop();
  const stretches: Stretch[] = [];
  let xPt = 0;
  for (const { text, font, to, widthPt } of trimmed) {
    const last = stretches.at(-1);
    if (last && last.font === font && last.to === to)
      stretches[stretches.length - 1] = {
        ...last,
        text: last.text + text,
        widthPt: last.widthPt + widthPt,
      };
    else stretches.push({ text, font, to, xPt, widthPt });
    xPt += widthPt;
  }
  return { stretches, widthPt: xPt };
}

function brokenAnywhere(text: string, font: FontName, widthPt: number, sizePt: number, measure: Measure): string[] {
  const parts: string[] = [''];
  for (const letter of text) {
    const last = parts.at(-1) ?? '';
    if (last !== '' && measure(last + letter, font, sizePt) > widthPt) parts.push(letter);
    else parts[parts.length - 1] = last + letter;
  }
  return parts;
} // prettier-ignore
