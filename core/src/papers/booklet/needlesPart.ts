import { type CardLine, type Ladder, needleCard } from '../../needles/index.ts';
import { cueWords, DEPTH_WORDS, STAGE_WORDS, STROKE_WORDS, wantedName } from '../../words/index.ts';
import { type Block, type BookletPart, quiet } from './model.ts';
import { cell, part } from './part.ts';
import type { BookletSource } from './source.ts';

/** The card of the needles, stage by stage; null: no step takes one. */
export function needlesPart({ ladder }: Pick<BookletSource, 'ladder'>): BookletPart | null {
  const table = needleTable(ladder);
  return table && part('needles', 'Needles', [table, quiet(BY_FEEL)]);
}

export const BY_FEEL =
  'Change by the feel of the wool, not by the clock. Out by the same line as in: a bent needle snaps.';

const ABOUT = 'Which needle at which stage, and when to change';

/** Stage by stage which needle, how, and when to change; null: no step takes one. */
const needleTable = (ladder: Ladder): Block | null =>
  tableOf(ladder, ['Stage', 'Needle', 'How', 'How deep', 'Change or stop'], (words) => [
    words.stage,
    words.needle,
    words.how || 'not said',
    words.deep || 'not said',
    words.change,
  ]);

/** The same in the width of a card. */
export const narrowNeedleTable = (ladder: Ladder): Block | null =>
  tableOf(ladder, ['Stage and needle', 'How', 'Change or stop'], (words) => [
    `${words.stage}\n${words.needle}`,
    [words.how, words.deep].filter((each) => each !== '').join('; ') || 'not said',
    words.change,
  ]);

interface LineWords {
  readonly stage: string;
  readonly needle: string;
  readonly how: string;
  readonly deep: string;
  readonly change: string;
}

function tableOf(ladder: Ladder, titles: readonly string[], cellsOf: (words: LineWords) => readonly string[]): Block | null {
  const lines = needleCard(ladder);
  if (lines.length === 0) return null;
  return {
    is: 'table',
    about: ABOUT,
    columns: titles.map((title) => ({ title, isNumber: false })),
    rows: lines.map((line) => ({ hasBox: false, cells: cellsOf(wordsOf(line)).map((words) => cell(words)) })),
  };
} // prettier-ignore

function wordsOf({ stage, wanted, holders, strokes, depths, change, steps }: CardLine): LineWords {
  const many = holders.filter((size) => size > 1);
  const cue = steps.findLast((step) => step.cue.trim() !== '')?.cue.trim();
  const stop = cue ? `stop when ${cue}` : '';
  return {
    stage: STAGE_WORDS[stage],
    needle: `${wantedName(wanted)}${many.length > 0 ? `, ${many.join(' and ')} in a holder` : ''}`,
    how: strokes.map((stroke) => STROKE_WORDS[stroke]).join(', '),
    deep: depths.map((depth) => DEPTH_WORDS[depth]).join(', '),
    change: change ? `${cueWords(change)}: then the ${wantedName(change.to)}` : stop,
  };
}
