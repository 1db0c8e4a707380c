import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { beginsEach, nearestWord, wordsIn } from '../../src/search/index.ts';

describe('words of a text', () => {
  test.each([
    ['Roll it **tight**, 3.5 cm', ['roll', 'it', 'tight', '3', '5', 'cm']],
    ['Crème-brûlée', ['creme', 'brulee']],
    ['  ', []],
    ['Ångström’s', ['angstrom', 's']],
  ])('%s', (text, words) => {
    expect(wordsIn(text)).toEqual(words);
  });

  test.each([
    ['Harbour puffin', ['puf'], true],
    ['Harbour puffin', ['puf', 'har'], true],
    ['Harbour puffin', ['fin'], false],
    ['Harbour puffin', ['puf', 'seal'], false],
    ['anything', [], true],
  ])('%s begins each of %j: %s', (text, words, is) => {
    expect(beginsEach(text, words)).toBe(is);
  });
});

const KNOWN = ['puffin', 'saturday', 'octopus', 'marigold', 'leaf', 'moss', 'ear', 'pear', 'pears'].map(
  (word, at) => ({ word, count: word === 'pears' ? 9 : at + 1 }),
);

describe('the word that was meant', () => {
  test.each([
    ['pufin', 'puffin'],
    ['saterday', 'saturday'],
    ['ocotpus', 'octopus'],
    ['marygolt', 'marigold'],
    // Half typed.
    ['marygol', 'marigold'],
    ['mos', 'moss'],
    ['peer', 'pear'],
    ['xylophone', null],
    ['qq', null],
  ])('%s: %s', (typed, meant) => {
    expect(nearestWord(typed, KNOWN)).toBe(meant);
  });

  /** By its definition, letter by letter. */
  const slipsBetween = (a: string, b: string): number => {
    if (a === '' || b === '') return a.length + b.length;
    if (a[0] === b[0]) return slipsBetween(a.slice(1), b.slice(1));
    return (
      1 +
      Math.min(slipsBetween(a.slice(1), b), slipsBetween(a, b.slice(1)), slipsBetween(a.slice(1), b.slice(1)))
    );
  };
  const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), minLength: 2, maxLength: 5 });

  test('no word that is known is fewer slips away', () => {
    fc.assert(
      fc.property(word, fc.uniqueArray(word, { maxLength: 6 }), (typed, known) => {
        const found = nearestWord(
          typed,
          known.map((other) => ({ word: other, count: 1 })),
        );
        const fewest = Math.min(Infinity, ...known.map((other) => slipsBetween(typed, other)));
        if (fewest <= (typed.length <= 4 ? 1 : 2)) {
          expect(found).not.toBeNull();
          expect(slipsBetween(typed, found ?? '')).toBe(fewest);
        }
      }),
    );
  });
});
