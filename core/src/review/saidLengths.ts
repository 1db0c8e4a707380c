import { parseLength, toMm } from '../base/index.ts';

/** A length as it stands in words. */
export interface SaidLength {
  readonly words: string;
  readonly mm: number;
  readonly isInches: boolean;
  /** Where its words end. */
  readonly end: number;
}

const LENGTH =
  /(?<![\w.,/–-])(\d+(?:[.,]\d+)?(?:\s*[¼½¾⅛⅜⅝⅞]|\s+\d+[/⁄]\d+)?|\d+[/⁄]\d+|[¼½¾⅛⅜⅝⅞])\s?(mm|cm|in|inch|inches|″|")(?![\w])/gi;

/** Every length in a text with its unit, in its order; bare numbers are none. */
export const saidLengths = (text: string): SaidLength[] =>
  [...text.matchAll(LENGTH)].flatMap((match) => {
    const parsed = parseLength(match[0], 'mm');
    return parsed.ok
      ? [
          {
            words: match[0],
            mm: toMm(parsed.length),
            isInches: !/mm|cm/i.test(match[2] ?? ''),
            end: match.index + match[0].length,
          },
        ]
      : [];
  });
