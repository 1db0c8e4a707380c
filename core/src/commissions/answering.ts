import { wordsIn } from '../search/index.ts';
import type { CommissionInput } from './commission.ts';

/** What of a pattern tells whether it is what somebody asks for. */
export interface PatternWords {
  readonly id: string;
  readonly title: string;
  /** Names of its pieces, its tags. */
  readonly others: readonly string[];
}

export interface Answering {
  readonly id: string;
  readonly title: string;
  /** Words of the commission it has, as they were written. */
  readonly words: readonly string[];
}

/** Words that stand in any sentence tell nothing. */
const ANY_SENTENCE = new Set(
  wordsIn(
    'a about all also an and any are as at be been but by can could do does done each every few for from get had has have her him his ' +
      'how if in into is it its just like long made make many may me more most much my new no not of off on one only or other our out ' +
      'over own please she he should small large big little so some something such than that the their them then there these they this ' +
      'those to too two three very want wants was we were what when which who will with without would year years you your',
  ),
);
const TITLE_WEIGHT = 3;
const LEAST_LETTERS = 3;
const MOST_ANSWERS = 4;

/**
 * Patterns that may answer a commission, the best first: by the words of it they have, a word that few patterns have counting
 * for more (inverse document frequency, Spärck Jones 1972), one of the title thrice.
 */
export function patternsAnswering(
  { title, words }: Pick<CommissionInput, 'title' | 'words'>,
  patterns: readonly PatternWords[],
): Answering[] {
  const asked = [...new Set(wordsIn(`${title} ${words}`))].filter(
    (word) => word.length >= LEAST_LETTERS && !ANY_SENTENCE.has(word),
  );
  const read = patterns.map((pattern) => ({
    pattern,
    inTitle: wordsIn(pattern.title),
    inOthers: pattern.others.flatMap(wordsIn),
  }));
  const worth = new Map(
    asked.map((word) => {
      const having = read.filter(({ inTitle, inOthers }) => [...inTitle, ...inOthers].some(isSameWord(word)));
      return [word, Math.log((1 + patterns.length) / (1 + having.length)) + 1] as const;
    }),
  );
  return read
    .map(({ pattern: { id, title: name }, inTitle, inOthers }) => {
      const had = asked.filter((word) => [...inTitle, ...inOthers].some(isSameWord(word)));
      const score = had.reduce(
        (sum, word) => sum + (worth.get(word) ?? 0) * (inTitle.some(isSameWord(word)) ? TITLE_WEIGHT : 1),
        0,
      );
      return { id, title: name, words: had, score };
    })
    .filter(({ score }) => score > 0)
    .toSorted((a, b) => b.score - a.score)
    .slice(0, MOST_ANSWERS)
    .map(({ id, title: name, words: had }) => ({ id, title: name, words: had }));
}

/** The same, or the same with an ending: a hare, two hares. */
const isSameWord = (word: string) => (other: string) =>
  other === word || isPluralOf(word, other) || isPluralOf(other, word);

const isPluralOf = (many: string, single: string): boolean =>
  single.length >= LEAST_LETTERS && (many === `${single}s` || many === `${single}es`);
