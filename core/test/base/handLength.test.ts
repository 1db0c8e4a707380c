import { expect, test } from '@jest/globals';
import { handLength } from '../../src/base/index.ts';

test.each([
  ['to half a millimetre', 12.3, 'mm', 0, 12.5],
  ['to a thirty-second of an inch', 25.4 * 1.02, 'in', 0, 1 + 1 / 32],
  ['never under nought', -4, 'mm', 0, 0],
  ['where nought is meant', 0.1, 'mm', 0, 0],
  ['a size is at least one step', 0.1, 'mm', 1, 0.5],
  ['a size in inches as well', 0.01, 'in', 1, 1 / 32],
] as const)('what is pulled by hand: %s', (_name, mm, unit, least, value) => {
  expect(handLength(mm, unit, least)).toEqual({ value, unit });
});
