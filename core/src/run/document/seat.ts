import { Type, type Static } from '@sinclair/typebox';
import { isEqual, Id, oneOf, orUnknown, strict } from '../../base/index.ts';
import { SKILLS } from '../../needles/index.ts';
import { FIBRE_FLAGS } from '../../shelf/index.ts';

/** What a seat has chosen, as it is stored. Options left out are at their default. */
export const SeatChoices = Type.Object(
  {
    values: Type.Record(Id, Id),
    colourwayId: orUnknown(Id),
    swapIds: Type.Array(Id, { maxItems: 60 }),
  },
  strict,
);
export type SeatChoices = Static<typeof SeatChoices>;

/** What is said of one seat. A seat of which nothing is said is not in the list. */
export const Seat = Type.Object(
  {
    /** From 1. */
    seat: Type.Integer({ minimum: 1, maximum: 200 }),
    /**
     * Who it is, whatever number it has by now: what is weighed and packed is kept by it. The number it had first, and never a name:
     * what was weighed stays when a name goes.
     */
    key: Type.String({ minLength: 1, maxLength: 40, pattern: '^[\\w+-]+$' }),
    name: Type.String({ maxLength: 60 }),
    /** The design this seat makes; null: what the class makes. */
    revisionId: orUnknown(Type.String({ minLength: 1, maxLength: 40 })),
    /** Null: as the class. */
    skill: orUnknown(oneOf(SKILLS)),
    /** Null: has not chosen yet; the usual build is packed. */
    choices: orUnknown(SeatChoices),
    sizeFraction: Type.Number({ description: 'of the size as written; 0.8 is a fifth smaller' }),
    isLeftHanded: Type.Boolean(),
    /** Properties of wool this person may not touch. */
    avoids: Type.Array(oneOf(FIBRE_FLAGS), { maxItems: FIBRE_FLAGS.length }),
    note: Type.String({ maxLength: 200 }),
  },
  strict,
);
export type Seat = Static<typeof Seat>;

/** @param key where it is not the number */
export const blankSeat = (seat: number, key = String(seat)): Seat => ({
  seat,
  key,
  name: '',
  revisionId: null,
  skill: null,
  choices: null,
  sizeFraction: 1,
  isLeftHanded: false,
  avoids: [],
  note: '',
});

/** Whether anything is said of it. */
const isBlankSeat = (seat: Seat): boolean => isEqual(seat, blankSeat(seat.seat));

/** What a seat of which nothing is said is known by: its number, unless somebody who moved has that already. */
export function seatKeyOf(seat: number, roster: readonly Pick<Seat, 'seat' | 'key'>[]): string {
  const found = roster.find((kept) => kept.seat === seat);
  if (found) return found.key;
  const taken = new Set(roster.map(({ key }) => key));
  let key = String(seat);
  while (taken.has(key)) key += '+';
  return key;
}

/** Every seat of a class, said of or not. */
export const seatsOf = ({
  seats,
  roster,
}: {
  readonly seats: number;
  readonly roster: readonly Seat[];
}): Seat[] => {
  const bySeat = new Map(roster.map((kept) => [kept.seat, kept]));
  return Array.from(
    { length: Math.max(0, Math.floor(seats)) },
    (_, at) => bySeat.get(at + 1) ?? blankSeat(at + 1, seatKeyOf(at + 1, roster)),
  );
};

/** The roster with one seat said otherwise; a seat of which nothing is left to say goes. */
export const withSeat = (roster: readonly Seat[], ownSeat: Seat): Seat[] =>
  [...roster.filter(({ seat }) => seat !== ownSeat.seat), ...(isBlankSeat(ownSeat) ? [] : [ownSeat])].sort(
    (a, b) => a.seat - b.seat,
  );

/** The roster without a seat: those after it move up, and keep all that was said of them. */
export const withoutSeat = (roster: readonly Seat[], seat: number): Seat[] =>
  roster.flatMap((kept) =>
    kept.seat === seat ? [] : [kept.seat > seat ? { ...kept, seat: kept.seat - 1 } : kept],
  );

export const seatName = ({ seat, name }: Pick<Seat, 'seat' | 'name'>): string =>
  name.trim() || `Seat ${seat}`;
