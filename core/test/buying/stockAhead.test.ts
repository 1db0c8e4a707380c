import { describe, expect, test } from '@jest/globals';
import { shelfWorth, stockAhead, type Want } from '../../src/buying/index.ts';
import { BLANK_FINDING, blankLot, type Finding } from '../../src/shelf/index.ts';
import { fibre } from '../support/make.ts';

const want = (runs: readonly (readonly [string, number])[], isLent = false): Want => ({
  key: 'w',
  itemId: 'w',
  unit: 'g',
  isLent,
  runs: runs.map(([runId, wanted]) => ({ runId, wanted, uses: [], short: 0 })),
});
const RUNS = [
  { id: 'a', date: '2027-02-06', prepareBy: '' },
  { id: 'b', date: '2027-02-06', prepareBy: '' },
  { id: 'c', date: '2027-02-20', prepareBy: '' },
];

describe('the shelf over the weeks ahead', () => {
  test('runs of one day take together; a parcel comes; what is below nothing is wanting', () => {
    const coming = [
      { itemId: 'w', amount: 50, on: '2027-02-10' },
      { itemId: 'w', amount: 9, on: null },
    ];
    const steps = stockAhead(want([['a', 60], ['b', 70], ['c', 40]]), RUNS, coming, 100); // prettier-ignore
    expect(steps.map(({ on, amount, hasArrival }) => [on, amount, hasArrival])).toEqual([
      ['2027-02-06', -30, false],
      ['2027-02-10', 20, true],
      ['2027-02-20', -20, false],
    ]);
    expect(steps[0]?.runIds).toEqual(['a', 'b']);
  });
  test('what is lent comes back the same day', () => {
    expect(stockAhead(want([['a', 60]], true), RUNS, [], 100)).toEqual([]);
  });
});

describe('what the shelf is worth', () => {
  const none = { fibres: [], findings: [], needles: [], tools: [] };
  test('each lot at what was paid for it, else at the usual price; unknown is told, and is not nought', () => {
    const lot = (massG: number | null, pricePer100gMinor: number | null) => ({
      ...blankLot('l'),
      id: 'l',
      version: 1,
      onHandG: massG,
      pricePer100gMinor,
    });
    const wool = fibre('w', { pricePer100gMinor: 500, lots: [lot(30, 800), lot(50, null), lot(null, null)] });
    const unpriced = fibre('u', { pricePer100gMinor: null, lots: [lot(20, null)] });
    const eye = { ...BLANK_FINDING, id: 'e', version: 1, peak: 0, onHand: 12, priceMinor: 300 } as Finding;
    const perPiece = 300 / (eye.measure.by === 'count' ? eye.measure.piecesPerPack : 1);
    expect(shelfWorth({ ...none, fibres: [wool, unpriced], findings: [eye] })).toEqual({
      minor: Math.round(0.3 * 800 + 0.5 * 500 + 12 * perPiece),
      unpricedCount: 1,
      uncountedCount: 1,
    });
  });
  test('what the ledger says is below nothing takes nothing off', () => {
    expect(
      shelfWorth({ ...none, fibres: [fibre('w', { onHandG: -5, lots: [], pricePer100gMinor: 500 })] }).minor,
    ).toBe(0);
  });
});
