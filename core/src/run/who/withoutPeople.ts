import type { Seat } from '../document/seat.ts';

/** A seat with whoever sat there forgotten: what it made stays; the name and what was to be thought of for them go. */
export const withoutPerson = (seat: Seat): Seat => ({
  ...seat,
  name: '',
  note: '',
  avoids: [],
  isLeftHanded: false,
});

/** Whether anything is kept of a person at a seat. */
export const hasPerson = ({ name, note, avoids, isLeftHanded }: Seat): boolean =>
  name.trim() + note.trim() !== '' || avoids.length > 0 || isLeftHanded;

/** Whether anything is kept of anybody. */
export const hasPeople = (roster: readonly Seat[]): boolean => roster.some(hasPerson);
