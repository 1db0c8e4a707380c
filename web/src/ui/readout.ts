import type { Ladder, LadderFlag, NeedleKit, Stretch } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import {
  capital,
  cueWords,
  DEPTH_WORDS,
  mendWords,
  minutesWords,
  reasonsOf,
  STRENGTH_OF_NEEDLE,
  STROKE_WORDS,
  verdictWords,
  wantedName,
} from '@lanakit/core/words';
import { showKnownPart, showMoney } from '../words/show.ts';

/** A stretch in a few words, for a hand that rests on it and for those who do not see it. */
export function stretchName({ step, wanted, minutes }: Stretch, ladder: Ladder, number: number): string {
  const verdict = ladder.verdicts.get(step.id);
  const time = step.minutes === null || minutes === null ? 'minutes not said' : minutesWords(step.minutes);
  const needle = wanted ? wantedName(wanted) : 'no needle';
  const isBack = ladder.flags.some(({ code, stepId }) => code === 'roughens' && stepId === step.id);
  return `Step ${number}: ${needle}, ${time}${verdict ? `, ${STRENGTH_OF_NEEDLE[verdict.strength]}` : ''}${isBack ? ', back to coarse' : ''}`;
}

/** A step’s number as the list of steps has it, whatever the build leaves out. */
export const numberIn = ({ steps }: Pick<Pattern, 'steps'>, stepId: string): number =>
  steps.findIndex(({ id }) => id === stepId) + 1;

/** How it is worked: `straight down · right through · 3 in a holder`. */
export const workingWords = ({ step }: Stretch): string =>
  [
    step.stroke && STROKE_WORDS[step.stroke],
    step.depth && DEPTH_WORDS[step.depth],
    step.holder && step.holder > 1 ? `${step.holder} in a holder` : null,
  ]
    .filter((word) => word !== null)
    .join(' · ');

/** Whether the needle does, and why. */
export function verdictOf({ step, wanted }: Stretch, ladder: Ladder): string {
  const verdict = ladder.verdicts.get(step.id);
  return verdict && wanted ? verdictWords(wantedName(wanted), verdict) : '';
}

/** What is wrong, and what mends it. */
export function flagWords(flag: LadderFlag, build: Pattern): { what: string; mend: string } {
  switch (flag.code) {
    case 'unfit':
      return {
        what: `${wantedName(flag.wanted)} is ${STRENGTH_OF_NEEDLE[flag.verdict.strength]}: ${reasonsOf(flag.verdict)}.`,
        mend: sentence(mendWords(flag.verdict)),
      };
    case 'roughens': {
      const parts = flag.partIds
        .map((id) => build.parts.find((part) => part.id === id)?.name ?? '')
        .join(', ');
      return {
        what: `Back to coarse: ${parts} was smoothed with the ${wantedName(flag.better)} already, and is not smoothed again.`,
        mend: `Do this before it is smoothed, or go over it with the ${wantedName(flag.better)} afterwards.`,
      };
    }
    case 'not_said':
      return {
        what: 'Nobody has said which needle.',
        mend: 'Give its stage one in your table, or the step its own.',
      };
  }
}

const sentence = (words: string): string => (words === '' ? '' : `${capital(words)}.`);

/** What tells a maker to take the next needle; empty where the same goes on. */
export function changeAfter({ step }: Stretch, { path }: Ladder): string {
  const change = path.changes.find(({ afterStepId }) => afterStepId === step.id);
  return change ? `Then the ${wantedName(change.to)}, ${cueWords(change)}.` : '';
}

/** `All of them 21.45; to buy 4.20, and 1 sort unpriced`. */
export function costWords({ costMinor, buyCostMinor }: NeedleKit): string {
  const unpriced = ({ unknownCount }: NeedleKit['costMinor']) =>
    unknownCount > 0 ? ` and ${unknownCount} unpriced` : '';
  return `All of them ${showKnownPart(costMinor, showMoney)}${unpriced(costMinor)}; to buy ${showKnownPart(buyCostMinor, showMoney)}${unpriced(buyCostMinor)}`;
}
