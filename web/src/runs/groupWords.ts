import { percentOf } from '@lanakit/core/base';
import { type Bag, type PackGroup, type RunInput, type Seat, seatName } from '@lanakit/core/run';
import { bagWords } from '@lanakit/core/words';
import type { ShownRun } from './useRunPlan.ts';

const MOST_NAMES = 3;

/** The first sort of pack that has this bag. */
export const ownerOfBag = (
  key: string,
  { plan, groups }: Pick<ShownRun, 'plan' | 'groups'>,
): PackGroup | undefined =>
  groups.find(({ key: group }) =>
    plan.groups.find((packedGroup) => packedGroup.key === group)?.plan.bags.some((bag) => bag.key === key),
  );

/** What is written on a bag of a run; empty for the figure’s own. */
export function bagTitle(
  key: string,
  { plan, groups, shelf }: Pick<ShownRun, 'plan' | 'groups' | 'shelf'>,
): string {
  const bag: Bag | undefined = plan.bags.find((candidate) => candidate.key === key);
  if (!bag) return '';
  const owner = ownerOfBag(key, { plan, groups });
  return bagWords(bag, owner ?? { makes: [] }, (id) => shelf.get(id)?.name ?? 'a fibre');
}

/** Whose they are: `Mara, Jun, Seat 4 and 2 more; 1 spare`. */
export function whoseWords(
  { seats, spares, demonstrations, recipe }: PackGroup,
  roster: readonly Seat[],
): string {
  if (recipe)
    return `boxes ${seats[0] ?? ''} to ${seats.at(-1) ?? ''}${spares > 0 ? `; ${spares} spare` : ''}`;
  const names = seats.map((seat) =>
    seatName(roster.find((candidate) => candidate.seat === seat) ?? { seat, name: '' }),
  );
  const shown = names.length > MOST_NAMES + 1 ? names.slice(0, MOST_NAMES) : names;
  const more = names.length - shown.length;
  const people = [shown.join(', '), more > 0 ? `and ${more} more` : '']
    .filter((word) => word !== '')
    .join(' ');
  return [people, spares > 0 ? `${spares} spare` : '', demonstrations > 0 ? 'demonstration' : '']
    .filter((word) => word !== '')
    .join('; ');
}

/** How much more than likely is packed: by a percentage, or by how sure it is to be. */
export const extraWords = ({
  extraFraction,
  wantedChance,
}: Pick<RunInput, 'extraFraction' | 'wantedChance'>): string =>
  wantedChance === null
    ? `${percentOf(extraFraction)} % over the likely amount`
    : `so much that nobody is short, with ${percentOf(wantedChance)} %`;
