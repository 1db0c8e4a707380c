import { expect, test } from '@jest/globals';
import { isNamed } from '../../src/review/isNamed.ts';

test.each([
  ['Set on the ear.', 'ear', true],
  ['Set on both Ears.', 'ear', true],
  ['Set it on early.', 'ear', false],
  ['An elegant line', 'leg', false],
  ['Two brushes', 'brush', true],
  ['the tail-tip', 'tail', true],
  ['the back fin of the fish', ' back fin ', true],
  ['the fin at the back', 'back fin', false],
  ['Größe', 'öß', false],
  ['an eye (left)', 'eye (left)', true],
  ['anything', ' ', false],
] as const)('“%s” names “%s”: %s', (words, name, wanted) => expect(isNamed(words, name)).toBe(wanted));
