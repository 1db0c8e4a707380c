import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { gapOfPlan, moneyOfPlan, partsOfWant, priceOfLine, goodsOfOrder } from '../../src/buying/index.ts';
import type { PurchasePlan } from '../../src/buying/index.ts';

const plan = (
  totalMinor: number,
  leftOverMinor: number,
  carriages: readonly number[],
): Pick<PurchasePlan, 'purchase'> => ({
  purchase: {
    totalMinor,
    leftOverMinor,
    parcels: carriages.map((carriageMinor) => ({ carriageMinor })),
  } as unknown as PurchasePlan['purchase'],
});

describe('where the money of a plan goes', () => {
  test.each([
    [
      'goods, rest and carriage',
      1050,
      200,
      [450],
      { usedMinor: 400, leftOverMinor: 200, carriageMinor: 450 },
    ],
    ['nothing left over', 1050, 0, [450, 100], { usedMinor: 500, leftOverMinor: 0, carriageMinor: 550 }],
    [
      'what is left is worth no more than was paid',
      500,
      900,
      [100],
      { usedMinor: 0, leftOverMinor: 400, carriageMinor: 100 },
    ],
  ] as const)('%s', (_what, total, left, carriages, parts) =>
    expect(moneyOfPlan(plan(total, left, carriages))).toEqual(parts),
  );

  test('its three parts are its total', () => {
    const minor = fc.integer({ min: 0, max: 1e6 });
    fc.assert(
      fc.property(
        minor,
        minor,
        fc.array(fc.integer({ min: 0, max: 900 }), { maxLength: 4 }),
        (goods, left, carriages) => {
          const carriage = carriages.reduce((sum, each) => sum + each, 0);
          const { usedMinor, leftOverMinor, carriageMinor } = moneyOfPlan(
            plan(goods + carriage, left, carriages),
          );
          expect(usedMinor + leftOverMinor + carriageMinor).toBe(goods + carriage);
          expect(Math.min(usedMinor, leftOverMinor, carriageMinor)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  test.each([
    ['proven', true, 1000, 900, 0],
    ['a tenth may be saved', false, 1000, 900, 0.1],
    ['nothing is known of what is least', false, 1000, -5, 1],
    ['it costs nothing', false, 0, 0, 0],
  ] as const)('how far from the best it may be: %s', (_what, isProven, totalMinor, atLeastMinor, gap) =>
    expect(gapOfPlan({ ...plan(totalMinor, 0, []), isProven, atLeastMinor })).toBeCloseTo(gap, 12),
  );

  test('an order’s goods are its lines', () => {
    const lines = [
      { packs: 3, priceEachMinor: 450 },
      { packs: 1, priceEachMinor: 99 },
    ] as Parameters<typeof goodsOfOrder>[0]['lines'];
    expect(lines.map(priceOfLine)).toEqual([1350, 99]);
    expect(goodsOfOrder({ lines })).toBe(1449);
  });
});

describe('of what is wanted', () => {
  test.each([
    ['half is there', 100, 50, 0, { there: 50, coming: 0, lacking: 50 }],
    ['some is coming', 100, 20, 30, { there: 50, coming: 30, lacking: 20 }],
    ['more is coming than is lacking', 100, 0, 130, { there: 0, coming: 100, lacking: 0 }],
    ['never counted: nothing is there', 100, null, 0, { there: 0, coming: 0, lacking: 100 }],
    ['enough', 100, 0, 0, { there: 100, coming: 0, lacking: 0 }],
  ] as const)('%s', (_what, wanted, toBuy, coming, parts) => {
    expect(partsOfWant({ wanted, toBuy, coming })).toEqual(parts);
  });
});
