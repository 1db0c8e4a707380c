import type {
  BookletEnd,
  BookletPage,
  BookletPartName,
  CardName,
  MissingInBooklet,
} from '@lanakit/core/papers';
import { counted } from './show.ts';

export const BOOKLET_END_WORDS: Readonly<Record<BookletEnd, string>> = {
  sell: 'to sell',
  teach: 'to teach',
  oneself: 'for me',
};

export const BOOKLET_PAGE_WORDS: Readonly<Record<BookletPage, string>> = {
  a4: 'A4',
  a5: 'A5',
  'a5-folded': 'A5, folded',
  letter: 'Letter',
};

export const BOOKLET_PART_WORDS: Readonly<Record<BookletPartName, string>> = {
  before: 'Before you begin',
  needs: 'What you need',
  cuts: 'Before you cut',
  pieces: 'Pieces',
  guide: 'Size guide, true size',
  needles: 'Needles',
  steps: 'Steps',
  techniques: 'Techniques, whole',
  trouble: 'When it goes wrong',
  hands: 'Hands and rests',
  care: 'Care and cautions',
  glossary: 'Words',
  sources: 'Where it can be had',
  companions: 'Series, and what goes with it',
  rights: 'Rights and credits',
};

export const CARD_WORDS: Readonly<Record<CardName, string>> = {
  insert: 'Welcome: what it becomes, how to begin',
  contents: 'What is in it',
  needles: 'Needles, stage by stage',
  sharps: 'Needles and fingers: guards and sharps',
  missing: 'Something missing? With the pack’s code',
  certificate: 'Certificate of attendance',
};

const MOST_NUMBERS = 8;

const stepsWords = (steps: readonly number[]): string =>
  steps.length === 1
    ? `Step ${steps[0]}`
    : `Steps ${steps.slice(0, MOST_NUMBERS).join(', ')}${steps.length > MOST_NUMBERS ? ` and ${steps.length - MOST_NUMBERS} more` : ''}`;

/** What its reader would look for, and what to do about it. */
export function missingWords(missing: MissingInBooklet): string {
  switch (missing.kind) {
    case 'unknown':
      return `${counted(missing.count, 'thing')} in it nobody has said yet: the booklet says so in their place.`;
    case 'no-words':
      return `${stepsWords(missing.steps)}: no words. Say what is done, or take it out.`;
    case 'untimed':
      return `${stepsWords(missing.steps)}: no minutes, so the time is only “at least”.`;
    case 'no-picture':
      return `${stepsWords(missing.steps)}: no picture. A step can show the figure as far as it is.`;
    case 'no-alt':
      return `${counted(missing.count, 'picture')} without words for those who cannot see it.`;
    case 'no-prerequisites':
      return 'What one should know before is not said.';
    case 'no-steps':
      return 'It has no steps: nobody can learn from it.';
  }
}

const PLACES: Readonly<Record<string, string>> = {
  title: 'title',
  prerequisites: 'what one should know',
  parts: 'part',
  joins: 'join',
  cuts: 'cut',
  steps: 'step',
  sessions: 'session',
  options: 'option',
  slots: 'place of a colour',
  colourways: 'colours',
  swaps: 'swap',
  pictures: 'picture',
  tools: 'tool',
  techniques: 'technique',
  limits: 'what goes together',
  sharedWeights: 'shared weight',
  enclosures: 'what it goes into',
};
const FIELDS: Readonly<Record<string, string>> = {
  cue: 'stop or change when',
  look: 'check: what to look at',
  how: 'check: how',
  pass: 'check: right when',
  remedy: 'check: if not',
  caption: 'caption',
  alt: 'for who cannot see it',
  kit: 'for who has the kit',
  pattern: 'for who has the pattern alone',
  hides: 'left off, this shows',
  startState: 'on the table',
  safeStop: 'safe stop',
  homework: 'until next time',
  question: 'question',
  notes: 'note',
};

/** Where a text of a pattern stands: `step: check: if not`. */
export function textPlace(key: string): string {
  const [list = '', ...rest] = key.split('/');
  const field = rest.toReversed().find((each) => each in FIELDS);
  const place = PLACES[list] ?? list;
  return field === undefined ? place : `${place}: ${FIELDS[field]}`;
}
