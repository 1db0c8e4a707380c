import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  byCodePoint,
  checkName,
  checkRange,
  checkWhole,
  isCalendarDate,
  isEqual,
} from '../../src/base/index.ts';

const SEATS = { min: 1, max: 200 };

describe('what a number may be', () => {
  test.each([
    ['in the middle', 12],
    ['at the least', 1],
    ['at the most', 200],
    ['between two whole ones', 1.5],
  ])('in range: %s', (_name, value) => expect(checkRange(value, SEATS, '/seats')).toEqual([]));
  test.each([
    ['a little less', 0.999],
    ['a little more', 200.001],
    ['below nothing', -3],
    ['no number', Number.NaN],
    ['without end', Number.POSITIVE_INFINITY],
    ['without end below', Number.NEGATIVE_INFINITY],
  ])('out of range: %s', (_name, value) => {
    expect(checkRange(value, SEATS, '/seats')).toEqual([
      { code: 'number_out_of_range', pointer: '/seats', value, min: 1, max: 200 },
    ]);
  });
  test.each([
    ['whole', 12, []],
    ['not whole', 12.5, [{ code: 'not_whole', pointer: '/seats', value: 12.5 }]],
    // One fault is said, not two: out of range is the larger one.
    ['neither', 200.5, [{ code: 'number_out_of_range', pointer: '/seats', value: 200.5, min: 1, max: 200 }]],
    [
      'no number',
      Number.NaN,
      [{ code: 'number_out_of_range', pointer: '/seats', value: Number.NaN, min: 1, max: 200 }],
    ],
  ])('counted: %s', (_name, value, expected) => expect(checkWhole(value, SEATS, '/seats')).toEqual(expected));
  test('judged by counting up: a whole number from the least to the most, and no other', () => {
    const allowed = new Set(Array.from({ length: 200 }, (_, i) => i + 1));
    fc.assert(
      fc.property(fc.oneof(fc.integer({ min: -50, max: 300 }), fc.double()), (value) => {
        expect(checkWhole(value, SEATS, '/x').length === 0).toBe(allowed.has(value));
      }),
    );
  });
});

describe('what a name may be', () => {
  test.each([
    ['Puffin', undefined, []],
    ['  Puffin ', undefined, []],
    ['', undefined, [{ code: 'title_empty', pointer: '/name' }]],
    [' \t\n ', undefined, [{ code: 'title_empty', pointer: '/name' }]],
    [' ', '/parts/2/name', [{ code: 'title_empty', pointer: '/parts/2/name' }]],
  ] as const)('%j', (name, pointer, expected) => {
    expect(pointer === undefined ? checkName(name) : checkName(name, pointer)).toEqual(expected);
  });
});

/** Days of a month by the rule of 1582, not by any date of the machine’s. */
function daysOf(year: number, month: number): number {
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  return [31, isLeap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1] ?? 0;
}
const padded = (value: number, digits: number): string => String(value).padStart(digits, '0');

describe('a day', () => {
  test('is one that the calendar has', () => {
    const numbers = fc.tuple(
      fc.integer({ min: 1, max: 9999 }),
      fc.integer({ min: 0, max: 14 }),
      fc.integer({ min: 0, max: 40 }),
    );
    fc.assert(
      fc.property(numbers, ([year, month, day]) => {
        const isThere = month >= 1 && month <= 12 && day >= 1 && day <= daysOf(year, month);
        expect(isCalendarDate(`${padded(year, 4)}-${padded(month, 2)}-${padded(day, 2)}`)).toBe(isThere);
      }),
      { numRuns: 500 },
    );
  });
  test.each([
    ['2028-02-29', true],
    ['2026-02-29', false],
    ['2100-02-29', false],
    ['2000-02-29', true],
    ['2026-12-31', true],
    ['2026-11-31', false],
    ['2026-00-10', false],
    ['2026-1-2', false],
    ['02026-01-02', false],
    ['2026-01-02 ', false],
    [' 2026-01-02', false],
    ['2026-01-02T10:00', false],
    ['5 Dec', false],
    ['', false],
  ])('%j: %s', (text, isThere) => expect(isCalendarDate(text)).toBe(isThere));
});

describe('order and sameness', () => {
  test('words stand in the order of their characters, whatever the language of the machine', () => {
    expect(['ö', 'b', 'Z', 'a', 'A', 'é', '10', '9'].sort(byCodePoint)).toEqual([
      '10',
      '9',
      'A',
      'Z',
      'a',
      'b',
      'é',
      'ö',
    ]);
    expect([byCodePoint('a', 'a'), byCodePoint('a', 'b'), byCodePoint('b', 'a')]).toEqual([0, -1, 1]);
  });
  test('a sort by it is a sort: turning two round turns its sign, and equal is only equal', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(byCodePoint(a, b)).toBe(0 - byCodePoint(b, a) + 0);
        expect(byCodePoint(a, b) === 0).toBe(a === b);
      }),
    );
  });
  test.each([
    ['the order of fields', { a: 1, b: [2, null] }, { b: [2, null], a: 1 }, true],
    ['the order of a list', [1, 2], [2, 1], false],
    ['unknown and nought', { grams: null }, { grams: 0 }, false],
    ['a field that is not there', { a: 1, b: undefined }, { a: 1 }, false],
    ['deep down', { a: { b: { c: [{ d: 1 }] } } }, { a: { b: { c: [{ d: 2 }] } } }, false],
    ['nothing', null, null, true],
  ])('the same by value: %s', (_name, a, b, expected) => expect(isEqual(a, b)).toBe(expected));
  test('judged by its text: what is written alike is the same', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        expect(isEqual(a, JSON.parse(JSON.stringify(a)))).toBe(true);
        if (JSON.stringify(a) !== JSON.stringify(b) && typeof a !== 'object')
          expect(isEqual(a, b)).toBe(false);
      }),
    );
  });
});
