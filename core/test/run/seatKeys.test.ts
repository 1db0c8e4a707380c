import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  blankSeat,
  checkRun,
  packsOf,
  type Seat,
  seatKeyOf,
  seatsOf,
  withKeptKeys,
  withoutSeat,
  withSeat,
} from '../../src/run/index.ts';
import { classOf } from '../support/coast.ts';

const named = (seat: number, name: string, key?: string): Seat => ({ ...blankSeat(seat, key), name });

describe('who a seat is', () => {
  const roster = [named(1, 'Ines'), named(3, 'Mara'), named(4, 'Tove')];
  test('stays who it is when others go, and whoever comes after is somebody else', () => {
    const after = withoutSeat(roster, 2);
    expect(after.map(({ seat, key }) => [seat, key])).toEqual([[1, '1'], [2, '3'], [3, '4']]);
    // The fourth of those that are left is nobody who was there.
    expect(seatKeyOf(4, after)).toBe('4+');
    const seats = seatsOf({ seats: 5, roster: after });
    expect(seats.map(({ key }) => key)).toEqual(['1', '3', '4', '4+', '5']);
    // Told of, it keeps what it was known by.
    const told = withSeat(after, { ...(seats[3] as Seat), name: 'Jun' });
    expect(seatKeyOf(4, told)).toBe('4+');
  }); // prettier-ignore
  test.each([
    [
      'the same people, sat otherwise',
      [named(1, 'Tove'), named(2, 'mara'), named(3, ' Ines ')],
      ['4', '3', '1'],
    ],
    ['somebody new between them', [named(1, 'Ines'), named(2, 'Jun'), named(3, 'Mara')], ['1', '2', '3']],
    ['two of one name are nobody we know', [named(1, 'Mara'), named(2, 'Mara')], ['1', '2']],
    ['new people where old keys are taken', [named(1, 'Jun'), named(2, 'Ines')], ['1+', '1']],
    ['nobody named', [named(1, ''), named(2, '')], ['1', '2']],
  ] as const)('%s', (_what, after, keys) => {
    expect(withKeptKeys(roster, [...after]).map(({ key }) => key)).toEqual(keys);
  });
  const people = fc.array(fc.constantFrom('Ines', 'Mara', 'Tove', 'Jun', ''), { maxLength: 8 });
  test('whatever list comes after whatever list, no two seats are the same, and no pack has a name in it', () => {
    fc.assert(
      fc.property(people, people, fc.nat(3), (first, second, more) => {
        const list = (names: readonly string[]) => names.map((name, at) => named(at + 1, name));
        const after = withKeptKeys(withKeptKeys([], list(first)), list(second));
        const seats = seatsOf({ seats: second.length + more, roster: after });
        expect(new Set(seats.map(({ key }) => key)).size).toBe(seats.length);
        const group = {
          key: 'g',
          recipe: null,
          seats: seats.map(({ seat }) => seat),
          spares: 1,
          demonstrations: 0,
          sample: null,
        };
        for (const { id } of packsOf([group as never], after)) expect(id).toMatch(/^(?:seat|spare) [\d+]+$/);
      }),
    );
  });
  test('a run in which two are the same is not stored', () => {
    const problems = checkRun(classOf({ seats: 2, roster: [named(1, 'Ines', '1'), named(2, 'Mara', '1')] }));
    expect(problems.map(({ code }) => code)).toEqual(['seat_twice']);
  });
});
