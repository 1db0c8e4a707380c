import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  bestGroups,
  groupErrorFraction,
  PARTED_ERROR_FRACTION,
  partingErrorFraction,
  partingOf,
} from '../../../src/run/portions/parting.ts';
import { leastWeighableG, stepsUp, weighPortions } from '../../../src/run/portions/weighing.ts';

/** The judge: every way to put so many packs into groups of two and more, larger first. */
function allGroupings(packs: number, most = packs): number[][] {
  if (packs === 0) return [[]];
  const found: number[][] = [];
  for (let size = Math.min(packs, most); size >= 2; size--)
    for (const rest of allGroupings(packs - size, size)) found.push([size, ...rest]);
  return found;
}

describe('a lot parted by eye', () => {
  test.each([
    [1, 0, []],
    [2, 1, []],
    [8, 3, []],
    [3, 0, [3]],
    [12, 2, [3]],
    [15, 0, [3, 5]],
    [7, 0, [7]],
    [18, 1, [3, 3]],
    [49, 0, [7, 7]],
  ])('in %d', (parts, halvings, into) => expect(partingOf(parts)).toEqual({ halvings, into }));
  test('the parts come out as many as were wanted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (parts) => {
        const { halvings, into } = partingOf(parts);
        expect(into.reduce((product, each) => product * each, 2 ** halvings)).toBe(parts);
        expect(into.every((each) => each % 2 === 1)).toBe(true);
        // Halving is the surest that hands can do: nothing even is left for later.
        expect(into).toEqual(into.toSorted((a, b) => a - b));
      }),
    );
  });
  test.each([
    ['not parted at all', { halvings: 0, into: [] }, 0],
    ['halved once', { halvings: 1, into: [] }, 0.1],
    ['halved four times', { halvings: 4, into: [] }, 0.2],
    ['in three at once: two cuts', { halvings: 0, into: [3] }, 0.1 * Math.SQRT2],
    ['halved, then in three and in five', { halvings: 1, into: [3, 5] }, 0.1 * Math.sqrt(7)],
  ])('its error: %s', (_name, parting, error) =>
    expect(partingErrorFraction(parting)).toBeCloseTo(error, 12),
  );
  test('the scale’s half step is shared by the packs, and adds as the root of squares', () => {
    expect(groupErrorFraction(1, 1, 0.1)).toBeCloseTo(0.05, 12);
    expect(groupErrorFraction(4, 0.1, 0.1)).toBeCloseTo(Math.hypot(0.125, 0.1 * Math.SQRT2), 12);
  });
});

describe('packs weighed together, judged by every way there is', () => {
  test('the fewest weighings that leave each within a fifth; where none do, the least error', () => {
    const grams = fc.double({ min: 0.005, max: 0.49, noNaN: true });
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 20 }), grams, (packs, packG) => {
        const worstOf = (sizes: readonly number[]) =>
          Math.max(...sizes.map((size) => groupErrorFraction(size, packG, 0.1)));
        const ways = allGroupings(packs).map((sizes) => ({ sizes, worst: worstOf(sizes) }));
        const limit = Math.max(PARTED_ERROR_FRACTION, Math.min(...ways.map(({ worst }) => worst))) + 1e-9;
        const fewest = Math.min(
          ...ways.filter(({ worst }) => worst <= limit).map(({ sizes }) => sizes.length),
        );
        const groups = bestGroups(packs, packG, 0.1);
        const sizes = groups.map((group) => group.packs);
        expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(packs);
        expect(sizes).toHaveLength(fewest);
        expect(worstOf(sizes)).toBeLessThanOrEqual(limit);
        expect(sizes).toEqual(sizes.toSorted((a, b) => b - a));
      }),
      { numRuns: 60 },
    );
  });
  test('each group says how it is parted, and its error', () => {
    for (const group of bestGroups(13, 0.08, 0.1)) {
      expect(group.parting).toEqual(partingOf(group.packs));
      expect(group.errorFraction).toBeCloseTo(groupErrorFraction(group.packs, 0.08, 0.1), 12);
    }
  });
  test('however many there are, none is left over and none is alone', () => {
    for (const packs of [2, 3, 5, 127, 128, 129, 257, 500]) {
      const sizes = bestGroups(packs, 0.02, 0.1).map((group) => group.packs);
      expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(packs);
      expect(Math.min(...sizes)).toBeGreaterThanOrEqual(2);
    }
  });
});

describe('singly or together', () => {
  test.each([
    ['what the scale weighs well enough', 0.5, 11, 'single'],
    ['a little less', 0.499, 11, 'together'],
    ['one pack has nobody to share with', 0.02, 1, 'single'],
  ])('%s', (_name, packG, packs, kind) => {
    expect(leastWeighableG(0.1)).toBeCloseTo(0.5, 12);
    expect(weighPortions(packG, packs, 0.1).kind).toBe(kind);
  });
  test('nobody gets less than was reckoned, in whole steps, and not a step more than rounding takes', () => {
    const grams = fc.double({ min: 0.001, max: 30, noNaN: true });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        grams,
        fc.constantFrom(0.01, 0.1, 1),
        (packs, packG, stepG) => {
          const weighing = weighPortions(packG, packs, stepG);
          expect(weighing.classSteps * stepG).toBeGreaterThanOrEqual(packs * packG - 1e-7);
          const weighings = weighing.kind === 'single' ? packs : weighing.groups.length;
          expect(weighing.classSteps * stepG).toBeLessThan(packs * packG + weighings * stepG + 1e-7);
          expect(Number.isInteger(weighing.classSteps)).toBe(true);
        },
      ),
    );
  });
  test('parted worse than a hand measures, it says so', () => {
    const tiny = weighPortions(0.001, 13, 0.1);
    if (tiny.kind !== 'together') throw new Error('a wisp for thirteen');
    expect(tiny.isByHand).toBe(true);
    expect(tiny.errorFraction).toBe(Math.max(...tiny.groups.map((group) => group.errorFraction)));
    const fair = weighPortions(0.3, 4, 0.1);
    expect(fair.kind === 'together' && fair.isByHand).toBe(false);
  });
  test('steps are rounded up, but not for an error of arithmetic', () => {
    expect([stepsUp(0.3, 0.1), stepsUp(0.30000001, 0.1), stepsUp(0.31, 0.1), stepsUp(0, 0.1)]).toEqual([
      3, 4, 4, 0,
    ]);
  });
});
