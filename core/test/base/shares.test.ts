import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fractionOf, majorOf, minorOf, percentBounds, percentOf, repriced } from '../../src/base/index.ts';

describe('shares, as they are typed', () => {
  test.each([
    [0.07, 7],
    [0.1 + 0.2, 30],
    [1 / 3, 33.33],
    [2 / 3, 66.67],
    [0, 0],
    [1, 100],
    [0.005, 0.5],
    [0.00004, 0],
    [12.345, 1234.5],
  ])('%d is %d per cent', (fraction, percent) => expect(percentOf(fraction)).toBe(percent));
  test('bounds are those of the fraction', () =>
    expect(percentBounds({ min: 0.02, max: 0.35 })).toEqual({ min: 2, max: 35 }));
  test('typed to a hundredth of a per cent it comes back as typed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), (hundredths) => {
        const percent = hundredths / 100;
        expect(percentOf(fractionOf(percent))).toBe(percent);
      }),
    );
  });
});

describe('money', () => {
  test.each([
    [420, 4.2],
    [0, 0],
    [1, 0.01],
    [199_999, 1999.99],
  ])('%d minor units are %d', (minor, major) => {
    expect(majorOf(minor)).toBe(major);
    expect(minorOf(major)).toBe(minor);
  });
  // 1.005 is a little less than that in binary; 4.35 × 100 is 434.99999999999994.
  test('no unit is lost on the way', () =>
    expect([minorOf(4.35), minorOf(1.1), minorOf(0.29)]).toEqual([435, 110, 29]));
  test.each([
    ['dearer', 470, 10, 517],
    ['cheaper', 470, -10, 423],
    ['as it is', 470, 0, 470],
    ['half a unit goes up', 5, 10, 6],
    ['under half goes down', 4, 10, 4],
    ['never under nothing', 470, -150, 0],
    ['for nothing it stays so', 0, 40, 0],
    ['all of it off', 470, -100, 0],
  ])('repriced: %s', (_name, minor, percent, expected) => expect(repriced(minor, percent)).toBe(expected));
  test('judged in whole numbers: so many per cent dearer, half a unit up', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500_000 }),
        fc.integer({ min: -100, max: 300 }),
        (minor, percent) => {
          const hundredths = BigInt(minor) * BigInt(100 + percent);
          expect(BigInt(repriced(minor, percent))).toBe((hundredths + 50n) / 100n);
        },
      ),
    );
  });
});
