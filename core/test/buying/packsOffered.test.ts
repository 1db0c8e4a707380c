import { describe, expect, test } from '@jest/globals';
import {
  askedPurchase,
  buyingDays,
  needsOf,
  orderByOfParcel,
  sellersOf,
  type ChosenWant,
} from '../../src/buying/index.ts';
import { BLANK_SUPPLIER, type Supplier } from '../../src/shelf/index.ts';

const TODAY = '2027-01-10';
const NOTHING_HELD = new Map<string, number>();

const supplier = (id: string, more: Partial<Supplier> = {}): Supplier => ({
  ...BLANK_SUPPLIER,
  id,
  version: 1,
  name: id,
  leadDays: 5,
  carriageMinor: 400,
  ...more,
});
const offer = (itemId: string, packAmount = 50) => ({ itemId, packAmount, priceMinor: 400, reference: '' });
const need = (itemId: string, ...tiers: (readonly [string | null, number])[]) => ({
  itemId,
  tiers: tiers.map(([by, amount]) => ({ by, amount })),
  isFromOne: false,
});

const chosen = (itemId: string, more: Partial<ChosenWant> = {}): ChosenWant => ({
  want: { key: itemId, itemId, unit: 'g', isLent: false, runs: [] },
  wanted: 50,
  short: 40,
  tiers: [{ by: '2027-02-01', amount: 40 }],
  coming: 0,
  comingLate: 0,
  toBuy: 40,
  ...more,
});

describe('what is needed becomes whole packs that somebody sells', () => {
  test('of one thing, by the number, and with others in one pack', () => {
    const full = supplier('a', {
      offers: [{ ...offer('w'), breaks: [{ fromPacks: 4, priceMinor: 350 }] }, offer('other')],
      assortments: [
        { name: 'Both', priceMinor: 900, reference: 'B', contents: [{ itemId: 'w', amount: 10 }, { itemId: 'x', amount: 10 }] },
        { name: 'Neither', priceMinor: 900, reference: '', contents: [{ itemId: 'x', amount: 10 }] },
      ],
    }); // prettier-ignore
    const { problem } = askedPurchase([need('w', ['2027-02-01', 30])], [full], TODAY, NOTHING_HELD);
    expect(problem.offers.map(({ name, steps }) => [name, steps.length])).toEqual([
      ['', 2],
      ['Both', 1],
    ]);
    expect(problem.suppliers).toEqual([
      {
        supplierId: 'a',
        carriageMinor: 400,
        freeFromMinor: null,
        minimumMinor: null,
        arrivesOn: '2027-01-15',
      },
    ]);
  });

  test('nobody sells it', () => {
    const { problem, notOffered } = askedPurchase(
      [need('w', [null, 30])],
      [supplier('a')],
      TODAY,
      NOTHING_HELD,
    );
    expect(notOffered).toEqual([{ why: 'nobody', itemId: 'w' }]);
    expect(problem.needs).toEqual([]);
  });

  test('who is put away sells nothing', () => {
    const away = supplier('a', { archived: true, offers: [offer('w')] });
    expect(askedPurchase([need('w', [null, 30])], [away], TODAY, NOTHING_HELD).notOffered).toHaveLength(1);
  });

  test('too late for the first day: named, and all of it is bought for the second', () => {
    const slow = supplier('a', { leadDays: 20, offers: [offer('w')] });
    const needs = [need('w', ['2027-01-20', 10], ['2027-02-10', 60])];
    const { problem, notOffered, late } = askedPurchase(needs, [slow], TODAY, NOTHING_HELD);
    expect(notOffered).toEqual([
      { why: 'late', itemId: 'w', by: '2027-01-20', supplierId: 'a', arrivesOn: '2027-01-30' },
    ]);
    expect(problem.needs[0]?.tiers).toEqual([{ by: '2027-02-10', amount: 60 }]);
    expect(late).toEqual([]);
  });

  test('who is too late for all of it falls out, however cheap', () => {
    const slow = supplier('slow', { leadDays: 90, offers: [offer('w')] });
    const quick = supplier('quick', { offers: [offer('w')] });
    const { problem, late, notOffered } = askedPurchase(
      [need('w', ['2027-02-10', 60])],
      [slow, quick],
      TODAY,
      NOTHING_HELD,
    );
    expect(late).toEqual([{ supplierId: 'slow', arrivesOn: '2027-04-10' }]);
    expect(problem.suppliers.map(({ supplierId }) => supplierId)).toEqual(['quick']);
    expect(notOffered).toEqual([]);
  });

  test('what a supplier has not said is told, and taken for the best', () => {
    const silent = supplier('a', { leadDays: null, carriageMinor: null, offers: [offer('w')] });
    const asked = askedPurchase([need('w', ['2027-01-11', 10])], [silent], TODAY, NOTHING_HELD);
    expect(asked).toMatchObject({ unknownLead: ['a'], unknownCarriage: ['a'], notOffered: [] });
    expect(asked.problem.suppliers[0]).toMatchObject({ carriageMinor: 0, arrivesOn: null });
  });

  test('numbers held by hand of a pack that nobody sells any more are let go', () => {
    const held = new Map([['a w 50', 2], ['a w 25', 1]]); // prettier-ignore
    const { problem } = askedPurchase(
      [need('w', [null, 30])],
      [supplier('a', { offers: [offer('w')] })],
      TODAY,
      held,
    );
    expect([...problem.held]).toEqual([['a w 50', 2]]);
  });
});

