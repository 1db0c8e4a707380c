import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planBlendLot, takeFromLots } from '../../../src/shelf/index.ts';

describe('a lot of a blend', () => {
  test('every weighing is rounded up to the scale, and the share held back is on top', () => {
    const plan = planBlendLot(
      new Map([
        ['a', 0.625],
        ['b', 0.25],
        ['c', 0.125],
      ]),
      40,
      0.2,
      1,
    );
    expect(plan.lotG).toBeCloseTo(50, 9);
    expect(plan.heldBackG).toBeCloseTo(10, 9);
    expect(plan.components.map(({ weighedG }) => weighedG)).toEqual([32, 13, 7]);
    expect(plan.totalG).toBe(52);
  });
  test.each([
    ['1 g of 80 : 10 : 10 on a scale of 0.1 g', [0.8, 0.1, 0.1], 1, 0, 0.1, [0.8, 0.1, 0.1], false],
    ['with a share held back it is raised', [0.8, 0.1, 0.1], 1, 0.15, 0.1, [1.5, 0.2, 0.2], true],
    ['a large lot stays as it is', [0.8, 0.1, 0.1], 40, 0.15, 0.1, [37.7, 4.8, 4.8], false],
    ['a fine scale too', [0.8, 0.1, 0.1], 1, 0.15, 0.01, [0.95, 0.12, 0.12], false],
    ['one fibre alone has nothing to keep', [1], 0.34, 0, 0.1, [0.4], false],
  ])('keeps its recipe: %s', (_name, shares, massG, held, step, weighed, isRaised) => {
    const plan = planBlendLot(new Map(shares.map((share, at) => [`f${at}`, share])), massG, held, step);
    expect(plan.components.map(({ weighedG }) => weighedG)).toEqual(weighed);
    expect(plan.isRaised).toBe(isRaised);
  });
  test('within two points, and no smaller lot in whole steps would', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 1, max: 400 }),
        (weights, tenths) => {
          const sum = weights.reduce((all, weight) => all + weight, 0);
          const shares = weights.map((weight) => weight / sum);
          const off = (lotG: number) => {
            const steps = shares.map((share) => Math.ceil((lotG * share) / 0.1 - 1e-9));
            const all = steps.reduce((total, step) => total + step, 0);
            return Math.max(...steps.map((step, at) => Math.abs(step / all - (shares[at] ?? 0))));
          };
          const plan = planBlendLot(
            new Map(shares.map((share, at) => [`f${at}`, share])),
            tenths / 10,
            0,
            0.1,
          );
          for (const { weighedG, fraction } of plan.components)
            expect(Math.abs(weighedG / plan.totalG - fraction)).toBeLessThanOrEqual(0.02 + 1e-9);
          for (let steps = tenths; steps < Math.round(plan.lotG / 0.1); steps++)
            expect(off(steps * 0.1)).toBeGreaterThan(0.02);
        },
      ),
    );
  });
  test('is never short and never over by more than a step each', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.constantFrom(0.01, 0.1, 0.5, 1, 5),
        (weights, massG, held, step) => {
          const sum = weights.reduce((all, weight) => all + weight, 0);
          const plan = planBlendLot(new Map(weights.map((w, i) => [`f${i}`, w / sum])), massG, held, step);
          for (const { exactG, weighedG } of plan.components) {
            expect(weighedG).toBeGreaterThanOrEqual(exactG - 1e-6);
            expect(weighedG).toBeLessThan(exactG + step + 1e-6);
          }
          expect(plan.wantedG * (1 - held)).toBeCloseTo(massG, 9);
          expect(plan.lotG).toBeGreaterThanOrEqual(plan.wantedG - 1e-9);
          expect(plan.heldBackG).toBeCloseTo(plan.lotG - massG, 9);
        },
      ),
    );
  });
});

describe('what to take from which lot', () => {
  const lots = [
    { id: 'old', onHandG: 6 },
    { id: 'bare', onHandG: null },
    { id: 'new', onHandG: 12 },
  ];
  test.each([
    ['the oldest alone', 5, [{ lotId: 'old', massG: 5 }]],
    [
      'the oldest emptied, then the next',
      9.5,
      [
        { lotId: 'old', massG: 6 },
        { lotId: 'new', massG: 3.5 },
      ],
    ],
    [
      'all there is',
      18,
      [
        { lotId: 'old', massG: 6 },
        { lotId: 'new', massG: 12 },
      ],
    ],
    ['more than there is', 18.1, null],
  ])('%s', (_name, massG, expected) => expect(takeFromLots(lots, massG)).toEqual(expected));
});
