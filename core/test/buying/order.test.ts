import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  arrivedGoods,
  checkArrival,
  checkOrder,
  comingOf,
  differencesOf,
  goodsOfOrder,
  totalOfOrder,
  openOfLine,
  type Order,
  orderState,
} from '../../src/buying/index.ts';
import { orderText, packName } from '../../src/words/index.ts';

const order = (more: Partial<Order> = {}): Order => ({
  id: 'o',
  version: 1,
  supplierId: 's',
  supplierName: 'Two Piers',
  carriageMinor: 390,
  expectedOn: '2027-02-01',
  note: '',
  stage: 'ordered',
  orderedOn: '2027-01-20',
  arrivals: [],
  lines: [
    {
      name: 'Plum, 50 g',
      reference: 'TP-50',
      contents: [{ itemId: 'plum', amount: 50 }],
      packs: 4,
      priceEachMinor: 300,
    },
    {
      name: 'Shore colours',
      reference: '',
      contents: [
        { itemId: 'plum', amount: 10 },
        { itemId: 'moss', amount: 30 },
      ],
      packs: 2,
      priceEachMinor: 800,
    },
  ],
  ...more,
});

const arrival = (lines: readonly (readonly [number, number, number])[]) => ({
  on: '2027-02-01',
  lines: lines.map(([line, packs, paidEachMinor]) => ({ line, packs, paidEachMinor })),
  stock: [],
  hasClosed: false,
});

describe('how far an order is', () => {
  test.each([
    ['drafted', {}, 'drafted'],
    ['ordered', {}, 'ordered'],
    ['ordered', { arrivals: [arrival([[0, 1, 300]])] }, 'part'],
    ['closed', { arrivals: [arrival([[0, 4, 300]])] }, 'arrived'],
    ['dropped', {}, 'dropped'],
  ] as const)('%s: %o', (stage, more, state) =>
    expect(orderState(order({ stage, ...more } as Partial<Order>))).toBe(state),
  );

  test('what is still to come, by thing', () => {
    const part = order({ arrivals: [arrival([[0, 3, 300]])] }); // prettier-ignore
    expect(openOfLine(part, 0)).toBe(1);
    expect(comingOf([part], '2027-01-25').map(({ itemId, amount }) => [itemId, amount])).toEqual([
      ['plum', 50],
      ['plum', 20],
      ['moss', 60],
    ]);
    expect(
      comingOf(
        [order({ stage: 'drafted' }), order({ stage: 'closed' }), order({ stage: 'dropped' })],
        '2027-01-25',
      ),
    ).toEqual([]);
  });

  test('a parcel that is overdue is not counted on: nobody knows when it comes', () => {
    const [line] = comingOf([order()], '2027-02-02');
    expect(line).toMatchObject({ on: null, dueOn: '2027-02-01' });
  });

  test('where what came is other than what was ordered', () => {
    const closed = order({ stage: 'closed', arrivals: [arrival([[0, 3, 350], [1, 3, 800]])] }); // prettier-ignore
    expect(differencesOf(closed)).toEqual([
      { kind: 'fewer', line: 0, packs: 1 },
      { kind: 'price', line: 0, paidEachMinor: 350, orderedMinor: 300 },
      { kind: 'more', line: 1, packs: 1 },
    ]);
    // What may still come is not missing.
    expect(differencesOf(order({ arrivals: [arrival([[0, 3, 300]])] }))).toEqual([]); // prettier-ignore
  });
});

