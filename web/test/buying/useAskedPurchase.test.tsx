import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { Buying, BuyingThing } from '@lanakit/core/api';
import { BUYING_TERMS } from '@lanakit/core/buying';
import { BLANK_SUPPLIER, type Supplier } from '@lanakit/core/shelf';
import { useAskedPurchase } from '../../src/buying/useAskedPurchase.ts';

afterEach(cleanup);

const thing = (id: string, more: Partial<BuyingThing> = {}): BuyingThing => ({
  id,
  kind: 'fibre',
  name: id,
  preparation: 'carded',
  colour: '#887766',
  unit: 'g',
  onHand: 10,
  isArchived: false,
  least: null,
  ...more,
});
const run = (id: string, date: string, prepareBy: string) => ({
  id,
  kind: 'class' as const,
  name: id,
  date,
  seats: 8,
  state: 'planned' as const,
  minutes: { weighing: 0, packing: 0, cutting: 0, blending: 0, samples: 0, pieces: 0, total: 0 },
  prepareBy,
});
const want = (itemId: string, ...runs: (readonly [string, number | null])[]) => ({
  key: itemId,
  itemId,
  unit: 'g' as const,
  isLent: false,
  runs: runs.map(([runId, short]) => ({
    runId,
    wanted: 50,
    short,
    uses: [{ use: 'packs' as const, amount: 50, blendId: null }],
  })),
});

const buying: Buying = {
  today: '2027-01-10',
  terms: BUYING_TERMS,
  runs: [run('early', '2027-02-06', '2027-02-04'), run('late', '2027-03-06', '2027-03-04')],
  wants: [
    want('plum', ['early', 40], ['late', 50]),
    want('oat', ['late', null]),
    want('moss', ['early', 20]),
  ],
  things: [thing('plum'), thing('oat', { onHand: null }), thing('moss', { kind: 'blend' })],
  coming: [],
  worth: { minor: 0, unpricedCount: 0, uncountedCount: 0 },
  namesOfSorts: {},
};
const suppliers: readonly Supplier[] = [
  {
    ...BLANK_SUPPLIER,
    id: 's',
    version: 1,
    name: 'Two Piers',
    leadDays: 3,
    carriageMinor: 390,
    offers: ['plum', 'oat', 'moss'].map((itemId) => ({
      itemId,
      packAmount: 50,
      priceMinor: 300,
      reference: '',
    })),
  },
];
const asked = () => renderHook(() => useAskedPurchase(buying, suppliers)).result;
type Result = ReturnType<typeof asked>;
const needs = ({ current }: Result) =>
  current.purchase.problem.needs.map(({ itemId, tiers }) => [itemId, tiers.at(-1)?.amount]);

describe('what is asked of suppliers', () => {
  test('at first for all runs; blends are not bought, and what nobody has counted waits', () => {
    const result = asked();
    expect([...result.current.runIds]).toEqual(['early', 'late']);
    expect(needs(result)).toEqual([['plum', 90]]);
  });
  test('for the runs that are ticked', () => {
    const result = asked();
    act(() => result.current.setRunIds(new Set(['early'])));
    expect(needs(result)).toEqual([['plum', 40]]);
    act(() => result.current.setRunIds(new Set()));
    expect(needs(result)).toEqual([]);
    expect(result.current.wants).toEqual([]);
  });
  test('as though none were there, where she says so', () => {
    const result = asked();
    act(() => result.current.choose({ asNone: new Set(['oat']) }));
    expect(needs(result)).toEqual([
      ['plum', 90],
      ['oat', 50],
    ]);
  });
  test('from one supplier, and numbers held by hand, are kept side by side', () => {
    const result = asked();
    act(() => result.current.choose({ fromOne: new Set(['plum']) }));
    act(() => result.current.choose({ held: new Map([['s plum 50', 3]]) }));
    const { problem } = result.current.purchase;
    expect(problem.needs[0]?.isFromOne).toBe(true);
    expect([...problem.held]).toEqual([['s plum 50', 3]]);
  });
  test('a thing is found by its id', () => {
    const result = asked();
    expect(result.current.thingOf('plum')?.name).toBe('plum');
    expect(result.current.thingOf('gone')).toBeUndefined();
  });
});
