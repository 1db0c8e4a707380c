import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  colour,
  colourOrUnknown,
  list,
  manyOfWords,
  money,
  moneyOrUnknown,
  neededText,
  number,
  numberOrUnknown,
  oneOfWords,
  orUnknownCell,
  sparesOrUnknown,
  text,
  yesNo,
  yesNoOrUnknown,
  type CsvStyle,
} from '../../src/tables/index.ts';

const POINT: CsvStyle = { decimal: '.' };
const COMMA: CsvStyle = { decimal: ',' };
type Codec = typeof text;

/** What a cell reads as; words of what was wanted where it does not. */
const read = (codec: Codec, cell: string, style: CsvStyle = POINT): unknown => {
  const reading = codec.read(cell, style);
  return reading.ok ? reading.value : `wanted ${reading.wanted}`;
};

describe('a number', () => {
  test.each([
    ['12', POINT, 12],
    ['12.5', POINT, 12.5],
    ['.5', POINT, 0.5],
    ['-3', POINT, -3],
    ['1 200', POINT, 1200],
    ['1\u202f200,5', COMMA, 1200.5],
    ['1,234', POINT, 1234],
    ['1,234,567.25', POINT, 1234567.25],
    ['1.234,5', COMMA, 1234.5],
    ['12,5', COMMA, 12.5],
    // Neither reads as a thousandth of what was meant.
    ['12,5', POINT, 'wanted a number'],
    ['1,23', POINT, 'wanted a number'],
    ['12.5', COMMA, 'wanted a number'],
    ['1.234.5', COMMA, 'wanted a number'],
    ['12.', POINT, 'wanted a number'],
    ['1e3', POINT, 'wanted a number'],
    ['0x10', POINT, 'wanted a number'],
    ['12 g', POINT, 'wanted a number'],
    ['NaN', POINT, 'wanted a number'],
    ['Infinity', POINT, 'wanted a number'],
    ['--1', POINT, 'wanted a number'],
  ])('%j with %j', (cell, style, expected) => expect(read(number, cell, style)).toBe(expected));
  test('nothing is unknown where that may be, and wanted where not; never nought', () => {
    expect(read(numberOrUnknown, '')).toBeNull();
    expect(read(number, '')).toBe('wanted a number');
    expect([numberOrUnknown.write(null), numberOrUnknown.write(0)]).toEqual(['', '0']);
  });
  test('any number that is written reads back as itself', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (value) => {
        fc.pre(!/e/.test(String(value)));
        expect(read(number, number.write(value))).toBe(value + 0);
      }),
    );
  });
});

describe('money', () => {
  test.each([
    ['4.20', POINT, 420],
    ['4,2', COMMA, 420],
    ['0.1', POINT, 10],
    ['4.35', POINT, 435],
    ['1,299.99', POINT, 129999],
    ['free', POINT, 'wanted a number'],
  ])('%j', (cell, style, minor) => expect(read(money, cell, style)).toBe(minor));
  test('no price is unknown, and not free', () => {
    expect(read(moneyOrUnknown, '')).toBeNull();
    expect(read(money, '')).toBe('wanted a price');
    expect([moneyOrUnknown.write(null), moneyOrUnknown.write(0)]).toEqual(['', '0.00']);
  });
  test('any price that is written reads back as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999 }), (minor) => {
        expect(read(money, money.write(minor))).toBe(minor);
      }),
    );
  });
});

