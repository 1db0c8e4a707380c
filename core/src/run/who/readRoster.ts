import Papa from 'papaparse';
import type { Skill } from '../../needles/index.ts';
import { NO_CHOICES, type Pattern } from '../../pattern/index.ts';
import { RUN_BOUNDS } from '../document/run.ts';
import { blankSeat, type Seat, type SeatChoices } from '../document/seat.ts';

/** One line of a roster as it was understood. */
interface RosterLine {
  /** From 1, in the text. */
  readonly line: number;
  readonly seat: Seat;
  /** Cells that are no choice of this pattern and nothing else we know: kept as the seat’s note. */
  readonly unread: readonly string[];
}

export interface ReadRoster {
  readonly lines: readonly RosterLine[];
  /** Names that come more than once. */
  readonly twice: readonly string[];
}

const SKILL_OF_WORD: Readonly<Record<string, Skill>> = {
  'first-timer': 'first-timer',
  'first timer': 'first-timer',
  beginner: 'first-timer',
  new: 'first-timer',
  some: 'some',
  'some practice': 'some',
  practised: 'practised',
  experienced: 'practised',
};

const plain = (text: string): string => text.trim().toLowerCase();

/**
 * A pasted list or CSV of people: the name first, then whatever is said of them, in any order: a colourway, an answer to
 * an option (alone, or as `eyes: glass`), how practised they are, left-handed, a size (`80 %`).
 * @param firstSeat the number of the first of them
 */
export function readRoster(text: string, pattern: Pattern, firstSeat = 1): ReadRoster {
  const rows = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', ',', '|'],
  }).data;
  const lines = rows.map((cells, index): RosterLine => {
    const [name = '', ...rest] = cells.map((cell) => cell.trim());
    let seat: Seat = { ...blankSeat(firstSeat + index), name: name.slice(0, 60) };
    const unread: string[] = [];
    for (const cell of rest.filter((candidate) => candidate !== '')) {
      const read = readCell(cell, seat, pattern);
      if (read) seat = read;
      else unread.push(cell);
    }
    return { line: index + 1, seat: { ...seat, note: unread.join(', ').slice(0, 200) }, unread };
  });
  const names = lines.map(({ seat }) => plain(seat.name)).filter((name) => name !== '');
  return { lines, twice: [...new Set(names.filter((name, index) => names.indexOf(name) !== index))] };
}

/** `80 %` or `80%`, within what can be made; null: no size. */
function readSize(word: string): number | null {
  const percent = /^(\d+(?:[.,]\d+)?)\s*%$/.exec(word)?.[1];
  if (percent === undefined) return null;
  const fraction = Number(percent.replace(',', '.')) / 100;
  const { min, max } = RUN_BOUNDS.sizeFraction;
  return fraction >= min && fraction <= max ? fraction : null;
}

function readCell(cell: string, seat: Seat, pattern: Pattern): Seat | null {
  const word = plain(cell);
  const skill = SKILL_OF_WORD[word];
  if (skill) return { ...seat, skill };
  if (word === 'left' || word === 'left-handed' || word === 'left handed')
    return { ...seat, isLeftHanded: true };
  const sizeFraction = readSize(word);
  if (sizeFraction !== null) return { ...seat, sizeFraction };
  const choices: SeatChoices = seat.choices ?? { ...NO_CHOICES, values: {}, swapIds: [] };
  const colourway = pattern.colourways.find(({ name }) => plain(name) === word);
  if (colourway) return { ...seat, choices: { ...choices, colourwayId: colourway.id } };
  const [before = '', after] = word.split(':').map((part) => part.trim());
  const answer = after ?? word;
  const options =
    after === undefined ? pattern.options : pattern.options.filter(({ name }) => plain(name) === before);
  const found = options.flatMap(({ id: optionId, values }) =>
    values.filter(({ name }) => plain(name) === answer).map(({ id }) => ({ optionId, valueId: id })),
  );
  // Two options with the same answer: nobody has said which is meant.
  const [only] = found;
  if (found.length !== 1 || !only) return null;
  return { ...seat, choices: { ...choices, values: { ...choices.values, [only.optionId]: only.valueId } } };
}
