import { type Seat, seatKeyOf } from '../document/seat.ts';
import type { PackGroup } from './packGroups.ts';

/** One pack or box that lies on the table. */
export interface Pack {
  /** Kept on what is weighed and packed for it: `seat KEY`, `box NUMBER`, `spare 1`. Never a name. */
  readonly id: string;
  readonly groupKey: string;
  readonly kind: 'seat' | 'box' | 'spare' | 'demonstration' | 'sample';
  /** Of the seat or box, or among its kind, from 1. */
  readonly number: number;
  readonly name: string;
  readonly seat: Seat | null;
}

/** Every pack of a run: seats or boxes by number, then demonstrations, spares and samples. */
export function packsOf(groups: readonly PackGroup[], roster: readonly Seat[]): Pack[] {
  const seatOf = new Map(roster.map((seat) => [seat.seat, seat]));
  const seats = groups
    .flatMap(({ key, recipe, seats: numbers }) =>
      numbers.map((number): Pack => {
        const seat = seatOf.get(number) ?? null;
        const name = seat?.name.trim() ?? '';
        const kind = recipe ? 'box' : 'seat';
        return {
          id: `${kind} ${recipe ? number : seatKeyOf(number, roster)}`,
          groupKey: key,
          kind,
          number,
          name: recipe?.name ?? name,
          seat,
        };
      }),
    )
    .sort((a, b) => a.number - b.number);
  const numbered = (
    kind: 'demonstration' | 'spare' | 'sample',
    countOf: (group: PackGroup) => number,
  ): Pack[] =>
    groups
      .flatMap((group) => Array.from({ length: countOf(group) }, () => group))
      .map(({ key, recipe }, at) => ({
        id: `${kind} ${at + 1}`,
        groupKey: key,
        kind,
        number: at + 1,
        name: recipe?.name ?? '',
        seat: null,
      }));
  return [
    ...seats,
    ...numbered('demonstration', ({ demonstrations }) => demonstrations),
    ...numbered('spare', ({ spares }) => spares),
    ...numbered('sample', ({ sample }) => (sample ? 1 : 0)),
  ];
}
