import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wholeDown, wholeUp } from '../../src/base/index.ts';

describe('whole numbers past the error of arithmetic', () => {
  test.each([
    ['a price with nine tenths left over', 9 / (1 - 0.9), 90, 90],
    ['ten tenths', Array.from({ length: 10 }, () => 0.1).reduce((a, b) => a + b), 1, 1],
    ['three times a tenth, in tenths', (0.1 * 3) / 0.1, 3, 3],
    ['a little over', 3.000001, 4, 3],
    ['a little under', 2.999999, 3, 2],
    ['a large sum', 4_000_000 * (1 + 1e-15), 4_000_000, 4_000_000],
    ['nothing', 0, 0, 0],
    ['hardly anything', 1e-12, 0, 0],
    ['below nothing', -1e-12, 0, 0],
    ['a loss', -2.5, -2, -3],
  ])('%s', (_name, value, up, down) => {
    expect(wholeUp(value)).toBe(up);
    expect(wholeDown(value)).toBe(down);
  });
  test('judged by fractions: so many parts of so many, made and unmade in floating point', () => {
    const count = fc.integer({ min: 1, max: 100_000 });
    fc.assert(
      fc.property(count, count, fc.integer({ min: 1, max: 997 }), (parts, of, factor) => {
        const value = ((parts / of) * factor) / factor;
        expect(wholeUp(value)).toBe(Number((BigInt(parts) + BigInt(of) - 1n) / BigInt(of)));
        expect(wholeDown(value)).toBe(Number(BigInt(parts) / BigInt(of)));
      }),
    );
  });
});
