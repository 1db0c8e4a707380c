import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { highsSolvers, type Solvers } from '../../src/solving/index.ts';
import {
  type PackOffer,
  planPurchase,
  type PurchaseProblem,
  purchaseOf,
  type PurchaseWay,
  type SupplierTerms,
  unmetBy,
} from '../../src/buying/index.ts';

let solvers: Solvers;
beforeAll(async () => {
  solvers = await highsSolvers();
});

const supplier = (supplierId: string, more: Partial<SupplierTerms> = {}): SupplierTerms => ({
  supplierId,
  carriageMinor: 0,
  freeFromMinor: null,
  minimumMinor: null,
  arrivesOn: null,
  ...more,
});

const pack = (key: string, amount: number, priceMinor: number, more: Partial<PackOffer> = {}): PackOffer => ({
  key,
  supplierId: 'a',
  name: '',
  reference: '',
  contents: [{ itemId: 'wool', amount }],
  steps: [{ from: 1, priceMinor }],
  ...more,
});

const problem = (more: Partial<PurchaseProblem>): PurchaseProblem => ({
  needs: [{ itemId: 'wool', tiers: [{ by: null, amount: 130 }], isFromOne: false }],
  suppliers: [supplier('a'), supplier('b')],
  offers: [],
  held: new Map(),
  ...more,
});

const planOf = (given: PurchaseProblem, way: PurchaseWay = 'money') => {
  const plan = planPurchase(given, way, solvers.solve, { limitS: 10 });
  if (plan.kind !== 'planned') throw new Error(plan.kind);
  return plan;
};

const FIFTY = pack('50', 50, 400);
const HUNDRED = pack('100', 100, 650);

