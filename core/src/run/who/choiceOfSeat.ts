import { byCodePoint } from '../../base/index.ts';
import { valuesOf } from '../../build/index.ts';
import { brokenLimit, type Choices, type OptionLimit, type Pattern } from '../../pattern/index.ts';
import type { RunInput } from '../document/run.ts';
import { type Seat, seatsOf } from '../document/seat.ts';
import { designsOfSeats } from './designOfSeat.ts';

/** What a seat’s choices come to in a revision. */
export type SeatChoice =
  | { readonly kind: 'chosen'; readonly choices: Choices }
  | { readonly kind: 'undecided' }
  /** Something was chosen that this revision does not have. */
  | { readonly kind: 'gone'; readonly choices: Choices; readonly gone: number }
  | { readonly kind: 'forbidden'; readonly choices: Choices; readonly limit: OptionLimit };

/** What a seat has chosen, held against what the revision offers. */
export function choiceOfSeat(pattern: Pattern, { choices }: Pick<Seat, 'choices'>): SeatChoice {
  if (choices === null) return { kind: 'undecided' };
  const known = knownChoices(pattern, choices);
  const gone = countOf(choices) - countOf(known);
  if (gone > 0) return { kind: 'gone', choices: known, gone };
  const limit = brokenLimit(valuesOf(pattern, known), pattern.limits);
  return limit ? { kind: 'forbidden', choices: known, limit } : { kind: 'chosen', choices: known };
}

function knownChoices({ options, colourways, swaps }: Pattern, choices: Choices): Choices {
  const values = Object.entries(choices.values).filter(
    ([optionId, valueId]) =>
      options.find(({ id }) => id === optionId)?.values.some(({ id }) => id === valueId) === true,
  );
  return {
    values: Object.fromEntries(values),
    colourwayId: colourways.some(({ id }) => id === choices.colourwayId) ? choices.colourwayId : null,
    swapIds: choices.swapIds.filter((swapId) => swaps.some(({ id }) => id === swapId)),
  };
}

const countOf = ({ values, colourwayId, swapIds }: Choices): number =>
  Object.keys(values).length + (colourwayId === null ? 0 : 1) + swapIds.length;

/** Whether seats of a class have anything to choose in it. */
export const hasChoice = ({ options, colourways }: Pick<Pattern, 'options' | 'colourways'>): boolean =>
  options.length + colourways.length > 0;

/** Seats that have not chosen yet, or have chosen what cannot be; none where there is nothing to choose. */
export function undecidedSeats(
  designs: ReadonlyMap<string, Pattern>,
  run: Pick<RunInput, 'seats' | 'roster' | 'revisionId'>,
): number {
  const designOf = designsOfSeats(designs, run);
  return seatsOf(run).filter((seat) => {
    const pattern = designOf(seat)?.[1];
    return pattern && hasChoice(pattern) && choiceOfSeat(pattern, seat).kind !== 'chosen';
  }).length;
}

/**
 * What tells whether two choices make the same: every option’s value, the colourway, the swaps. Bought runs keep it, so
 * that its order is this one, in whatever language the machine is.
 */
export const choicesKey = (pattern: Pattern, choices: Choices): string =>
  JSON.stringify([
    Object.entries(valuesOf(pattern, choices)).sort(([a], [b]) => byCodePoint(a, b)),
    choices.colourwayId,
    [...choices.swapIds].sort(),
  ]);

/** Choices with the swaps that everybody of the run gets, so far as the pattern permits them. */
export const withSwaps = (pattern: Pattern, choices: Choices, swapIds: readonly string[]): Choices => {
  const permitted = swapIds.filter((id) => pattern.swaps.some((swap) => swap.id === id));
  return permitted.length === 0
    ? choices
    : { ...choices, swapIds: [...new Set([...choices.swapIds, ...permitted])] };
};
