import { folded } from '../base/index.ts';

/** The words of a text as they are searched: without case, accents and signs, in their order. */
export const wordsIn = (text: string): readonly string[] =>
  folded(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** Whether each of the words begins a word of the text. @param words as `wordsIn` gives them */
export function beginsEach(text: string, words: readonly string[]): boolean {
  const there = wordsIn(text);
  return words.every((word) => there.some((other) => other.startsWith(word)));
}
