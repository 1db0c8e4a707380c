import type Database from 'better-sqlite3';

/** Words as they are searched: without case, accents and the forms a keyboard gives them. */
const folded = (text: string): string =>
  text
    .normalize('NFKD')
    .replaceAll(/\p{Mark}/gu, '')
    .toLowerCase();

/** Whether a text has all these words, in any order; none: every text. */
export const hasWords = (text: string, search: string): boolean => {
  const found = folded(text);
  return wordsOf(search).every((word) => found.includes(word));
};

/** So that SQL can search by what a person means: `has_words(title, 'pear small')`. */
export function registerFolded(db: Database.Database): void {
  let [asked, words] = ['', [] as readonly string[]];
  db.function('has_words', { deterministic: true }, (text: unknown, search: unknown) => {
    if (search !== asked) [asked, words] = [String(search), wordsOf(String(search))];
    const found = folded(String(text));
    return words.every((word) => found.includes(word)) ? 1 : 0;
  });
}

const wordsOf = (search: string): readonly string[] =>
  folded(search)
    .split(/[\s,]+/)
    .filter((word) => word !== '');
