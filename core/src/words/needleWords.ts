import {
  type Change,
  type ChangeCue,
  type Pile,
  ruleOf,
  type Skill,
  type Strength,
  type Symptom,
  type Verdict,
} from '../needles/index.ts';
import type { SchoolKind } from '../pattern/index.ts';
import type { NeedleWanted } from '../shelf/index.ts';

/** A sort of needle as it is asked for: `38 star`, `36`, `large`. */
export const wantedName = (wanted: NeedleWanted): string =>
  wanted.by === 'feel' ? wanted.feel : [wanted.gauge, wanted.profile ?? []].flat().join(' ');

export const SCHOOL_WORDS: Readonly<Record<SchoolKind, string>> = {
  one: 'one needle',
  two: 'two needles',
  ladder: 'ladder of three',
  'by-feel': 'by feel',
  own: 'my own table',
};

/** What each school is for, in a line. */
export const SCHOOL_HINTS: Readonly<Record<SchoolKind, string>> = {
  one: 'One for everything: fewest to buy, mark and count.',
  two: 'One to build and join, one for the surface.',
  ladder: 'One to build, one for the surface, one for details.',
  'by-feel': 'Large, medium, small: no numbers.',
  own: 'A needle for each stage, as you have always done it.',
};

export const STRENGTH_OF_NEEDLE: Readonly<Record<Strength, string>> = {
  never: 'wrong here',
  poor: 'poor here',
  fair: 'fair here',
  good: 'good here',
};

/** Why a needle does as it does: `leaves marks on a visible, firm surface`. */
export const reasonsOf = ({ because }: Verdict): string =>
  because.length > 0
    ? because.map((id) => ruleOf(id).reason).join('; ')
    : 'nothing speaks for it or against it';

/** `36 is poor here: leaves marks on a visible, firm surface`. */
export const verdictWords = (name: string, verdict: Verdict): string =>
  `${name} is ${STRENGTH_OF_NEEDLE[verdict.strength]}: ${reasonsOf(verdict)}`;

/** What to do about it; empty where nothing has to be done. */
export const mendWords = ({ because }: Verdict): string =>
  [...new Set(because.map((id) => ruleOf(id).mend))].filter((mend) => mend !== '').join('; ');

const CUE_WORDS: Readonly<Record<ChangeCue, string>> = {
  resists: 'when the wool starts to push back',
  fits: 'when it has its shape and fits the guide',
  closed: 'when no core shows and the surface begins to close',
  holds: 'when a gentle pull does not lift it',
  smooth: 'when no marks show at arm’s length',
  drawn: 'when what is drawn holds',
  'next-piece': 'with the next piece',
};

/** When to change, in the author’s words where there are any; never a time. */
export const cueWords = ({ words, cue }: Pick<Change, 'words' | 'cue'>): string =>
  words === '' || cue === 'next-piece' ? CUE_WORDS[cue] : `when ${words}`;

export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  practised: 'practised',
  some: 'some practice',
  'first-timer': 'first-timers',
};

export const PILE_WORDS: Readonly<Record<Pile, string>> = {
  out: 'out',
  in: 'back in',
  broken: 'broken',
  sold: 'sold',
  missing: 'missing',
  'given-up': 'given up',
};

export const SYMPTOM_WORDS: Readonly<Record<Symptom, string>> = {
  'poke-marks': 'poke marks',
  vanishes: 'sinks in and vanishes',
  'soft-inside': 'soft inside',
  'join-loose': 'the join is loose',
  'needle-breaks': 'needles keep breaking',
  'will-not-move': 'the wool will not move',
  fuzzy: 'fuzzy',
  'shows-behind': 'shows on the other side',
};
