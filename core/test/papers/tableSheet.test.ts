import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { tableSheet } from '../../src/papers/index.ts';
import { writeTable } from '../../src/tables/index.ts';

test.each<[string, unknown]>([
  ['0.50', { number: 0.5, decimals: 2 }],
  ['-12', { number: -12, decimals: 0 }],
  ['0', { number: 0, decimals: 0 }],
  ['007', { words: '007' }],
  ['1e5', { words: '1e5' }],
  ['2026-11-30', { words: '2026-11-30' }],
  ['=1+1', { words: '=1+1' }],
  ['at least 3.0', { words: 'at least 3.0' }],
  ['', { words: '' }],
])('%p in a table is %j in a workbook', (cell, expected) => {
  const { headings, rows } = tableSheet('Table', writeTable(['What', 'Wool (g)'], [['x', cell]]));
  expect(headings).toEqual(['What', 'Wool (g)']);
  expect(rows[0]?.[1]).toEqual(expected);
});

test('every number that a table has is there, in its place', () => {
  const cells = fc.oneof(fc.integer({ min: -1e9, max: 1e9 }), fc.integer({ min: -1e6, max: 1e6 }).map((n) => n / 100));
  fc.assert(
    fc.property(fc.array(fc.tuple(cells, cells), { minLength: 1, maxLength: 20 }), (table) => {
      const { rows } = tableSheet('Numbers', writeTable(['A', 'B'], table));
      expect(rows.map((row) => row.map((cell) => ('number' in cell ? cell.number : NaN)))).toEqual(table.map((row) => row.map((n) => n + 0)));
    }),
  );
}); // prettier-ignore
