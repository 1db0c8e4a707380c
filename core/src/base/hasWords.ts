/** Words as they are searched: without case, accents and the forms a keyboard gives them. */
export const folded = (text: string): string =>
  text
    .normalize('NFKD')
    .replaceAll(/\p{Mark}/gu, '')
    .toLowerCase();

/** The words somebody looks for, folded. */
export const searchWords = (search: string): readonly string[] =>
  folded(search)
    .split(/[\s,]+/)
    .filter((word) => word !== '');

/** Whether a text has all these words, in any order; none: every text has. @param words folded */
export const hasAllWords = (text: string, words: readonly string[]): boolean => {
  const found = folded(text);
  return words.every((word) => found.includes(word));
};

/** The same, of words as they are typed. */
export const hasWords = (text: string, search: string): boolean => hasAllWords(text, searchWords(search));
