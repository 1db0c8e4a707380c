import { describe, expect, test } from '@jest/globals';
import { amount, type Cell, count, grams, text } from '../../src/papers/cell.ts';
import { workbookSheet, type Paper } from '../../src/papers/index.ts';

const paperOf = (title: string, cells: readonly Cell[]): Paper => ({
  name: 'packs',
  title: 'Packs',
  head: [],
  foot: '',
  labels: [],
  figures: {},
  sections: [
    {
      title: 'Seat 1',
      aside: '',
      swatch: null,
      notes: [],
      isLarge: false,
      columns: [{ title, align: 'right' }],
      rows: cells.map((cell) => ({ cells: [cell], swatch: null, ticks: 0 })),
    },
  ],
});
const columnOf = (cells: readonly Cell[], title = 'To weigh') => {
  const { headings, rows } = workbookSheet(paperOf(title, cells));
  return [headings[1], ...rows.map((row) => row[1])];
};

describe('a column of a workbook', () => {
  test.each<[string, readonly Cell[], readonly unknown[]]>([
    ['grams, as far as the scale tells', [grams(3.14159, 0.1), grams(12, 0.01)], ['To weigh (g)', { number: 3.1, decimals: 1 }, { number: 12, decimals: 2 }]],
    ['grams worked out, as far as they are shown', [grams(0.456, null), grams(45.67, null)], ['To weigh (g)', { number: 0.46, decimals: 2 }, { number: 45.7, decimals: 1 }]],
    ['what is known only in part is no number', [grams(3, 0.1, true), grams(3, 0.1)], ['To weigh (g)', { words: 'at least 3.0 g' }, { number: 3, decimals: 1 }]],
    ['less than can be told is no number', [grams(0.001, null)], ['To weigh', { words: '<0.01 g' }]],
    ['wire in metres', [amount(1.255, 'm'), amount(0.3, 'm')], ['To weigh (m)', { number: 1.255, decimals: 2 }, { number: 0.3, decimals: 1 }]],
    ['pieces have no unit', [amount(4, 'piece'), count(12)], ['To weigh', { number: 4, decimals: 0 }, { number: 12, decimals: 0 }]],
    ['pieces beside metres: only what needs no unit is a number', [amount(4, 'piece'), amount(2, 'm'), amount(30, 'ml')], ['To weigh', { number: 4, decimals: 0 }, { words: '2 m' }, { words: '30 ml' }]],
    ['words and nothing', [text('a stem'), text('')], ['To weigh', { words: 'a stem' }, { words: '' }]],
  ])('%s', (_, cells, told) => {
    expect(columnOf(cells)).toEqual(told);
  });
  test('a heading that is a unit already is named for what is in it', () => {
    expect(columnOf([grams(3, 0.1)], 'Grams')[0]).toBe('Wool (g)');
  });
  test('what was left away of a section stays empty, and each row is as long as the headings', () => {
    const paper = paperOf('Pieces', [count(3)]);
    const other = paperOf('To weigh', [grams(5, 0.1)]);
    const { headings, rows } = workbookSheet({ ...paper, sections: [...paper.sections, ...other.sections] });
    expect(headings).toEqual(['Section', 'Pieces', 'To weigh (g)', 'Note']);
    expect(rows.map((row) => row.length)).toEqual([4, 4]);
    expect(rows[1]?.[1]).toEqual({ words: '' });
  });
}); // prettier-ignore
