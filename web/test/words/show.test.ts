import { describe, expect, test } from '@jest/globals';
import { partingOf } from '@lanakit/core/run';
import { handsWords, showHandLength } from '@lanakit/core/words';
import {
  counted,
  showDaysOff,
  showGrams,
  showKnownPart,
  showMinutes,
  showMoney,
  showWeighed,
} from '../../src/words/show.ts';
import { weighingWords } from '../../src/words/weighingWords.ts';

test.each([
  [23.17, '23.2 g'],
  [0.4567, '0.46 g'],
  [0.001, '<0.01 g'],
  [0, '0.00 g'],
])('%d g is shown as %s', (massG, words) => {
  expect(showGrams(massG)).toBe(words);
});

test.each([
  [17.9, 0.1, '17.9 g'],
  [18, 1, '18 g'],
  [0.05, 0.01, '0.05 g'],
])('%d g on a scale of %d g', (massG, step, words) => {
  expect(showWeighed(massG, step)).toBe(words);
});

test.each([
  [0, '0 min'],
  [59.6, '1 h 00'],
  [221, '3 h 41'],
])('%d minutes are %s', (minutes, words) => {
  expect(showMinutes(minutes)).toBe(words);
});

test.each([
  ['2026-11-24', 'today'],
  ['2026-11-25', 'tomorrow'],
  ['2026-12-05', '11 days off'],
  ['2026-11-20', '4 days ago'],
])('%s seen from 24 November is %s', (date, words) => {
  expect(showDaysOff(date, '2026-11-24')).toBe(words);
});

test('lengths in the hand are to 5 mm or a quarter inch, never nought', () => {
  expect(showHandLength(127.4, 'mm')).toBe('12.5 cm');
  expect(showHandLength(1, 'mm')).toBe('0.5 cm');
  expect(showHandLength(127.4, 'in')).toBe('5 in');
});

test('tops in words', () => {
  expect(
    handsWords(
      { kind: 'length', tops: { kind: 'split', lengthMm: 75, ways: 3, trueG: 0.6 }, roundingFraction: 0 },
      'mm',
      'tops',
    ),
  ).toBe('7.5 cm of tops split lengthwise in 3 (0.60 g)');
  expect(
    handsWords({ kind: 'length', tops: { kind: 'too-little' }, roundingFraction: 0 }, 'mm', 'tops'),
  ).toContain('wisp');
});

const group = (packs: number, steps: number) => ({
  packs,
  steps,
  parting: partingOf(packs),
  errorFraction: 0.185,
});

test('weighing together in words, alike groups said once', () => {
  const alike = {
    kind: 'together',
    groups: [group(6, 8), group(6, 8)],
    classSteps: 16,
    errorFraction: 0.19,
    isByHand: false,
    packs: 12,
  } as const;
  expect(weighingWords(alike, 0.1)).toContain(
    '2 times 0.8 g for 6 packs, halve it, then each in 3 (each within 19 %)',
  );
  const unlike = {
    kind: 'together',
    groups: [group(8, 9), group(5, 6)],
    classSteps: 15,
    errorFraction: 0.4,
    isByHand: true,
    packs: 13,
  } as const;
  expect(weighingWords(unlike, 0.1)).toContain(
    '0.9 g for 8 packs, halve it 3 times; 0.6 g for 5 packs, part it in 5',
  );
  expect(weighingWords(unlike, 0.1)).toContain('a wisp by hand is as good');
});

test('one and many', () => {
  expect([counted(1, 'seat'), counted(2, 'seat'), counted(2, 'class', 'classes')]).toEqual([
    '1 seat',
    '2 seats',
    '2 classes',
  ]);
});

describe('a sum of which some is unknown', () => {
  test.each([
    ['all known', { known: 120, unknownCount: 0 }, '1.20'],
    ['some', { known: 120, unknownCount: 2 }, '1.20'],
    ['nothing known is no nought', { known: 0, unknownCount: 4 }, 'unknown'],
    ['nothing at all', { known: 0, unknownCount: 0 }, '0.00'],
  ])('%s', (_, sum, words) => {
    expect(showKnownPart(sum, showMoney)).toBe(words);
  });
});
