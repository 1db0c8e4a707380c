import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { hasWords } from '../../src/base/index.ts';

test.each([
  ['Pear with two leaves, revision 2', 'pear, revision 2', true],
  ['Pear with two leaves, revision 2', 'LEAVES pear', true],
  ['Pear with two leaves, revision 2', 'revision 3', false],
  ['Übermut', 'ubermut', true],
  ['ubermut', 'Über', true],
  ['ﬁnch', 'fin', true],
  ['Wren', '', true],
  ['Wren', ' , ', true],
  ['50 %', '%', true],
  ['Wren', '_', false],
])('“%s” is found by “%s”: %s', (text, search, is) => {
  expect(hasWords(text, search)).toBe(is);
});

test('every text is found by its own words, in any order and case', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (text) => {
      const words = text.split(/[\s,]+/);
      expect(hasWords(text, words.reverse().join(' '))).toBe(true);
      expect(hasWords(text, words.join(', ').toLowerCase())).toBe(true);
    }),
  );
});
