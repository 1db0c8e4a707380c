import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  decodeText,
  guessDecimal,
  guessDelimiter,
  guessEncoding,
  readTable,
  writeTable,
} from '../../src/tables/index.ts';

const rowsOf = (text: string, delimiter: ',' | ';' | '\t' | '|' = ',') =>
  readTable(text, delimiter).rows.map(({ line, cells }) => [line, Object.fromEntries(cells)] as const);

describe('what parts the cells', () => {
  test.each([
    ['name,grams,note', ','],
    ['name;grams;note', ';'],
    ['name\tgrams', '\t'],
    ['name|grams', '|'],
    ['name', ','],
    ['', ','],
    // Of two the one that parts more.
    ['name;grams, whole;note', ';'],
  ])('%j', (text, delimiter) => expect(guessDelimiter(text)).toBe(delimiter));
  test('only the first line is asked', () => expect(guessDelimiter('a;b\nx,y,z,w,v')).toBe(';'));
  test.each([
    ['a;b\n1,5;2,5', ';', ','],
    ['a;b\n1.5;2.5', ';', '.'],
    ['a;b\n1,5;2.5', ';', ','],
    ['a;b\nx;y', ';', '.'],
    ['a,b\n1,5', ',', '.'],
  ] as const)('the decimal sign of %j', (text, delimiter, decimal) =>
    expect(guessDecimal(text, delimiter)).toBe(decimal),
  );
});

describe('a list as cells', () => {
  test('by heading, each row with its line; empty lines are no rows', () => {
    expect(rowsOf('Name,Grams\nChalk,40\n\n , \nPear,2\n')).toEqual([
      [2, { name: 'Chalk', grams: '40' }],
      [5, { name: 'Pear', grams: '2' }],
    ]);
  });
  test('a note of several lines is one cell, and what follows keeps its line', () => {
    expect(rowsOf('name,note\n"Chalk","short\nhold close"\nPear,\n').map(([line]) => line)).toEqual([2, 4]);
  });
  test('cells that are not there are empty; what is over is left', () => {
    expect(rowsOf('a,b\n1\n1,2,3\n')).toEqual([
      [2, { a: '1', b: '' }],
      [3, { a: '1', b: '2' }],
    ]);
  });
  test('a byte order mark is no part of the first heading', () => {
    expect(readTable('\ufeffname,grams\n', ',').header).toEqual(['name', 'grams']);
  });
  test.each([['\r\n'], ['\n'], ['\r']])('lines end as they end: %j', (end) => {
    expect(rowsOf(['name', 'Chalk', 'Pear', ''].join(end)).map(([line]) => line)).toEqual([2, 3]);
  });
});

describe('a list written', () => {
  test.each(['=1+1', '+1', '-1', '@x', '\tx', '\rx'])('%j cannot be run by a spreadsheet', (cell) => {
    const [, row = ''] = writeTable(['a'], [[cell]]).split('\r\n');
    expect(row.replace(/^"/, '')).toMatch(/^'/);
  });
  test('any cells read back as themselves, on their lines', () => {
    const cell = fc
      .string({ unit: fc.constantFrom('a', 'é', ',', ';', '"', "'", '=', '-', '\n', ' ', '9') })
      .map((made) => made.trim());
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 6 }), (rows) => {
        const written = writeTable(['a', 'b'], rows);
        const back = readTable(written, ',').rows.map(({ cells }) => [cells.get('a'), cells.get('b')]);
        expect(back).toEqual(rows.filter((row) => row.some((made) => made !== '')));
      }),
    );
  });
});

describe('bytes to text', () => {
  const bytes = (...values: number[]) => Uint8Array.from(values);
  test.each([
    ['UTF-8', new TextEncoder().encode('Flüeler'), 'Flüeler'],
    ['one byte a sign', bytes(0x46, 0x6c, 0xfc, 0x65), 'Flüe'],
    ['two bytes a sign', bytes(0xff, 0xfe, 0x46, 0x00, 0xfc, 0x00), 'Fü'],
    ['plain', bytes(0x61, 0x62), 'ab'],
  ])('%s', (_name, data, text) => {
    const encoding = guessEncoding(data);
    expect(decodeText(data, encoding)?.replace(/^\ufeff/, '')).toBe(text);
  });
});