describe('what may not be', () => {
  test.each([
    ['no packs', { packs: 0 }, '/lines/0/packs'],
    ['half a pack', { packs: 1.5 }, '/lines/0/packs'],
    ['a price below nothing', { priceEachMinor: -1 }, '/lines/0/priceEachMinor'],
    ['a pack of nothing', { contents: [{ itemId: 'plum', amount: 0 }] }, '/lines/0/contents/0/amount'],
  ])('%s', (_name, more, pointer) => {
    const [first, ...rest] = order().lines;
    const wrong = order({ lines: [{ ...first, ...more } as never, ...rest] });
    expect(checkOrder(wrong).map((problem) => problem.pointer)).toContain(pointer);
  });
  test('a day that is none', () =>
    expect(checkOrder(order({ expectedOn: '2027-02-30' }))).toEqual([
      { code: 'day_not_read', pointer: '/expectedOn', text: '2027-02-30' },
    ]));
  test('with what came before, more than was ordered', () => {
    const part = order({ arrivals: [arrival([[0, 3, 300]])] }); // prettier-ignore
    const more = { ...arrival([[0, 2, 300]]), lotName: '', isLast: false }; // prettier-ignore
    expect(checkArrival(part, more)).toEqual([
      { code: 'arrived_over', pointer: '/lines/0/packs', ordered: 4, arrived: 5 },
    ]);
    expect(checkArrival(part, { ...more, anyway: true })).toEqual([]);
  });
});

test('what was paid is what the goods cost together, however packs are made up', () => {
  const line = fc.record({
    contents: fc.array(fc.tuple(fc.constantFrom('plum', 'moss', 'oat'), fc.integer({ min: 5, max: 200 })), {
      minLength: 1,
      maxLength: 3,
    }),
    packs: fc.integer({ min: 1, max: 9 }),
    paid: fc.integer({ min: 0, max: 5000 }),
  });
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 4 }), (lines) => {
      const ordered = order({
        lines: lines.map(({ contents, packs }) => ({
          name: '',
          reference: '',
          contents: contents.map(([itemId, amount]) => ({ itemId, amount })),
          packs,
          priceEachMinor: 100,
        })),
      });
      const came = lines.map(({ packs, paid }, at) => ({ line: at, packs, paidEachMinor: paid }));
      const goods = arrivedGoods(ordered, { lines: came });
      const paid = lines.reduce((sum, { packs, paid: each }) => sum + packs * each, 0);
      const cost = goods.reduce(
        (sum, { amount, pricePer100Minor }) => sum + (amount * pricePer100Minor) / 100,
        0,
      );
      const amount = goods.reduce((sum, good) => sum + good.amount, 0);
      // Each price of a hundred is rounded once, to half a minor unit at most.
      expect(Math.abs(cost - paid)).toBeLessThanOrEqual((amount / 100) * 0.5 + 1e-6);
    }),
  );
});

describe('in words', () => {
  const thing = { name: 'Plum', unit: 'g' as const };
  test.each([
    [{ name: '', contents: [{ itemId: 'plum', amount: 500 }] }, thing, 'Plum, 500 g'],
    [{ name: 'Shore colours', contents: [{ itemId: 'plum', amount: 10 }] }, thing, 'Shore colours'],
    [
      { name: '', contents: [{ itemId: 'e', amount: 20 }] },
      { name: 'Eye', unit: 'piece' as const },
      'Eye, 20 pieces',
    ],
    [{ name: '', contents: [{ itemId: 'e', amount: 1 }] }, { name: 'Pin', unit: 'piece' as const }, 'Pin'],
    [
      { name: '', contents: [{ itemId: 'w', amount: 25 }] },
      { name: 'Wire', unit: 'm' as const },
      'Wire, 25 m',
    ],
  ])('%o', (pack, known, words) => expect(packName(pack, () => known)).toBe(words));
  test('an order in the supplier’s own words, and what it comes to', () => {
    expect(orderText(order()).split('\n')).toEqual([
      'Order of Two Piers',
      '',
      '4 × TP-50 (Plum, 50 g)',
      '2 × Shore colours',
    ]);
    expect(goodsOfOrder(order())).toBe(4 * 300 + 2 * 800);
    expect(totalOfOrder({ ...order(), carriageMinor: 450 })).toBe(4 * 300 + 2 * 800 + 450);
  });
});
