import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Z90 } from '../../../src/base/index.ts';
import {
  doubtsOf,
  massOfTerm,
  totalMass,
  type ErrorCause,
  type MassTerm,
} from '../../../src/engine/quantity/index.ts';
import { ownVariance } from '../../../src/engine/quantity/totalMass.ts';

const term = (more: Partial<MassTerm> = {}): MassTerm => ({
  group: 'chalk',
  cause: 'density',
  pieceG: 4,
  count: 1,
  sharedSigma: 0,
  ownSigma: 0,
  ...more,
});

/**
 * The judge: every piece by itself, and how every two of them err together. What is common errs together in all pieces,
 * what is shared in all of a group, what is a term's in all of that term, what is a piece's in none but itself.
 */
function varianceByPieces(terms: readonly MassTerm[]): number {
  const pieces = terms.flatMap((of) =>
    Array.from({ length: of.count }, (_, at) => ({ of, at, massG: of.pieceG })),
  );
  let sum = 0;
  for (const a of pieces)
    for (const b of pieces) {
      const together =
        (a.of.commonSigma ?? 0) * (b.of.commonSigma ?? 0) +
        (a.of.group === b.of.group ? a.of.sharedSigma * b.of.sharedSigma : 0) +
        (a.of === b.of ? (a.of.allSigma ?? 0) ** 2 + (a.of.countSigma ?? 0) ** 2 : 0) +
        (a.of === b.of && a.at === b.at ? a.of.ownSigma ** 2 : 0);
      sum += together * a.massG * b.massG;
    }
  return sum;
}

/** Square grams, read back from the range. */
function varianceOf({ likelyG, highG }: { likelyG: number; highG: number }): number {
  return ((Math.log(highG / likelyG) / Z90) * likelyG) ** 2;
}

const sigma = fc.double({ min: 0, max: 0.3, noNaN: true });
const CAUSES: readonly ErrorCause[] = ['density', 'hiding', 'stated', 'hand'];
const anyTerm: fc.Arbitrary<MassTerm> = fc.record({
  group: fc.constantFrom('chalk', 'pear', 'moss'),
  cause: fc.constantFrom(...CAUSES),
  pieceG: fc.double({ min: 0.01, max: 60, noNaN: true }),
  count: fc.integer({ min: 1, max: 6 }),
  commonSigma: sigma,
  sharedSigma: sigma,
  ownSigma: sigma,
  allSigma: sigma,
  countSigma: sigma,
});
const anyTerms = fc.array(anyTerm, { minLength: 1, maxLength: 5 });

describe('how far a sum may be off', () => {
  test('judged piece by piece, two by two', () => {
    fc.assert(
      fc.property(anyTerms, (terms) => {
        const wanted = varianceByPieces(terms);
        expect(Math.abs(varianceOf(totalMass(terms)) - wanted)).toBeLessThanOrEqual(
          1e-9 * Math.max(1, wanted),
        );
      }),
    );
  });
  test('one addend alone is the sum of one', () => {
    fc.assert(
      fc.property(anyTerm, (only) => {
        const { unknownCount: _unknown, ...sum } = totalMass([only]);
        const alone = massOfTerm(only);
        for (const end of ['lowG', 'likelyG', 'highG'] as const) expect(alone[end]).toBeCloseTo(sum[end], 9);
      }),
    );
  });
  test.each([
    ['nothing weighs nothing, however unsure', term({ pieceG: 0, sharedSigma: 0.3, ownSigma: 0.2 }), 0, 0],
    ['none of it weighs nothing', term({ count: 0, sharedSigma: 0.3 }), 0, 0],
    ['certain', term({ count: 3 }), 12, 0],
    [
      'eight alike, each off by a tenth: the errors cancel',
      term({ count: 8, ownSigma: 0.1 }),
      32,
      8 * 0.4 ** 2,
    ],
    ['eight alike, all off together: they do not', term({ count: 8, allSigma: 0.1 }), 32, 3.2 ** 2],
    ['how many there are is not known', term({ count: 8, countSigma: 0.25 }), 32, 8 ** 2],
    ['what one maker’s hands do', term({ count: 8, commonSigma: 0.1 }), 32, 3.2 ** 2],
  ])('%s', (_name, only, likelyG, varianceG2) => {
    const { lowG, highG, ...sum } = massOfTerm(only);
    expect(sum.likelyG).toBe(likelyG);
    if (likelyG === 0) expect([lowG, highG]).toEqual([0, 0]);
    else expect(varianceOf({ likelyG, highG })).toBeCloseTo(varianceG2, 9);
  });
  test('what is a term’s own is each piece’s, all of its pieces’, and their number’s', () => {
    const varianceG2 = ownVariance(term({ count: 5, ownSigma: 0.1, allSigma: 0.2, countSigma: 0.3 }));
    expect(varianceG2).toBeCloseTo(5 * 0.4 ** 2 + 4 ** 2 + 6 ** 2, 12);
  });
});

