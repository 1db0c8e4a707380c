import { describe, expect, test } from '@jest/globals';
import { type Cell, cellForTable, cellWords } from '../../src/papers/index.ts';

const grams = (massG: number, scaleStepG: number | null, isAtLeast = false): Cell => ({
  kind: 'grams',
  massG,
  scaleStepG,
  isAtLeast,
});

describe('a number on paper', () => {
  test.each<[string, Cell, string, string]>([
    ['weighed to a tenth', grams(3.25, 0.1), '3.3 g', '3.3'],
    ['weighed to whole grams', grams(12, 1), '12 g', '12'],
    ['worked out, not weighed', grams(3.24, null), '≈ 3.2 g', '3.2'],
    ['under a gram', grams(0.256, null), '≈ 0.26 g', '0.26'],
    // A spreadsheet must not add up less than is wanted without saying so.
    ['at least so much', grams(3.24, 0.1, true), 'at least 3.2 g', 'at least 3.2 g'],
    ['hardly any', grams(0.001, null), '<0.01 g', '<0.01 g'],
    ['counted', { kind: 'count', count: 12 }, '12', '12'],
    ['of a cord', { kind: 'amount', amount: 1.25, unit: 'm' }, '1.25 m', '1.25 m'],
    ['of beads', { kind: 'amount', amount: 24, unit: 'piece' }, '24', '24'],
    // Words that look like grams are words: nothing is read back from them.
    ['a text with a number in it', { kind: 'text', text: '3.2 g' }, '3.2 g', '3.2 g'],
  ])('%s', (_name, cell, words, value) => {
    expect(cellWords(cell)).toBe(words);
    expect(cellForTable(cell)).toBe(value);
  });
});
