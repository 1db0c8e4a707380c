import { remembered } from './remembered.ts';

const NUMBER_WORDS = [
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
export const NUMBER = `${NUMBER_WORDS.join('|')}|\\d{1,2}`;

/** Plurals that do not end as others do. */
const IRREGULAR: Readonly<Record<string, string>> = {
  foot: 'feet',
  tooth: 'teeth',
  goose: 'geese',
  mouse: 'mice',
};

/** A number before one of these measures; it does not count: `12 mm legs`. */
const UNITS = 'mm|cm|m|g|kg|oz|lb|in|inch|inches|min|mins|minutes?|h|hours?|times|gauge|star|twisted|percent';

/** `four legs`, `4 legs`, `four small legs`; not `0.5 cm legs`, `step 4 legs`; null: no number stands before its name. */
export function numberBefore(text: string, name: string): number | null {
  const found = matcherOf(name).exec(text);
  return found?.[1] === undefined ? null : readNumber(found[1]);
}

const matcherOf = remembered((name: string): RegExp => {
  const words = name
    .trim()
    .toLowerCase()
    .replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const plural = words.replace(/\w+$/, (last) => IRREGULAR[last] ?? last);
  const stem = plural === words ? words.replace(/(?:f|fe)$/, '(?:f|fe|ve)') : plural;
  return new RegExp(
    `(?<![\\w.,/–×-]|(?:step|part|piece|×|–) )(${NUMBER})\\s+(?:(?!(?:${UNITS})\\b)\\w+\\s+)?${stem}(?:s|es)?\\b`,
    'i',
  );
});

/** The text with another number there: a word for a word where there is one. */
export function withNumberBefore(text: string, name: string, count: number): string {
  const found = matcherOf(name).exec(text);
  const before = found?.[1];
  if (!found || before === undefined) return text;
  const word = /\d/.test(before) ? undefined : NUMBER_WORDS[count - 2];
  const number = word ?? String(count);
  const shown = /^[A-Z]/.test(before) ? number.charAt(0).toUpperCase() + number.slice(1) : number;
  const at = found.index + found[0].indexOf(before);
  return text.slice(0, at) + shown + text.slice(at + before.length);
}

/** `four`, `4`, `a`, `one`. */
export function readNumber(word: string): number {
  const lower = word.toLowerCase();
  if (lower === 'a' || lower === 'an' || lower === 'one') return 1;
  const at = NUMBER_WORDS.indexOf(lower);
  return at < 0 ? Number(lower) : at + 2;
}