describe('what the maker has said of what is needed', () => {
  const SAID = { fromOne: new Set<string>(), asNone: new Set<string>(), isLateToo: false };
  test('what nobody has counted is bought only where she says so', () => {
    const uncounted = chosen('w', { toBuy: null, short: null });
    expect(needsOf([uncounted], SAID, new Set())).toEqual([]);
    expect(needsOf([uncounted], { ...SAID, asNone: new Set(['w']) }, new Set())).toHaveLength(1);
  });
  test('of a blend its fibres are bought, and not the blend', () =>
    expect(
      needsOf([chosen('moss'), chosen('w')], SAID, new Set(['moss'])).map(({ itemId }) => itemId),
    ).toEqual(['w']));
  test('what is taken and what is lent of one thing add up by their days', () => {
    const lent = chosen('n', { tiers: [{ by: '2027-01-20', amount: 4 }, { by: '2027-02-01', amount: 6 }] }); // prettier-ignore
    expect(needsOf([lent, chosen('n')], SAID, new Set())[0]?.tiers).toEqual([
      { by: '2027-01-20', amount: 4 },
      { by: '2027-02-01', amount: 46 },
    ]);
  });
  test('late ones too: no day stands in the way', () =>
    expect(needsOf([chosen('w')], { ...SAID, isLateToo: true }, new Set())[0]?.tiers).toEqual([
      { by: null, amount: 40 },
    ]));
});

describe('the last day to order', () => {
  const runs = [{ id: 'r', date: '2027-02-10', prepareBy: '2027-02-08' }];
  const want = (itemId: string, short: number | null) => ({
    key: itemId,
    itemId,
    unit: 'g' as const,
    isLent: false,
    runs: [{ runId: 'r', wanted: 50, uses: [], short }],
  });
  const sellers = sellersOf([
    supplier('quick', { leadDays: 3, offers: [offer('w')] }),
    supplier('slow', { leadDays: 10, offers: [offer('w'), offer('x')] }),
    supplier('silent', { leadDays: null, offers: [offer('y')] }),
  ]);
  test.each([
    ['from whoever is quickest', [want('w', 10)], '2027-02-05', 'w', true],
    ['the thing that has to be ordered first tells', [want('w', 10), want('x', 1)], '2027-01-29', 'x', true],
    ['nobody says how long it takes', [want('y', 10)], null, null, true],
    ['never counted may be short', [want('w', null)], '2027-02-05', 'w', true],
    ['enough of everything', [want('w', 0)], null, null, false],
  ] as const)('%s', (_name, wants, day, itemId, isShort) => {
    const [days] = buyingDays(wants, runs, [], sellers, new Set());
    expect(days).toMatchObject({ day, itemId, isShort });
  });
  test('of what is ordered already nothing more has to be', () => {
    const coming = [{ itemId: 'w', amount: 10, on: '2027-02-01' }];
    expect(buyingDays([want('w', 10)], runs, coming, sellers, new Set())[0]?.isShort).toBe(false);
  });
  test('of a parcel the first day that wants something in it', () => {
    const parcel = {
      supplierId: 'a',
      lines: [
        { offer: { contents: [{ itemId: 'w', amount: 50 }] }, packs: 1, priceEachMinor: 1, sumMinor: 1 },
      ],
      goodsMinor: 1,
      carriageMinor: 0,
      underMinimumMinor: 0,
    } as never;
    const needs = [need('w', ['2027-02-08', 5], ['2027-03-01', 9]), need('x', ['2027-01-12', 1])];
    expect(orderByOfParcel(parcel, { needs }, 5)).toBe('2027-02-03');
    expect(orderByOfParcel(parcel, { needs }, null)).toBeNull();
  });
});
