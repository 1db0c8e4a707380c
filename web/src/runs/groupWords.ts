import { type Pattern, type PackGroup, type Seat, seatName } from '@lanakit/core';
import { choiceWords } from '@lanakit/core/words';

const MOST_NAMES = 3;

/** What the packs of a group are: `russet`, or the usual. */
export const groupTitle = (pattern: Pattern, { choices }: PackGroup): string =>
  choiceWords(pattern, choices) || 'as written';

/** Whose they are: `Mara, Jun, Seat 4 and 2 more; 1 spare`. */
export function whoseWords({ seats, spares }: PackGroup, roster: readonly Seat[]): string {
  const names = seats.map((seat) => seatName(roster.find((own) => own.seat === seat) ?? { seat, name: '' }));
  const shown = names.length > MOST_NAMES + 1 ? names.slice(0, MOST_NAMES) : names;
  const more = names.length - shown.length;
  const people = [shown.join(', '), more > 0 ? `and ${more} more` : '']
    .filter((word) => word !== '')
    .join(' ');
  return [people, spares > 0 ? `${spares} spare` : ''].filter((word) => word !== '').join('; ');
}
