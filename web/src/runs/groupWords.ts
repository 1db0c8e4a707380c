import { type Pattern, type PackGroup, percentOf, type RunInput, type Seat, seatName } from '@lanakit/core';
import { choiceWords, SKILL_WORDS } from '@lanakit/core/words';

const MOST_NAMES = 3;

/** What the packs of a group are: `russet`, or the usual. */
export const groupTitle = (pattern: Pattern, { choices, skill }: PackGroup): string =>
  [choiceWords(pattern, choices) || 'as written', skill && SKILL_WORDS[skill]]
    .filter((word) => word !== null)
    .join(', ');

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

/** How much more than likely is packed: by a percentage, or by how sure it is to be. */
export const extraWords = ({
  extraFraction,
  wantedChance,
}: Pick<RunInput, 'extraFraction' | 'wantedChance'>): string =>
  wantedChance === null
    ? `${percentOf(extraFraction)} % over the likely amount`
    : `so much that nobody is short, with ${percentOf(wantedChance)} %`;
