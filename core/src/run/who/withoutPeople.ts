import type { Seat } from '../document/seat.ts';

/** A roster with everybody forgotten: what a seat made stays, who sat there and what was to be thought of for them goes. */
export const withoutPeople = (roster: readonly Seat[]): Seat[] =>
  roster.map((seat) => ({ ...seat, name: '', note: '', avoids: [], isLeftHanded: false }));

/** Whether anything is kept of a person. */
export const hasPeople = (roster: readonly Seat[]): boolean =>
  roster.some(
    ({ name, note, avoids, isLeftHanded }) =>
      name.trim() + note.trim() !== '' || avoids.length > 0 || isLeftHanded,
  );