describe('whole packs for what is needed', () => {
  test.each<{
    name: string;
    given: Partial<PurchaseProblem>;
    counts: Record<string, number>;
    totalMinor: number;
  }>([
    {
      name: '130 g from packs of 50 at 4.00 and 100 at 6.50: one of each, 10.50',
      given: { offers: [FIFTY, HUNDRED] },
      counts: { '50': 1, '100': 1 },
      totalMinor: 1050,
    },
    {
      name: 'carriage of a second supplier outweighs its price',
      given: {
        suppliers: [supplier('a'), supplier('b', { carriageMinor: 500 })],
        offers: [FIFTY, HUNDRED, pack('b', 150, 600, { supplierId: 'b' })],
      },
      counts: { '50': 1, '100': 1 },
      totalMinor: 1050,
    },
    {
      name: 'a pack more makes the parcel free',
      given: {
        suppliers: [supplier('a', { carriageMinor: 600, freeFromMinor: 1200 })],
        offers: [FIFTY],
      },
      counts: { '50': 3 },
      totalMinor: 1200,
    },
    {
      name: 'a minimum is reached',
      given: { suppliers: [supplier('a', { minimumMinor: 1500 })], offers: [FIFTY] },
      counts: { '50': 4 },
      totalMinor: 1600,
    },
    {
      name: 'from four packs on each is cheaper, so that four cost less than three',
      given: {
        offers: [
          pack('50', 50, 400, {
            steps: [
              { from: 1, priceMinor: 400 },
              { from: 4, priceMinor: 290 },
            ],
          }),
        ],
      },
      counts: { '50': 4 },
      totalMinor: 1160,
    },
    {
      name: 'what comes too late for its day is not counted for it',
      given: {
        suppliers: [supplier('a', { arrivesOn: '2027-01-20' }), supplier('b', { arrivesOn: '2027-01-05' })],
        needs: [
          {
            itemId: 'wool',
            tiers: [
              { by: '2027-01-10', amount: 40 },
              { by: '2027-01-30', amount: 140 },
            ],
            isFromOne: false,
          },
        ],
        offers: [HUNDRED, pack('b', 50, 900, { supplierId: 'b' })],
      },
      counts: { '100': 1, b: 1 },
      totalMinor: 1550,
    },
    {
      name: 'a colour from one supplier only',
      given: {
        needs: [{ itemId: 'wool', tiers: [{ by: null, amount: 130 }], isFromOne: true }],
        offers: [pack('100', 100, 500), pack('a50', 50, 450), pack('b', 50, 300, { supplierId: 'b' })],
      },
      counts: { b: 3 },
      totalMinor: 900,
    },
    {
      name: 'an assortment counts for all that is in it',
      given: {
        needs: [
          { itemId: 'wool', tiers: [{ by: null, amount: 20 }], isFromOne: false },
          { itemId: 'red', tiers: [{ by: null, amount: 15 }], isFromOne: false },
        ],
        offers: [
          FIFTY,
          pack('red', 25, 350, { contents: [{ itemId: 'red', amount: 25 }] }),
          pack('both', 0, 500, {
            contents: [
              { itemId: 'wool', amount: 20 },
              { itemId: 'red', amount: 20 },
            ],
          }),
        ],
      },
      counts: { both: 1 },
      totalMinor: 500,
    },
    {
      name: 'the rest is planned around what is held by hand',
      given: { offers: [FIFTY, HUNDRED], held: new Map([['50', 2]]) },
      counts: { '50': 2, '100': 1 },
      totalMinor: 1450,
    },
  ])('$name', ({ given, counts, totalMinor }) => {
    const plan = planOf(problem(given));
    expect(Object.fromEntries(plan.counts)).toEqual(counts);
    expect(plan).toMatchObject({ isProven: true, atLeastMinor: totalMinor });
    expect(plan.purchase.totalMinor).toBe(totalMinor);
  });

  test('fewest parcels, and least left over, each at the least money for it', () => {
    const given = problem({
      needs: [
        { itemId: 'wool', tiers: [{ by: null, amount: 60 }], isFromOne: false },
        { itemId: 'eyes', tiers: [{ by: null, amount: 20 }], isFromOne: false },
      ],
      offers: [
        pack('100', 100, 400),
        pack('b50', 50, 380, { supplierId: 'b' }),
        pack('b10', 10, 150, { supplierId: 'b' }),
        pack('eyes', 20, 300, { supplierId: 'b', contents: [{ itemId: 'eyes', amount: 20 }] }),
      ],
    });
    expect(planOf(given).purchase).toMatchObject({ totalMinor: 700 });
    expect(planOf(given, 'parcels').purchase).toMatchObject({
      totalMinor: 830,
      parcels: [{ supplierId: 'b' }],
    });
    expect(planOf(given, 'left-over').purchase).toMatchObject({ totalMinor: 830, leftOverMinor: 0 });
  });

  test('numbers held by hand against one supplier for a colour leave no way', () => {
    const given = problem({
      needs: [{ itemId: 'wool', tiers: [{ by: null, amount: 130 }], isFromOne: true }],
      offers: [FIFTY, pack('b', 50, 300, { supplierId: 'b' })],
      held: new Map([
        ['50', 1],
        ['b', 1],
      ]),
    });
    expect(planPurchase(given, 'money', solvers.solve, { limitS: 10 })).toEqual({ kind: 'impossible' });
  });
});

/** Two things, two suppliers, up to three packs: small enough for every purchase to be tried. */
const small = fc.record({
  amounts: fc.array(fc.integer({ min: 10, max: 90 }), { minLength: 2, maxLength: 2 }),
  isFromOne: fc.boolean(),
  carriage: fc.integer({ min: 0, max: 600 }),
  freeFrom: fc.option(fc.integer({ min: 200, max: 1500 })),
  minimum: fc.option(fc.integer({ min: 100, max: 900 })),
  packs: fc.array(
    fc.record({
      isB: fc.boolean(),
      first: fc.integer({ min: 10, max: 60 }),
      second: fc.integer({ min: 0, max: 40 }),
      price: fc.integer({ min: 50, max: 700 }),
      cheaperFrom: fc.option(fc.integer({ min: 2, max: 3 })),
    }),
    { minLength: 1, maxLength: 3 },
  ),
});

