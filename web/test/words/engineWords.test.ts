import { describe, expect, test } from '@jest/globals';
import { estimatePattern, type HandsMeasure, onlyFibres } from '@lanakit/core/engine';
import { blankJoin, blankPart, blankPattern } from '@lanakit/core/pattern';
import { handsWords } from '@lanakit/core/words';
import { doubtName, makeTotalCame } from '../../src/words/howItCame.ts';
import { ownerLine, ownerName } from '../../src/words/ownerWords.ts';
import { sizeLine, sizesOfPart } from '../../src/words/partWords.ts';
import { findingAmount, showCount, timesWords } from '../../src/words/show.ts';

test.each([
  [4, '4', ' ×4'],
  [1, '1', ''],
  [{ low: 24, high: 32 }, '24–32', ' ×24–32'],
  [null, 'how many?', ' ×how many?'],
])('a count of %j', (count, words, times) => {
  expect(showCount(count)).toBe(words);
  expect(timesWords(count)).toBe(times);
});

test.each([
  [2, 'piece', '2'],
  [0.27, 'm', '27 cm'],
  [1.535, 'm', '1.53 m'],
  [31.5, 'cm2', '32 cm²'],
  [4.25, 'ml', '4.3 ml'],
] as const)('%d %s of a finding', (amount, unit, words) => {
  expect(findingAmount(amount, unit)).toBe(words);
});

test.each<[string, HandsMeasure, string]>([
  [
    'tops to pull',
    { kind: 'length', tops: { kind: 'pull', lengthMm: 142 }, roundingFraction: -0.014 },
    '≈ 14 cm of tops (1 % less, by rounding)',
  ],
  [
    'a strip',
    { kind: 'strip', lengthMm: 150, widthMm: 100, roundingFraction: 0.002 },
    'a strip of batt 15 cm × 10 cm',
  ],
  [
    'a square',
    { kind: 'square', sideMm: 45, roundingFraction: 0.06 },
    'a square of 4.5 cm (6 % more, by rounding)',
  ],
  [
    'halvings',
    { kind: 'halvings', startG: 0.96, times: 3, errorFraction: 0.173 },
    'weigh 0.96 g and halve it 3 times: each within about 17 %',
  ],
  [
    'one halving',
    { kind: 'halvings', startG: 0.6, times: 1, errorFraction: 0.1 },
    'weigh 0.60 g and halve it once: each within about 10 %',
  ],
  ['pinches', { kind: 'hand', measure: 'pinch', count: 2, offFraction: 0 }, '2 pinches of yours'],
  [
    'a wisp',
    { kind: 'hand', measure: 'wisp', count: 1, offFraction: 0.1 },
    'a wisp of yours (10 % more, by rounding)',
  ],
])('hands: %s', (_name, way, words) => {
  expect(handsWords(way, 'mm', 'tops')).toBe(words);
});

describe('names', () => {
  const pattern = {
    ...blankPattern('A figure'),
    parts: [
      { ...blankPart('b', 'Body'), count: 1 },
      { ...blankPart('l', 'Leg'), count: 2 },
    ],
    joins: [blankJoin('j', 'l', 'b')],
    shared: [{ id: 's', name: 'plum for the arms', massG: 9, highG: null, isWeighed: true }],
  };
  test('of a part with its number, and of a join by both its parts', () => {
    expect(ownerLine({ kind: 'part', id: 'l' }, pattern)).toBe('2 Leg ×2');
    expect(ownerName({ kind: 'join', id: 'j' }, pattern)).toBe('Leg to Body');
    expect(ownerName({ kind: 'join', id: 'gone' }, pattern)).toBe('');
  });
  test('of what is doubtful: the fibre’s, or the shared weight’s', () => {
    expect(doubtName({ group: 'shared s', cause: 'weighed', fraction: 1 }, new Map(), pattern)).toBe(
      'the weighing of plum for the arms',
    );
    expect(doubtName({ group: 'gone', cause: 'density', fraction: 1 }, new Map(), pattern)).toBe(
      'the felted density',
    );
  });
  test('a total without wool still tells what it is', () => {
    const [first] = makeTotalCame(estimatePattern(pattern, onlyFibres(new Map())), new Map(), pattern);
    expect(first).toMatchObject({ what: 'One make', value: '0.00 g', isResult: true });
  });
});

test.each([
  ['given', { kind: 'ball', diameter: { value: 62.542384, unit: 'mm' } } as const, [], 'ball 62.5 mm'],
  ['unknown', { kind: 'ball', diameter: null } as const, [], 'ball, size unknown'],
  ['by weight', { kind: 'by-grams', massG: 0.13 } as const, [], 'by weight 0.13 g'],
  [
    'following from another',
    { kind: 'dome', diameter: null, rise: { value: 8, unit: 'mm' } } as const,
    [{ from: 'part', size: 'diameter', partId: null, ofSize: 'length', ratio: 1 } as const],
    'dome to fit × 8 mm',
  ],
] as const)('a part’s sizes, %s', (_name, shape, derived, words) => {
  const part = { ...blankPart('p', 'P'), shape, derived: [...derived] };
  expect(sizeLine(part)).toBe(words);
  expect(words).toContain(sizesOfPart(part));
});
