import { describe, expect, test } from '@jest/globals';
import { exportList, readList, type ShelfView, toImport } from '../../src/files/index.ts';
import { BLANK_SUPPLIER, type SupplierInput } from '../../src/shelf/index.ts';
import { fibre } from '../support/make.ts';

const GUESS = { encoding: null, delimiter: null, decimal: null };

const shelfOf = (supplier: Partial<SupplierInput>): ShelfView => ({
  fibres: [fibre('m', { name: 'Moss' }), fibre('p', { name: 'Plum' })],
  blends: [],
  findings: [],
  needles: [],
  tools: [],
  suppliers: [{ ...BLANK_SUPPLIER, id: 's', version: 3, name: 'Two Piers', ...supplier }],
});

const read = (text: string, shelf: ShelfView) => {
  const result = readList(new TextEncoder().encode(text), 'prices', GUESS, shelf);
  if (!result.ok) throw new Error(JSON.stringify(result.refusal));
  return result.preview;
};

const full: Partial<SupplierInput> = {
  offers: [
    {
      itemId: 'm',
      packAmount: 50,
      priceMinor: 330,
      reference: 'M50',
      breaks: [{ fromPacks: 5, priceMinor: 300 }],
    },
  ],
  assortments: [
    {
      name: 'Shore colours',
      priceMinor: 1200,
      reference: 'SC',
      contents: [
        { itemId: 'm', amount: 15 },
        { itemId: 'p', amount: 20 },
      ],
    },
  ],
};

describe('price lists with prices by the number, and packs of several things', () => {
  test('written and read again they change nothing', () => {
    const shelf = shelfOf(full);
    const preview = read(exportList('prices', shelf), shelf);
    expect(preview.rows.map(({ state }) => state)).toEqual(['same', 'same', 'same']);
  });

  test('into a shelf without them they come whole', () => {
    const into = shelfOf({ offers: [] });
    const preview = read(exportList('prices', shelfOf(full)), into);
    expect(preview.rows.map(({ state }) => state)).toEqual(['new', 'new', 'new']);
    expect(toImport('p.csv', preview.rows, into).updates).toMatchObject([{ id: 's', input: full }]);
  });

  test('a list that says nothing of them leaves them as they are', () => {
    const shelf = shelfOf(full);
    const preview = read('supplier,item,pack,price\nTwo Piers,Moss,50,3.50', shelf);
    const [update] = toImport('p.csv', preview.rows, shelf).updates;
    expect(update?.input).toMatchObject({
      offers: [{ priceMinor: 350, breaks: [{ fromPacks: 5, priceMinor: 300 }] }],
      assortments: full.assortments,
    });
  });

  test.each([
    ['5: 3.50; 10: 3.20', [{ fromPacks: 5, priceMinor: 350 }, { fromPacks: 10, priceMinor: 320 }]],
    ['5:3.50', [{ fromPacks: 5, priceMinor: 350 }]],
    ['five: 3.50', null],
    ['5: cheap', null],
  ] as const)('“%s” by the number', (cell, breaks) => {
    const shelf = shelfOf({ offers: [] });
    const [row] = read(`supplier,item,pack,price,price by the number\nTwo Piers,Moss,50,4,"${cell}"`, shelf).rows;
    if (breaks === null) expect(row).toMatchObject({ state: 'bad', problems: [{ code: 'cell_not_read' }] });
    else expect(row?.change).toMatchObject({ kind: 'offer', offer: { breaks } });
  }); // prettier-ignore
});