describe('what makes it doubtful', () => {
  /** The same terms with every error of one input larger by `factor`. */
  const scaled = (terms: readonly MassTerm[], group: string, cause: ErrorCause, factor: number): MassTerm[] =>
    terms.map((of) => {
      const isIt = of.group === group;
      if (cause === 'common') return { ...of, commonSigma: (of.commonSigma ?? 0) * factor };
      if (cause === 'count') return isIt ? { ...of, countSigma: (of.countSigma ?? 0) * factor } : of;
      if (cause === 'piece') return isIt ? { ...of, ownSigma: of.ownSigma * factor } : of;
      return isIt && of.cause === cause
        ? { ...of, sharedSigma: of.sharedSigma * factor, allSigma: (of.allSigma ?? 0) * factor }
        : of;
    });

  test('judged by making each input’s error a little larger, and seeing what the whole does', () => {
    const little = 1e-4;
    fc.assert(
      fc.property(anyTerms, (terms) => {
        const whole = varianceByPieces(terms);
        fc.pre(whole > 1e-3);
        for (const { group, cause, fraction } of doubtsOf(terms)) {
          const more = varianceByPieces(scaled(terms, group, cause, 1 + little));
          const less = varianceByPieces(scaled(terms, group, cause, 1 - little));
          // A variance goes with the square: half of what it grows by is the input's share.
          expect(fraction).toBeCloseTo((more - less) / (4 * little) / whole, 5);
        }
      }),
    );
  });
  test('the fractions make up the whole, the largest is the first, and each input is named once', () => {
    fc.assert(
      fc.property(anyTerms, (terms) => {
        const doubts = doubtsOf(terms);
        fc.pre(doubts.length > 0);
        expect(doubts.reduce((sum, { fraction }) => sum + fraction, 0)).toBeCloseTo(1, 9);
        const fractions = doubts.map(({ fraction }) => fraction);
        expect(fractions).toEqual(fractions.toSorted((a, b) => b - a));
        expect(new Set(doubts.map(({ group, cause }) => `${group} ${cause}`)).size).toBe(doubts.length);
      }),
    );
  });
  test('what is certain is no doubt, and is not named', () => {
    expect(doubtsOf([term(), term({ group: 'pear' })])).toEqual([]);
    expect(doubtsOf([term({ sharedSigma: 0.1 }), term({ group: 'pear' })])).toEqual([
      { group: 'chalk', cause: 'density', fraction: 1 },
    ]);
  });
  test('of two colours that are off alike the heavier is the larger doubt', () => {
    const doubts = doubtsOf([
      term({ group: 'pear', sharedSigma: 0.1, pieceG: 3 }),
      term({ group: 'chalk', sharedSigma: 0.1, pieceG: 6 }),
    ]);
    expect(doubts.map(({ group, fraction }) => [group, Number(fraction.toFixed(3))])).toEqual([
      ['chalk', 0.8],
      ['pear', 0.2],
    ]);
  });
});
