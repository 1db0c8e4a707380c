import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sheetShares } from '../../src/writing/sheetShares.ts';

const TABLE = [
  { share: 32, leastPx: 300 },
  { share: 44, leastPx: 380 },
  { share: 24, leastPx: 284 },
];

describe('how wide sheets are', () => {
  test.each([
    ['room enough: as they are said', 1920, [32, 44, 24]],
    // 284 of 1000 px is more than 24 of a hundred; it comes off the widest.
    ['the last needs more than its share', 1000, [32, 39.6, 28.4]],
    ['one alone', 800, [100]],
  ])('%s', (_, tablePx, shares) => {
    const sheets = shares.length === 1 ? [{ share: 76, leastPx: 500 }] : TABLE;
    expect(sheetShares(sheets, tablePx).map(({ usual }) => Math.round(usual * 10) / 10)).toEqual(shares);
  });

  test('together they are the table, and none begins narrower than it may be made', () => {
    const some = fc.array(
      fc.record({ share: fc.integer({ min: 5, max: 40 }), leastPx: fc.integer({ min: 50, max: 300 }) }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 1300, max: 4000 }), (sheets, tablePx) => {
        const shares = sheetShares(sheets, tablePx);
        expect(shares.reduce((sum, { usual }) => sum + usual, 0)).toBeCloseTo(100, 9);
        const over = sheets.reduce((sum, { share }) => sum + share, 0) > 100;
        if (!over) for (const { usual, least } of shares) expect(usual).toBeGreaterThanOrEqual(least - 1e-9);
      }),
    );
  });
});
