import { describe, expect, test } from '@jest/globals';
import type { Order } from '../../src/buying/index.ts';
import { cellWords, orderPaper, paperTable } from '../../src/papers/index.ts';

const order: Order = {
  id: 'o',
  version: 1,
  supplierId: 's',
  supplierName: 'Two Piers',
  carriageMinor: 390,
  expectedOn: '2027-02-01',
  note: 'All of one lot, please: Plum.',
  stage: 'ordered',
  orderedOn: '2027-01-20',
  arrivals: [{ on: '2027-01-30', lines: [{ line: 0, packs: 3, paidEachMinor: 300 }], stock: [], hasClosed: false }],
  lines: [
    { name: 'Plum, 50 g', reference: 'TP-50', contents: [{ itemId: 'plum', amount: 50 }], packs: 4, priceEachMinor: 300 },
    { name: 'Bead eye, 20 pieces', reference: '', contents: [{ itemId: 'eye', amount: 20 }], packs: 1, priceEachMinor: 245 },
  ],
}; // prettier-ignore

const cellsOf = (given: Order) =>
  orderPaper(given).sections.map(({ rows }) => rows.map(({ cells }) => cells.map(cellWords)));

describe('an order on paper', () => {
  test('packs in the supplier’s own words, with what is here, and what it comes to', () => {
    const [lines, sums] = cellsOf(order);
    expect(lines).toEqual([
      ['4', 'TP-50', 'Plum, 50 g', '3.00', '12.00', '3'],
      ['1', '', 'Bead eye, 20 pieces', '2.45', '2.45', '0'],
    ]);
    expect(sums).toEqual([
      ['Goods', '14.45'],
      ['Carriage', '3.90'],
      ['Together', '18.35'],
    ]);
    expect(orderPaper(order).sections[0]?.notes).toEqual(['All of one lot, please: Plum.']);
  });
  test('a draft says so, and that nothing is here is not said', () => {
    const draft = {
      ...order,
      stage: 'drafted',
      orderedOn: null,
      expectedOn: null,
      arrivals: [],
      note: '',
    } as Order;
    expect(orderPaper(draft).head).toEqual(['Not sent yet']);
    expect(cellsOf(draft)[0]?.[0]?.at(-1)).toBe('');
    expect(orderPaper(draft).sections[0]?.notes).toEqual([]);
  });
  test('the same as a table', () => {
    const [head, first] = paperTable(orderPaper(order)).split(/\r?\n/);
    expect(head).toContain('Article');
    expect(first).toContain('TP-50');
  });
});
