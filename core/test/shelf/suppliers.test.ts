import { describe, expect, test } from '@jest/globals';
import { BLANK_SUPPLIER, checkSupplier, itemsNamed, type SupplierInput } from '../../src/shelf/index.ts';

const offer = { itemId: 'w', packAmount: 50, priceMinor: 400, reference: '' };
const assortment = { name: 'Shore', priceMinor: 900, reference: '', contents: [{ itemId: 'w', amount: 15 }] };
const supplier = (more: Partial<SupplierInput>): SupplierInput => ({
  ...BLANK_SUPPLIER,
  name: 'Two Piers',
  ...more,
});

describe('what a supplier sells', () => {
  test('prices by the number and packs of several things, as they should be', () => {
    const breaks = [{ fromPacks: 3, priceMinor: 380 }, { fromPacks: 10, priceMinor: 350 }]; // prettier-ignore
    expect(checkSupplier(supplier({ offers: [{ ...offer, breaks }], assortments: [assortment] }))).toEqual(
      [],
    );
  });
  test.each<[string, Partial<SupplierInput>, string, string]>([
    ['a pack of 0 g', { offers: [{ ...offer, packAmount: 0 }] }, 'number_out_of_range', '/offers/0/packAmount'],
    ['a price below nothing', { offers: [{ ...offer, priceMinor: -1 }] }, 'number_out_of_range', '/offers/0/priceMinor'],
    ['from one pack on, which is the price itself', { offers: [{ ...offer, breaks: [{ fromPacks: 1, priceMinor: 300 }] }] }, 'number_out_of_range', '/offers/0/breaks/0/fromPacks'],
    ['numbers out of order', { offers: [{ ...offer, breaks: [{ fromPacks: 9, priceMinor: 380 }, { fromPacks: 5, priceMinor: 370 }] }] }, 'break_out_of_order', '/offers/0/breaks/1/fromPacks'],
    ['dearer by the number', { offers: [{ ...offer, breaks: [{ fromPacks: 5, priceMinor: 450 }] }] }, 'break_dearer', '/offers/0/breaks/0/priceMinor'],
    ['an assortment of nothing', { assortments: [{ ...assortment, contents: [] }] }, 'assortment_empty', '/assortments/0/contents'],
    ['an assortment without a name', { assortments: [{ ...assortment, name: ' ' }] }, 'title_empty', '/assortments/0/name'],
    ['a thing twice in one pack', { assortments: [{ ...assortment, contents: [...assortment.contents, ...assortment.contents] }] }, 'content_twice', '/assortments/0/contents/1/itemId'],
    ['none of it in a pack', { assortments: [{ ...assortment, contents: [{ itemId: 'w', amount: 0 }] }] }, 'number_out_of_range', '/assortments/0/contents/0/amount'],
  ])('%s', (_name, more, code, pointer) =>
    expect(checkSupplier(supplier(more))[0]).toMatchObject({ code, pointer })); // prettier-ignore
  test('everything it sells is named once, by itself or with others', () => {
    const contents = [{ itemId: 'w', amount: 1 }, { itemId: 'x', amount: 1 }]; // prettier-ignore
    expect(
      itemsNamed('supplier', supplier({ offers: [offer], assortments: [{ ...assortment, contents }] })),
    ).toEqual(['w', 'x']);
  });
});
