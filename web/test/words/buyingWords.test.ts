import { describe, expect, test } from '@jest/globals';
import { PURCHASE_WAYS } from '@lanakit/core/buying';
import {
  cutSizeMm,
  differenceWords,
  ORDER_STATE_WORDS,
  USE_WORDS,
  WAY_WORDS,
} from '../../src/words/buyingWords.ts';

test.each([
  [270, 0, '270 mm'],
  [999, 0, '999 mm'],
  [18_400, 0, '18.4 m'],
  [1000, 0, '1 m'],
  [140, 60, '140 × 60 mm'],
])('%d by %d is cut as %s', (lengthMm, widthMm, words) => expect(cutSizeMm(lengthMm, widthMm)).toBe(words));

test.each([
  [{ kind: 'fewer', line: 0, packs: 1 }, '1 pack of Plum, 50 g never came.'],
  [{ kind: 'more', line: 0, packs: 2 }, '2 packs of Plum, 50 g more than ordered.'],
  [
    { kind: 'price', line: 0, paidEachMinor: 350, orderedMinor: 300 },
    'Plum, 50 g: 3.50 paid for each, ordered at 3.00.',
  ],
] as const)('%o', (difference, words) => expect(differenceWords(difference, 'Plum, 50 g')).toBe(words));

describe('each has its own words', () => {
  test.each([
    ['uses', Object.values(USE_WORDS)],
    ['ways', PURCHASE_WAYS.map((way) => WAY_WORDS[way].name)],
    ['states', Object.values(ORDER_STATE_WORDS)],
  ])('%s', (_name, words) => expect(new Set(words).size).toBe(words.length));
});
