import { type RunInput, seatName, seatsOf } from '../run/index.ts';
import { ranges } from './shown.ts';

/** `for Ines, Bram, Seat 4, 2 spare or shown`; of boxes their numbers. @param numbers of the seats or boxes */
export function forWhom(input: RunInput, numbers: readonly number[], copies: number): string {
  const more = copies - numbers.length;
  if (input.kind === 'kits') {
    const spare = more > 0 ? `${more} spare` : '';
    return [numbers.length > 0 ? `boxes ${ranges(numbers)}` : '', spare]
      .filter((word) => word !== '')
      .join(', ');
  }
  const rest = more > 0 ? `${more} spare or shown` : '';
  const seats = seatsOf(input);
  const names = numbers.flatMap((number) => seats[number - 1] ?? []).map(seatName);
  return [names.length > 0 ? `for ${names.join(', ')}` : '', rest].filter((word) => word !== '').join(', ');
}