describe('words', () => {
  const Preparation = oneOfWords({ tops: 'tops', 'core-batt': 'core batt' });
  test.each([
    ['tops', 'tops'],
    ['Core Batt', 'core-batt'],
    ['core-batt', 'core-batt'],
    [' tops ', 'tops'],
    ['roving', 'wanted one of: tops, core batt'],
    ['', 'wanted one of: tops, core batt'],
  ])('one of a few: %j', (cell, expected) => expect(read(Preparation, cell)).toBe(expected));
  test('is written as it is shown', () => expect(Preparation.write('core-batt')).toBe('core batt'));
  test('or unknown', () => {
    const codec = orUnknownCell(Preparation);
    expect([read(codec, ''), codec.write(null), read(codec, 'tops')]).toEqual([null, '', 'tops']);
    expect(read(codec, 'roving')).toMatch(/^wanted/);
  });
  test.each([
    ['', []],
    ['tops', ['tops']],
    ['tops; core batt', ['tops', 'core-batt']],
    ['tops;', 'wanted one of: tops, core batt'],
    ['tops; silk', 'wanted one of: tops, core batt'],
  ])('several of a few: %j', (cell, expected) =>
    expect(read(manyOfWords({ tops: 'tops', 'core-batt': 'core batt' }), cell)).toEqual(expected),
  );
  test.each([
    ['cream; white', ['cream', 'white']],
    [' cream ;; white ; ', ['cream', 'white']],
    ['', []],
  ])('names: %j', (cell, expected) => expect(read(list, cell)).toEqual(expected));
  test('a name that is needed', () => {
    expect(read(neededText, '')).toBe('wanted a name');
    expect(read(neededText, 'Chalk')).toBe('Chalk');
    expect(read(text, '')).toBe('');
  });
  test('names that are written read back as themselves', () => {
    const names = fc.array(
      fc.string({ minLength: 1 }).filter((name) => !name.includes(';') && name.trim() === name),
    );
    fc.assert(fc.property(names, (all) => expect(read(list, list.write(all))).toEqual(all)));
  });
});

describe('yes and no', () => {
  test.each([
    ['yes', true],
    ['Y', true],
    ['TRUE', true],
    ['1', true],
    ['no', false],
    ['N', false],
    ['false', false],
    ['0', false],
    ['', false],
    ['maybe', 'wanted yes or no'],
  ])('%j', (cell, expected) => expect(read(yesNo, cell)).toBe(expected));
  test('nobody said is not no', () => {
    expect([read(yesNoOrUnknown, ''), read(yesNoOrUnknown, 'no')]).toEqual([null, false]);
    expect([yesNoOrUnknown.write(null), yesNoOrUnknown.write(false), yesNoOrUnknown.write(true)]).toEqual([
      '',
      'no',
      'yes',
    ]);
  });
});

test.each([
  ['#6B7F3A', '#6b7f3a'],
  ['#6b7f3', 'wanted a colour such as #6b7f3a'],
  ['moss', 'wanted a colour such as #6b7f3a'],
  ['', 'wanted a colour such as #6b7f3a'],
])('a colour: %j', (cell, expected) => {
  expect(read(colour, cell)).toBe(expected);
  expect(read(colourOrUnknown, cell)).toBe(cell === '' ? null : expected);
});

describe('spares', () => {
  test.each([
    ['', null],
    ['none', { by: 'none' }],
    ['2 a table', { by: 'table', count: 2 }],
    ['1 per pack', { by: 'pack', count: 1 }],
    ['3 A RUN', { by: 'run', count: 3 }],
    ['10 %', { by: 'share', fraction: 0.1 }],
    ['2.5%', { by: 'share', fraction: 0.025 }],
  ])('%j', (cell, expected) => expect(read(sparesOrUnknown, cell)).toEqual(expected));
  test.each(['2 a drawer', 'two a pack', '-1 a pack', '%', '10'])('%j is none of them', (cell) =>
    expect(read(sparesOrUnknown, cell)).toMatch(/^wanted spares/),
  );
  test('a rule that is written reads back as itself', () => {
    const counted = fc.record({
      by: fc.constantFrom('pack', 'table', 'run'),
      count: fc.integer({ min: 1, max: 500 }),
    });
    const share = fc.integer({ min: 1, max: 20_000 }).map((n) => ({ by: 'share', fraction: n / 100 / 100 }));
    fc.assert(
      fc.property(fc.oneof(counted, share, fc.constant({ by: 'none' }), fc.constant(null)), (rule) => {
        const back = read(sparesOrUnknown, sparesOrUnknown.write(rule));
        if (rule !== null && 'fraction' in rule)
          expect((back as typeof rule).fraction).toBeCloseTo(rule.fraction, 12);
        else expect(back).toEqual(rule);
      }),
    );
  });
});
