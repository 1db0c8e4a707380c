import { describe, expect, test } from '@jest/globals';
import {
  nudgeLength,
  parseLength,
  parseLengthRange,
  showLengths,
  showSizeMm,
  showTypedRange,
  type LengthUnit,
} from '../../src/base/index.ts';

const inches = (value: number) => ({ value, unit: 'in' as LengthUnit });
const mm = (value: number) => ({ value, unit: 'mm' as LengthUnit });

describe('from – to, read', () => {
  test.each([
    ['  8–9 in  ', inches(8), inches(9)],
    ['8 - 9"', inches(8), inches(9)],
    ['8" to 9"', inches(8), inches(9)],
    ['20 mm – 1 in', mm(20), inches(1)],
    ['30–60 cm', mm(300), mm(600)],
    ['8 in – 9', inches(8), mm(229)],
    ['10–10 mm', mm(10), null],
    ['–9 mm', mm(9), null],
  ])('%j', (text, low, high) => {
    const read = parseLengthRange(text, 'mm');
    // Nine of nothing said after eight inches is read in the unit of the pattern: millimetres, and so before it.
    if (text === '8 in – 9') expect(read).toEqual({ ok: false, refusal: { code: 'range_reversed' } });
    else expect(read).toEqual({ ok: true, range: { low, high } });
  });
  test.each([
    ['1–2–3 cm', { code: 'length_not_read', text: '1–2–3 cm' }],
    ['-5 mm', { code: 'length_not_read', text: '-5 mm' }],
    ['9–8 in', { code: 'range_reversed' }],
    ['30 mm – 1 in', { code: 'range_reversed' }],
  ])('%j is refused, and why', (text, refusal) =>
    expect(parseLengthRange(text, 'mm')).toEqual({ ok: false, refusal }),
  );
  test.each(['8–many in', 'few–9 in', 'a–b'])('%j: the end that cannot be read is the reason', (text) => {
    const read = parseLengthRange(text, 'mm');
    expect(read).toMatchObject({ ok: false, refusal: { code: 'length_not_read' } });
  });
});

describe('from – to, as it is typed back', () => {
  test.each([
    [inches(8), inches(9), '8–9 in'],
    [mm(20), mm(22.5), '20–22.5 mm'],
    [mm(20), inches(1), '20 mm – 1 in'],
    [mm(20), null, '20 mm'],
    [inches(0.375), null, '⅜ in'],
  ])('%j and %j', (low, high, words) => expect(showTypedRange({ low, high })).toBe(words));
});

describe('a length read', () => {
  test.each([
    ['1½ in', inches(1.5)],
    ['  2 3/8  in', inches(2.375)],
    ['½', inches(0.5)],
    ['1 1/2', inches(1.5)],
  ])('%j', (text, length) => expect(parseLength(text, 'in')).toEqual({ ok: true, length }));
  test.each(['1.5½ in', 'x½ in', '1½½ in', '3/0 in', '1 3/0', '½ 2'])('%j is none', (text) =>
    expect(parseLength(text, 'in').ok).toBe(false),
  );
});

describe('a length shown', () => {
  test.each([
    [0, 'mm', '0 mm'],
    [0.004, 'mm', '0.004 mm'],
    [0.049, 'mm', '0.05 mm'],
    [0.05, 'mm', '0.1 mm'],
    [9.94, 'mm', '9.9 mm'],
    [9.96, 'mm', '10 mm'],
    [10.4, 'mm', '10 mm'],
    [10, 'in', '⅜ in'],
    [9.99, 'in', '13⁄32 in'],
    [0.01, 'in', '0.0004 in'],
    [25.4, 'in', '1 in'],
    [311.15, 'in', '12¼ in'],
    [309.5625, 'in', '12 3⁄16 in'],
  ] as const)('%d mm in %s', (sizeMm, unit, words) => expect(showSizeMm(sizeMm, unit)).toBe(words));
  test.each([
    [[mm(82), mm(60)], '82 × 60 mm'],
    [[inches(3.25), inches(2)], '3¼ × 2 in'],
    [[mm(82), inches(2)], '82 mm × 2 in'],
    [[mm(82.04)], '82 mm'],
    [[], ' mm'],
  ])('%j', (lengths, words) => expect(showLengths(lengths)).toBe(words));
});

test.each([
  ['up from a whole one', mm(12), 1, 13],
  ['up onto the next', mm(12.4), 1, 13],
  ['down onto the one before', mm(12.4), -1, 12],
  ['not at all', mm(12), 0, 12],
])('nudged: %s', (_name, length, steps, value) => {
  expect(nudgeLength(length, steps).value).toBe(value);
});
