import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { eased, restingDeg, shortWay, turnedBy, turnMs, within } from '../../src/figure/turning.ts';

const angle = fc.double({ min: -2000, max: 2000, noNaN: true });
/** How far two directions lie apart, by the circle itself. */
const apartDeg = (a: number, b: number): number => {
  const [x, y] = [a, b].map((deg) => (deg * Math.PI) / 180) as [number, number];
  const dot = Math.cos(x) * Math.cos(y) + Math.sin(x) * Math.sin(y);
  return (Math.acos(Math.max(-1, Math.min(1, dot))) * 180) / Math.PI;
};

describe('a figure turned', () => {
  test.each([
    [0, 0],
    [7, 0],
    [8, 15],
    [352, 345],
    [353, 0],
    [-16, 345],
  ])('%p° comes to rest at %p°', (fromDeg, restDeg) => expect(restingDeg(fromDeg)).toBe(restDeg));

  test('rests at a step, never more than half a step away', () => {
    fc.assert(
      fc.property(angle, (deg) => {
        const rest = restingDeg(deg);
        expect(rest % 15).toBe(0);
        expect(rest).toBeGreaterThanOrEqual(0);
        expect(rest).toBeLessThan(360);
        expect(apartDeg(rest, deg)).toBeLessThanOrEqual(7.5 + 1e-4);
      }),
    );
  });

  test('goes the shorter way, and gets there', () => {
    fc.assert(
      fc.property(angle, angle, (from, to) => {
        const way = shortWay(from, to);
        expect(Math.abs(way)).toBeLessThanOrEqual(180);
        expect(Math.abs(way)).toBeCloseTo(apartDeg(from, to), 3);
        expect(apartDeg(from + way, to)).toBeCloseTo(0, 3);
      }),
    );
  });

  test('what is in front goes with the hand, and back again', () => {
    expect(turnedBy(0, 30)).toBe(345);
    expect(turnedBy(0, -30)).toBe(15);
    fc.assert(
      fc.property(fc.integer({ min: -900, max: 900 }), (px) =>
        expect(apartDeg(turnedBy(turnedBy(40, px), -px), 40)).toBeCloseTo(0, 3),
      ),
    );
  });

  test('begins and ends at rest, and never goes back', () => {
    expect([eased(0), eased(1)]).toEqual([0, 1]);
    for (let at = 1; at <= 100; at++) expect(eased(at / 100)).toBeGreaterThan(eased((at - 1) / 100));
    expect(turnMs(15)).toBeLessThan(turnMs(90));
    expect(turnMs(180)).toBeLessThanOrEqual(360);
    expect(within(-15)).toBe(345);
  });
});
