import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { daysAfter, daysBetween } from '../../src/base/index.ts';

describe('days of the calendar', () => {
  test.each([
    ['over a new year', '2027-12-31', 1, '2028-01-01'],
    ['over a leap day', '2028-02-28', 2, '2028-03-01'],
    ['backwards', '2027-03-01', -1, '2027-02-28'],
    ['over the hour that clocks skip', '2027-03-27', 2, '2027-03-29'],
    ['none', '2027-03-27', 0, '2027-03-27'],
    ['of what is no day: as typed', '2027-02-30', 1, '2027-02-30'],
    ['of nothing typed', '', 7, ''],
  ] as const)('%s', (_name, day, days, wanted) => expect(daysAfter(day, days)).toBe(wanted));

  // The platform’s own calendar is the judge.
  test('so many days later is so many days away, and is what the calendar says', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40_000 }),
        fc.integer({ min: -2000, max: 2000 }),
        (from, days) => {
          const day = new Date(Date.UTC(1990, 0, 1 + from)).toISOString().slice(0, 10);
          const later = daysAfter(day, days);
          expect(later).toBe(new Date(Date.UTC(1990, 0, 1 + from + days)).toISOString().slice(0, 10));
          expect(daysBetween(day, later)).toBe(days);
        },
      ),
    ));
});
