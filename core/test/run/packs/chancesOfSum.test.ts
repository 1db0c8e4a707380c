import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { chancesOfSum } from '../../../src/run/packs/chancesOfSum.ts';
import { allowances } from '../../../src/run/packs/undecided.ts';

interface Choice {
  readonly share: number;
  readonly massG: number;
}

/** Every way that so many may choose, one after another: sums in whole milligrams with their chances. */
function everyWay(choices: readonly Choice[], choosers: number): Map<number, number> {
  let sums = new Map([[0, 1]]);
  for (let chooser = 0; chooser < choosers; chooser++) {
    const next = new Map<number, number>();
    for (const [sum, chance] of sums)
      for (const { share, massG } of choices) {
        const to = sum + Math.round(massG * 1000);
        next.set(to, (next.get(to) ?? 0) + chance * share);
      }
    sums = next;
  }
  return sums;
}

function leastThatHolds(sums: ReadonlyMap<number, number>, chance: number): number {
  let reached = 0;
  for (const [sum, share] of [...sums].sort(([a], [b]) => a - b)) {
    reached += share;
    if (reached >= chance - 1e-11) return sum / 1000;
  }
  return Number.NaN;
}

const drawnChoices = fc
  .array(fc.record({ weight: fc.integer({ min: 1, max: 20 }), massMg: fc.integer({ min: 0, max: 4000 }) }), {
    minLength: 1,
    maxLength: 6,
  })
  .filter((drawn) => drawn.some(({ massMg }) => massMg > 0))
  .map((drawn) => {
    const total = drawn.reduce((sum, { weight }) => sum + weight, 0);
    return drawn.map(({ weight, massMg }): Choice => ({ share: weight / total, massG: massMg / 1000 }));
  });

describe('how likely each sum of what is chosen is', () => {
  test('is what every way of choosing comes to', () =>
    fc.assert(
      fc.property(drawnChoices, fc.integer({ min: 1, max: 6 }), (choices, choosers) => {
        const { cellG, chances } = chancesOfSum(choices, choosers);
        expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
        // Six choosers of 4 g stay in cells of a milligram: no sum is rounded.
        expect(cellG).toBe(0.001);
        for (const [sum, chance] of everyWay(choices, choosers))
          expect(chances[sum] ?? Number.NaN).toBeCloseTo(chance, 9);
      }),
    ));
  test.each([
    [
      'fifty, of twenty colours',
      50,
      Array.from({ length: 20 }, (_, at) => ({ share: 1 / 20, massG: at * 0.7 })),
    ],
    [
      'sixty, of ten',
      60,
      Array.from({ length: 10 }, (_, at) => ({ share: 1 / 10, massG: at === 3 ? 9.123 : 0 })),
    ],
    [
      'two hundred, one chance in two hundred',
      200,
      [
        { share: 0.995, massG: 0 },
        { share: 0.005, massG: 41.7 },
      ],
    ],
  ])('%s: never told too small, and too large by less than a cell for each', (_name, choosers, choices) => {
    const variants = choices.map(({ share, massG }) => ({ share, grams: new Map([['bag|wool', massG]]) }));
    const allowanceG = allowances(variants, choosers, 0.95).get('wool') ?? Number.NaN;
    const rightG = leastThatHolds(everyWay(choices, choosers), 0.95);
    const cellG = Math.max(0.001, (Math.max(...choices.map(({ massG }) => massG)) * choosers) / 32_000);
    expect(allowanceG).toBeGreaterThanOrEqual(rightG - 1e-9);
    expect(allowanceG).toBeLessThanOrEqual(rightG + choosers * cellG + 1e-9);
  });
});
