import type { EvidenceLine } from '@lanakit/core/api';
import { Z90 } from '@lanakit/core/base';
import type { ActKind } from '@lanakit/core/pattern';
import { ACT_WORDS } from '@lanakit/core/words';
import type { Factor } from '@lanakit/core/learning';
import {
  type HowGood,
  LEARNERS,
  type LearntState,
  type MakingQuestion,
  type Untaught,
} from '@lanakit/core/logbook';
import { counted, PACKING_WORDS, showGramNumber, showGrams } from './show.ts';

/** Whose hands: the studio’s own, or somebody’s by name. */
export const whoWords = (who: string): string => (who === '' ? 'you' : who === LEARNERS ? 'learners' : who);

/** Plus or minus, as one number: what eight in ten fall into, of a σ of ln. */
export const plusMinus = (sigma: number): string => `±${Math.round(100 * Math.expm1(Z90 * sigma))} %`;

/** Times what is usual, as more or less. */
export function moreOrLess(factor: number): string {
  const percent = Math.round((factor - 1) * 100);
  if (percent === 0) return 'as usual';
  return percent > 0 ? `${percent} % more` : `${-percent} % less`;
}

export const SKILL_NAMES: Readonly<Record<string, string>> = {
  practised: 'practised hands',
  some: 'some practice',
  'first-timer': 'first-timers',
};

/** What is learnt, by its name. @param fibreName of a fibre on the shelf or not */
export function factorWords(of: Factor, fibreName: (id: string) => string): string {
  switch (of.kind) {
    case 'maker':
      return of.who === '' ? 'How firm you felt, in everything' : `How firm ${whoWords(of.who)} felt`;
    case 'felted':
      return `${fibreName(of.fibreId)}, felted ${of.firmness}`;
    case 'hiding':
      return `${fibreName(of.fibreId)}, laid as a coat`;
    case 'hair':
      return `${fibreName(of.fibreId)}, laid as hair`;
    case 'packed':
      return `Rolling up: ${PACKING_WORDS[of.packing]}`;
    case 'pace':
      return of.who === '' ? 'How long you take' : `How long ${whoWords(of.who)} takes`;
    case 'act':
      return `Steps: ${ACT_WORDS[of.act as ActKind] ?? of.act}`;
    case 'skill':
      return `Steps of ${SKILL_NAMES[of.skill] ?? of.skill}`;
  }
}

/** "was ±27 %, now ±7 %, from 3 samples" */
export const narrowedWords = (before: LearntState, now: LearntState): string =>
  `was ${plusMinus(before.sigma)}, now ${plusMinus(now.sigma)}, from ${counted(now.samples, 'sample')}`;

/** Why something that was written down teaches nothing. */
export function untaughtWords(why: Untaught): string {
  switch (why.code) {
    case 'below_nothing':
      return `It took ${showGrams(why.tookG)}: before and after may be the wrong way round. It does not count until that is mended.`;
    case 'no_pattern':
      return 'There is no pattern to hold it against yet. Make a draft of this page, or choose its pattern.';
    case 'fibre_not_found':
      return 'This fibre is no longer on the shelf. Choose another, or bring it back.';
    case 'not_in_pattern':
      return 'The pattern has none of it here.';
    case 'expected_unknown':
      return 'The pattern does not know what it would come to: a size or an amount is missing in it.';
    case 'told_by_finer':
      return 'Its wool is weighed more finely on this page already; it counts once.';
    case 'only_stated':
      return 'Nothing of it follows from what can be learnt: its grams are stated, or the coat is as thin as a coat may be.';
    case 'not_only_wool':
      return 'It holds more than wool: eyes, wire or something inside. Weigh its bags instead.';
    case 'nothing_took':
      return 'Before and after are the same.';
    case 'not_all_finished':
      return `${why.finished} of ${counted(why.seats, 'seat')} finished: nobody knows how much of it is in figures.`;
    case 'left_not_weighed':
      return 'What was left over is not weighed back.';
  }
}

/** What is asked about a page. */
export function questionWords(question: MakingQuestion): string {
  switch (question.code) {
    case 'below_nothing':
      return question.weighed === 'bag'
        ? `The bag is ${showGrams(-question.tookG)} heavier after than before. Kept as it is; it teaches nothing until it is mended.`
        : `The piece is ${showGrams(-question.tookG)} lighter after than before. Kept as it is; it teaches nothing until it is mended.`;
    case 'unit_slip':
      return `${showGramNumber(question.found)} is about ${question.times < 1 ? `${1 / question.times} times` : `1/${question.times} of`} what is expected: ${showGramNumber(question.found * question.times)} perhaps?`;
    case 'fibre_not_found':
      return 'This fibre is no longer on the shelf.';
    case 'clock_backwards':
      return 'This watch began later than it is now: a clock was set. Type the minutes.';
    case 'whole_and_lines':
      return `The whole figure weighs ${showGrams(question.wholeG)}, and ${showGrams(question.linesG)} of wool went in. One of them may be wrong.`;
    case 'same_twice':
      return `The same weighings are on the page “${question.otherTitle}”. If it is one figure, delete one of the two.`;
  }
}

export const VERDICT_WORDS: Readonly<Record<HowGood['verdict'], string>> = {
  'too-few': 'too few to tell whether ranges keep what they promise',
  'as-promised': 'ranges keep what they promise: eight in ten',
  'too-sure': 'ranges are too narrow: fewer than eight in ten fall into them',
  'too-unsure': 'ranges are wider than they need be: more than eight in ten fall into them',
};

export const EVIDENCE_WORDS: Readonly<Record<EvidenceLine['kind'], string>> = {
  wool: 'wool from a bag',
  piece: 'a piece on the scale',
  whole: 'the whole figure',
  class: 'a class',
  rolled: 'rolled and felted',
  minutes: 'minutes',
};
