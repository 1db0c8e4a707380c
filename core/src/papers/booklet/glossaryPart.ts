import { allTerms } from '../../words/index.ts';
import { type BookletPart, plain, textOfBlock } from './model.ts';
import { part } from './part.ts';

/** Words of the trade that stand in the rest of it; null: none does. */
export function glossaryPart(parts: readonly BookletPart[]): BookletPart | null {
  const text = parts.flatMap(({ blocks }) => blocks.flatMap(textOfBlock)).join(' ').toLowerCase();
  const used = [...REGIONAL, ...allTerms().map(([, { name, words }]) => ({ name, words }))].filter(({ name }) =>
    name.toLowerCase().split(/[,/]| and /).some((word) => stands(word.trim(), text)),
  );
  if (used.length === 0) return null;
  const rows = used
    .toSorted((a, b) => (a.name.toLowerCase() < b.name.toLowerCase() ? -1 : 1))
    .map(({ name, words }) => ({ label: name, swatch: null, words: plain(words) }));
  return part('glossary', 'Words', [{ is: 'facts', rows }]);
} // prettier-ignore

const stands = (word: string, text: string): boolean =>
  word.length > 2 &&
  new RegExp(`(?<![\\p{L}])${word.replaceAll(/[^\p{L}\p{N} -]/gu, '.')}(?![\\p{L}])`, 'u').test(text);

/** What the same wool is called elsewhere. */
const REGIONAL = [
  { name: 'Tops', words: 'Combed wool in a rope, its fibres side by side; in some places called roving, which elsewhere is carded.' },
  { name: 'Batt', words: 'Carded wool in a sheet, its fibres every way; a narrow one is a sliver, or carded roving.' },
  { name: 'Locks', words: 'Washed wool as it grew, in curls; also called curls.' },
  { name: 'Pre-felt', words: 'Wool felted so far that it can be cut; also called half-felt.' },
] as const; // prettier-ignore
