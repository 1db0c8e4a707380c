import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  fractionOf,
  type LengthUnit,
  majorOf,
  minorOf,
  nudgeLength,
  parseLength,
  parseLengthRange,
  percentOf,
  showSizeMm,
  showSizesIn,
  showSizesMm,
  showTypedLength,
  showTypedRange,
  toMm,
} from '../../src/base/index.ts';

test.each([
  [0.04, '0.04 mm'],
  [0.006, '0.006 mm'],
  [0.4, '0.4 mm'],
  [0, '0 mm'],
  [12.4, '12 mm'],
])('%f mm is shown as %s', (sizeMm, words) => expect(showSizeMm(sizeMm, 'mm')).toBe(words));

test.each([
  ['a millimetre more', { value: 60, unit: 'mm' }, 1, 61],
  ['onto the next whole one', { value: 13.4, unit: 'mm' }, 1, 14],
  ['and down onto the one before', { value: 13.4, unit: 'mm' }, -1, 13],
  ['five at once', { value: 60, unit: 'mm' }, -5, 55],
  ['a sixteenth of an inch', { value: 2.375, unit: 'in' }, 1, 2.4375],
  ['never to nothing', { value: 1, unit: 'mm' }, -1, 1],
  ['never past what is a size', { value: 2000, unit: 'mm' }, 5, 2000],
] as const)('nudged by an arrow: %s', (_name, length, steps, value) => {
  expect(nudgeLength(length, steps)).toEqual({ value, unit: length.unit });
});

describe('a length as makers type it', () => {
  const rows: [text: string, unit: LengthUnit, value: number, readUnit: LengthUnit][] = [
    ['60', 'mm', 60, 'mm'],
    ['60', 'in', 60, 'in'],
    ['60 mm', 'in', 60, 'mm'],
    ['6 cm', 'mm', 60, 'mm'],
    ['6,5cm', 'mm', 65, 'mm'],
    ['1.1 cm', 'mm', 11, 'mm'],
    ['2 3/8 in', 'mm', 2.375, 'in'],
    ['2 3/8', 'in', 2.375, 'in'],
    ['21/8 in', 'mm', 2.625, 'in'],
    ['2½"', 'mm', 2.5, 'in'],
    ['¾ inch', 'mm', 0.75, 'in'],
    ['3⁄16″', 'mm', 0.1875, 'in'],
    [' .5 IN ', 'mm', 0.5, 'in'],
    ['2 ft', 'mm', 24, 'in'],
    ['1½ ft', 'mm', 18, 'in'],
    ['1.5 m', 'in', 1500, 'mm'],
  ];
  test.each(rows)('%j read in %s', (text, unit, value, readUnit) => {
    expect(parseLength(text, unit)).toEqual({ ok: true, length: { value, unit: readUnit } });
  });

  test.each([
    ['8–9 in', 'mm', 8, 9, 'in'],
    ['1–1½ in', 'mm', 1, 1.5, 'in'],
    ['30-60 cm', 'in', 300, 600, 'mm'],
    ['30 to 60 cm', 'in', 300, 600, 'mm'],
    ['2 ft', 'mm', 24, null, 'in'],
    ['1.5 m', 'mm', 1500, null, 'mm'],
    ['40', 'mm', 40, null, 'mm'],
    ['8–8 in', 'mm', 8, null, 'in'],
  ] as const)('%j is from – to, its unit said once', (text, unit, low, high, readUnit) => {
    expect(parseLengthRange(text, unit)).toEqual({
      ok: true,
      range: {
        low: { value: low, unit: readUnit },
        high: high === null ? null : { value: high, unit: readUnit },
      },
    });
  });
  test.each(['9–8 in', '8–', '–', '1–2–3 cm', '-5 mm', 'a–b'])('%j is no range', (text) => {
    const read = parseLengthRange(text, 'mm');
    expect(read.ok && read.range.high !== null).toBe(false);
  });
  test('a range that is shown reads back as itself', () => {
    const lengths = fc.record({
      low: fc.integer({ min: 1, max: 500 }),
      more: fc.integer({ min: 1, max: 500 }),
    });
    fc.assert(
      fc.property(lengths, fc.constantFrom<LengthUnit>('mm', 'in'), ({ low, more }, unit) => {
        const by = unit === 'in' ? 16 : 1;
        const range = { low: { value: low / by, unit }, high: { value: (low + more) / by, unit } };
        expect(parseLengthRange(showTypedRange(range), 'mm')).toEqual({ ok: true, range });
      }),
    );
  });

  test.each(['abc', '', 'six', '6 miles', '2.5 1/2', '1/0', '--3', '1e9', '6 6', 'NaN', 'Infinity'])(
    '%j is no length',
    (text) => {
      expect(parseLength(text, 'mm')).toEqual({ ok: false, refusal: { code: 'length_not_read', text } });
    },
  );

  test.each([
    ['0', 'size_not_positive'],
    ['-3', 'size_not_positive'],
    ['1000000000', 'size_too_large'],
    ['100 in', 'size_too_large'],
  ])('%j is no size', (text, code) => {
    expect(parseLength(text, 'mm')).toMatchObject({ ok: false, refusal: { code } });
  });
});