function problemOf({
  amounts,
  isFromOne,
  carriage,
  freeFrom,
  minimum,
  packs,
}: typeof small extends fc.Arbitrary<infer T> ? T : never): PurchaseProblem {
  return {
    needs: ['x', 'y'].map((itemId, at) => ({
      itemId,
      tiers: [{ by: null, amount: amounts[at] ?? 1 }],
      isFromOne: isFromOne && at === 0,
    })),
    suppliers: [
      supplier('a', { carriageMinor: carriage, freeFromMinor: freeFrom }),
      supplier('b', { carriageMinor: 200, minimumMinor: minimum }),
    ],
    offers: [
      ...packs.map(({ isB, first, second, price, cheaperFrom }, at) =>
        pack(`p${at}`, 0, price, {
          supplierId: isB ? 'b' : 'a',
          contents: [
            { itemId: 'x', amount: first },
            ...(second > 0 ? [{ itemId: 'y', amount: second }] : []),
          ],
          steps: [
            { from: 1, priceMinor: price },
            ...(cheaperFrom === null ? [] : [{ from: cheaperFrom, priceMinor: Math.round(price * 0.7) }]),
          ],
        }),
      ),
      // So that there is always a way.
      pack('ax', 30, 500, { contents: [{ itemId: 'x', amount: 30 }] }),
      pack('ay', 30, 500, { contents: [{ itemId: 'y', amount: 30 }] }),
    ],
    held: new Map(),
  };
}

/** Every purchase there is, of up to so many packs of each: what the least of it is. */
function leastByTrying(
  given: PurchaseProblem,
  most: number,
  costOf: (counts: Map<string, number>) => number,
): number {
  let least = Infinity;
  const counts = new Map<string, number>();
  const isAllowed = () =>
    unmetBy(given, counts).length === 0 &&
    purchaseOf(given, counts).parcels.every(({ underMinimumMinor }) => underMinimumMinor === 0) &&
    given.needs.every(
      ({ itemId, isFromOne }) =>
        !isFromOne ||
        new Set(
          given.offers
            .filter(
              ({ key, contents }) => counts.has(key) && contents.some((content) => content.itemId === itemId),
            )
            .map(({ supplierId }) => supplierId),
        ).size <= 1,
    );
  const choose = (at: number): void => {
    const offer = given.offers[at];
    if (!offer) {
      if (isAllowed()) least = Math.min(least, costOf(counts));
      return;
    }
    for (let count = 0; count <= most; count++) {
      if (count > 0) counts.set(offer.key, count);
      choose(at + 1);
    }
    counts.delete(offer.key);
  };
  choose(0);
  return least;
}

test('no purchase that can be made is cheaper, comes in fewer parcels, or leaves less', () => {
  fc.assert(
    fc.property(small, (given) => {
      const purchases = problemOf(given);
      const money = planOf(purchases);
      expect(unmetBy(purchases, money.counts)).toEqual([]);
      expect(money.isProven).toBe(true);
      const MOST = 5;
      const total = (counts: Map<string, number>) => purchaseOf(purchases, counts).totalMinor;
      const least = leastByTrying(purchases, MOST, total);
      // More packs than were tried may be cheaper still; never dearer.
      const isTried = [...money.counts.values()].every((count) => count <= MOST);
      if (isTried) expect(money.purchase.totalMinor).toBe(least);
      else expect(money.purchase.totalMinor).toBeLessThanOrEqual(least);
      const parcels = planOf(purchases, 'parcels');
      const fewest = leastByTrying(purchases, MOST, (counts) => purchaseOf(purchases, counts).parcels.length);
      expect(parcels.purchase.parcels.length).toBeLessThanOrEqual(fewest);
      const leftOver = planOf(purchases, 'left-over');
      const leastLeft = leastByTrying(
        purchases,
        MOST,
        (counts) => purchaseOf(purchases, counts).leftOverMinor,
      );
      expect(leftOver.purchase.leftOverMinor).toBeLessThanOrEqual(leastLeft + 0.51);
      expect(unmetBy(purchases, leftOver.counts)).toEqual([]);
    }),
    { numRuns: 25 },
  );
});
