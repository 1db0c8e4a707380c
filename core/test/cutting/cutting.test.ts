import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fewestLengths, mostOnOneSheet, planSheets } from '../../src/cutting/index.ts';

const sticks = (wanted: readonly (readonly [number, number])[], stockMm: number, remnants: number[] = []) => {
  const found = fewestLengths(
    wanted.map(([lengthMm, count]) => ({ lengthMm, count })),
    stockMm,
    remnants,
  );
  return found.kind === 'fewest' ? found.count : found;
};

describe('sticks and reels', () => {
  test.each([
    ['12 × 60 cm from 1 m reels', [[600, 12]], 1000, 12],
    ['24 × 16 cm from 30 cm sticks', [[160, 24]], 300, 24],
    ['12 × (14.5 + 17 cm) from 30 cm', [[145, 12], [170, 12]], 300, 18],
    ['two to a stick exactly', [[150, 7]], 300, 4],
    ['nothing', [[150, 0]], 300, 0],
    ['what longest first would cut from three', [[440, 2], [300, 2], [260, 2]], 1000, 2],
  ] as const)('%s: %o of %d mm → %d', (_name, wanted, stockMm, count) => expect(sticks(wanted, stockMm)).toBe(count));
  test('a piece longer than its stick is refused with both', () =>
    expect(sticks([[310, 1]], 300)).toEqual({ kind: 'too-long', lengthMm: 310, stockMm: 300 }));
  test('remnants are used up first', () => expect(sticks([[160, 5]], 300, [340, 170])).toBe(2));
  test('as few as every way of cutting, tried one by one', () => {
    const fewestByHand = (pieces: number[], capacity: number): number => {
      let best = pieces.length;
      const place = (at: number, rooms: number[]): void => {
        if (rooms.length >= best) return;
        const size = pieces[at];
        if (size === undefined) {
          best = rooms.length;
          return;
        }
        rooms.forEach((room, index) => {
          if (room >= size) place(at + 1, rooms.map((space, i) => (i === index ? space - size : space)));
        });
        place(at + 1, [...rooms, capacity - size]);
      };
      place(0, []);
      return best;
    };
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 100 }), { minLength: 1, maxLength: 8 }), (pieces) => {
        expect(sticks(pieces.map((size) => [size, 1] as const), 100)).toBe(fewestByHand(pieces, 100));
      }),
      { numRuns: 150 },
    );
  });
  test('five hundred boxes of two lengths are proven, or say what is', () => {
    const found = fewestLengths([{ lengthMm: 145, count: 500 }, { lengthMm: 170, count: 500 }, { lengthMm: 60, count: 1000 }], 1000);
    if (found.kind !== 'fewest') throw new Error('fewest');
    expect(found.count).toBeGreaterThanOrEqual(found.atLeast);
    expect(found.count).toBeLessThanOrEqual(Math.ceil((found.atLeast * 11) / 9) + 1);
  });
}); // prettier-ignore

describe('sheets', () => {
  const sheets = (wanted: readonly (readonly [number, number, number])[], lengthMm: number, widthMm: number, mayTurn = true) => {
    const plan = planSheets({
      pieces: wanted.map(([l, w, count], at) => ({ key: String(at), lengthMm: l, widthMm: w, count })),
      stocks: [{ key: 'sheet', lengthMm, widthMm, count: null }],
      mayTurn, kerfMm: 0, marginMm: 0, offcutFromMm: 50,
    });
    return plan.notCut.length > 0 ? 'too-large' : plan.bought;
  };
  test.each([
    ['12 × (13 × 12 cm) from 20 × 20', [[130, 120, 12]], 200, 200, true, 12],
    ['12 × (25.5 × 18) from 20 × 30', [[255, 180, 12]], 200, 300, true, 12],
    ['12 squares of 80 mm from 150 × 450', [[80, 80, 12]], 150, 450, true, 3],
    ['with a nap a piece may not be turned', [[255, 180, 1]], 200, 300, false, 'too-large'],
    ['too large either way', [[400, 20, 1]], 200, 300, true, 'too-large'],
    ['turned pieces fill what rows leave', [[30, 20, 5]], 50, 50, true, 2],
    ['two sizes side by side', [[200, 100, 2], [100, 100, 4]], 200, 200, true, 2],
  ] as const)('%s', (_name, wanted, l, w, mayTurn, count) => expect(sheets(wanted, l, w, mayTurn)).toBe(count));
  test('never fewer than the area takes, and what is said to fit fits by area', () => {
    const side = fc.integer({ min: 20, max: 120 });
    fc.assert(
      fc.property(side, side, fc.integer({ min: 1, max: 40 }), (l, w, count) => {
        const on = mostOnOneSheet({ lengthMm: l, widthMm: w }, { lengthMm: 200, widthMm: 300, mayTurn: true });
        expect(on * l * w).toBeLessThanOrEqual(200 * 300);
        expect(on).toBeGreaterThanOrEqual(Math.floor(200 / l) * Math.floor(300 / w));
        expect(sheets([[l, w, count]], 200, 300)).toBe(Math.ceil(count / on));
      }),
      { numRuns: 60 },
    );
  });
}); // prettier-ignore
