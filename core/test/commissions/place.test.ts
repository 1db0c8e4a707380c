import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { daysAfter } from '../../src/base/index.ts';
import { BUYING_TERMS } from '../../src/buying/index.ts';
import { placeOf, type TakenDay, workDaysOf } from '../../src/commissions/index.ts';

const taken = (...days: string[]): TakenDay[] =>
  days.map((day) => ({ day, name: 'a class', ofId: 'r', of: 'class' }));
// Three hours a day, no work on Sundays. 2026-12-05 is a Saturday.
const terms = BUYING_TERMS;
const weekday = (day: string) => new Date(`${day}T00:00:00Z`).getUTCDay();

describe('a place in the calendar', () => {
  test.each<[string, number, number]>([
    ['a little is a day', 10, 1],
    ['just a day', 180, 1],
    ['a minute over', 181, 2],
    ['ten hours', 600, 4],
  ])('%s', (_what, minutes, days) => {
    expect(workDaysOf(minutes, terms)).toBe(days);
  });

  test('ten hours wanted by a Saturday: begun on the Tuesday before, a Sunday never counts', () => {
    expect(placeOf({ byDay: '2026-12-05', beginsOn: null }, 600, [], '2026-11-30', terms).beginBy).toBe('2026-12-01');
    expect(placeOf({ byDay: '2026-12-08', beginsOn: null }, 600, [], '2026-11-30', terms).beginBy).toBe('2026-12-03');
  }); // prettier-ignore

  test('days of classes are taken', () => {
    const { beginBy, doneIfBegunToday } = placeOf(
      { byDay: '2026-12-05', beginsOn: null },
      600,
      taken('2026-12-02', '2026-12-03'),
      '2026-11-30',
      terms,
    );
    expect(beginBy).toBe('2026-11-28');
    expect(doneIfBegunToday).toBe('2026-12-05');
  });

  test('too late even today is said; wanted whenever it is done nothing is late', () => {
    const late = placeOf({ byDay: '2026-12-01', beginsOn: '2026-11-30' }, 600, [], '2026-11-30', terms);
    expect(late).toMatchObject({ isTooLate: true, lateOn: '2026-12-03' });
    const free = placeOf({ byDay: null, beginsOn: '2026-11-30' }, 600, [], '2026-11-30', terms);
    expect(free).toMatchObject({ isTooLate: false, lateOn: null, beginBy: null });
    expect(free.days).toEqual(['2026-11-30', '2026-12-01', '2026-12-02', '2026-12-03']);
  });

  test('where every day is taken the search ends', () => {
    const all = Array.from({ length: 1200 }, (_each, at) => daysAfter('2026-11-30', at));
    expect(
      placeOf({ byDay: null, beginsOn: null }, 60, taken(...all), '2026-11-30', terms).doneIfBegunToday,
    ).toBe('2026-11-30');
  });

  test('by a simple count: from the day it has to begin on there are as many free days as it takes, a day later one too few', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 3000 }),
        fc.uniqueArray(fc.integer({ min: -60, max: 20 }), { maxLength: 20 }),
        (minutes, busyDays) => {
          const [by, busy] = ['2027-03-10', busyDays.map((at) => daysAfter('2027-03-01', at))];
          const { beginBy, workDays } = placeOf({ byDay: by, beginsOn: null }, minutes, taken(...busy), '2026-01-01', terms);
          const freeFrom = (from: string): number => {
            let free = 0;
            for (let day = from; day < by; day = daysAfter(day, 1)) if (weekday(day) !== 0 && !busy.includes(day)) free += 1;
            return free;
          };
          expect(freeFrom(beginBy ?? '')).toBe(workDays);
          expect(freeFrom(daysAfter(beginBy ?? '', 1))).toBe(workDays - 1);
        },
      ),
      { numRuns: 60 },
    );
  }); // prettier-ignore
});
