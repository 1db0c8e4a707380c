import { showLengths } from '../base/index.ts';
import type { Choices, Pattern } from '../pattern/index.ts';
import { choiceWords } from './choiceWords.ts';
import { sizedWords } from './runWords.ts';

/** What is made of a pattern, beside which it is. */
interface Made {
  readonly choices: Choices;
  /** Of the size as written, linear. */
  readonly sizeFraction: number;
}

/** Which of its makes it is: options, colours, size. */
export const makeWords = (pattern: Pattern, { choices, sizeFraction }: Made): string[] =>
  [choiceWords(pattern, choices), sizedWords(sizeFraction)].filter((words) => words !== '');

/** What has to be known before its first step: words of steps are older than the size, and the hand. */
export const makeNotes = (
  build: Pick<Pattern, 'finishedHeight'>,
  { sizeFraction, isLeftHanded }: Pick<Made, 'sizeFraction'> & { readonly isLeftHanded: boolean },
): string[] => [...sizeNotes(build, sizeFraction), ...(isLeftHanded ? [FOR_THE_LEFT_HAND] : [])];

const FOR_THE_LEFT_HAND = 'For the left hand: what is wound goes the other way round.';

function sizeNotes({ finishedHeight }: Pick<Pattern, 'finishedHeight'>, sizeFraction: number): string[] {
  if (sizeFraction === 1) return [];
  const tall = finishedHeight ? `${showLengths([finishedHeight])} tall. ` : '';
  return [
    `${tall}Pieces and cuts are given in this size; a length in the words of a step is as it was written: take it times ${sizeFraction}. Bought things stay as they are.`,
  ];
}