test('a typed length shown in its field reads back as the very same length', () => {
  const length = fc.oneof(
    fc.record({
      value: fc.integer({ min: 1, max: 20_000 }).map((n) => n / 10),
      unit: fc.constant<LengthUnit>('mm'),
    }),
    fc.record({
      value: fc.integer({ min: 1, max: 600 }).map((n) => n / 16),
      unit: fc.constant<LengthUnit>('in'),
    }),
    fc.record({
      value: fc.integer({ min: 1, max: 7000 }).map((n) => n / 100),
      unit: fc.constant<LengthUnit>('in'),
    }),
  );
  fc.assert(
    fc.property(length, (given) => {
      expect(parseLength(showTypedLength(given), 'mm')).toEqual({ ok: true, length: given });
    }),
  );
});

test('one converter: an inch is 25.4 mm', () => {
  expect(toMm({ value: 2, unit: 'in' })).toBe(50.8);
  expect(toMm({ value: 2, unit: 'mm' })).toBe(2);
});

test.each([
  [83.8, 'mm', '84 mm'],
  [6.24, 'mm', '6.2 mm'],
  [83.8, 'in', '3 5⁄16 in'],
  [9.9, 'in', '⅜ in'],
  [5, 'in', '3⁄16 in'],
  [4, 'in', '5⁄32 in'],
  [0.8, 'in', '1⁄32 in'],
  [0.3, 'in', '0.01 in'],
  [0, 'in', '0 in'],
  [12.7, 'in', '½ in'],
] as const)('%d mm for reading in %s', (sizeMm, unit, words) => {
  expect(showSizeMm(sizeMm, unit)).toBe(words);
});

test('sizes of one thing share a unit, however small one of them is', () => {
  expect(showSizesMm([50.8, 25.4], 'in')).toBe('2 × 1 in');
  expect(showSizesMm([50.8, 6], 'in')).toBe('2 × ¼ in');
});

test.each([
  ['one unit', 'mm', false, '82 × 4 mm'],
  ['both, millimetres first', 'mm', true, '82 × 4 mm (3¼ × 5⁄32 in)'],
  ['both, inches first', 'in', true, '3¼ × 5⁄32 in (82 × 4 mm)'],
] as const)('sizes in %s', (_name, lengthUnit, showsBothUnits, words) => {
  expect(showSizesIn([82, 4], { lengthUnit, showsBothUnits })).toBe(words);
});

test('a thirty-second is never further off than half of one', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 9.99, noNaN: true }), (sizeMm) => {
      const [over = '', under = '1'] = showSizeMm(sizeMm, 'in').replace(' in', '').split('⁄');
      const signs: Record<string, number> = { '⅛': 1 / 8, '¼': 1 / 4, '⅜': 3 / 8 };
      const inches = signs[over] ?? Number(over) / Number(under);
      expect(Math.abs(inches * 25.4 - sizeMm)).toBeLessThanOrEqual(25.4 / 64 + 1e-9);
    }),
  );
});

test('per cent and money typed are kept exactly, both ways', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 10_000 }), (n) => {
      expect(percentOf(fractionOf(n / 100))).toBe(n / 100);
      expect(minorOf(majorOf(n))).toBe(n);
    }),
  );
  expect(percentOf(0.07)).toBe(7);
});
