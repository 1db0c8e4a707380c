import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type MassTerm, totalMass } from '../../../src/engine/index.ts';
import { gaussian } from '../../support/random.ts';

const core = (group: string, pieceG: number, count: number): MassTerm => ({
  group,
  cause: 'density',
  pieceG,
  count,
  sharedSigma: 0.2,
  ownSigma: 0.1,
});

test('the reference total: eight of 2 g and one of 10 g of one fibre, 1 g of another', () => {
  const total = totalMass([core('a', 2, 8), core('a', 10, 1), core('b', 1, 1)]);
  expect(total.likelyG).toBe(27);
  expect(total.lowG).toBeCloseTo(20.96, 2);
  expect(total.highG).toBeCloseTo(34.77, 2);
});

test('the spread agrees with simulated errors, shared ones made once a fibre', () => {
  const terms = [core('a', 2, 8), core('a', 10, 1), { ...core('b', 6, 3), sharedSigma: 0.25 }];
  const normal = gaussian(7);
  const draws = Array.from({ length: 40_000 }, () => {
    const shared = new Map(['a', 'b'].map((group) => [group, normal()]));
    return terms.reduce((sum, term) => {
      const sharedError = (shared.get(term.group) ?? 0) * term.sharedSigma * term.pieceG * term.count;
      const drawnEach = Array.from({ length: term.count }, () => normal() * term.ownSigma * term.pieceG);
      return sum + term.pieceG * term.count + sharedError + drawnEach.reduce((a, b) => a + b, 0);
    }, 0);
  });
  const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
  const sigma = Math.sqrt(draws.reduce((sum, draw) => sum + (draw - mean) ** 2, 0) / draws.length);
  const total = totalMass(terms);
  const statedSigma = (Math.log(total.highG / total.likelyG) / 1.2815515655) * total.likelyG;
  expect(statedSigma / sigma).toBeCloseTo(1, 1);
});

test('columns add up, the range holds the likely, and one fibre in two lines is no surer than in one', () => {
  const term = fc.record({
    group: fc.constantFrom('a', 'b', 'c'),
    cause: fc.constant('density' as const),
    pieceG: fc.double({ min: 0.01, max: 50, noNaN: true }),
    count: fc.integer({ min: 1, max: 12 }),
    sharedSigma: fc.constant(0.2),
    ownSigma: fc.constant(0.1),
  });
  fc.assert(
    fc.property(fc.array(term, { minLength: 1, maxLength: 12 }), (terms) => {
      const total = totalMass(terms);
      expect(total.likelyG).toBeCloseTo(
        terms.reduce((sum, { pieceG, count }) => sum + pieceG * count, 0),
        9,
      );
      expect(total.lowG).toBeLessThan(total.likelyG);
      expect(total.highG).toBeGreaterThan(total.likelyG);
      const split = terms.flatMap((errorTerm) =>
        Array.from({ length: errorTerm.count }, () => ({ ...errorTerm, count: 1 })),
      );
      expect(totalMass(split).highG).toBeCloseTo(total.highG, 6);
    }),
  );
});

test('nothing weighs nothing, and what is unknown is counted beside it', () => {
  expect(totalMass([], 2)).toEqual({ lowG: 0, likelyG: 0, highG: 0, unknownCount: 2 });
});
