import { type Bounds, checkName, checkRange, orUnknown, strict } from '../../base/index.ts';
import { checkNumbers } from '../checks/checkFields.ts';
import type { ShelfProblem } from '../checks/problem.ts';
import { Type, type Static } from '@sinclair/typebox';

/** One pack size of one thing at one price. */
export const Offer = Type.Object(
  {
    itemId: Type.String({ minLength: 1, maxLength: 40 }),
    packAmount: Type.Number({ description: 'in the unit the thing is stocked in: g, pieces, m, cm², ml' }),
    priceMinor: Type.Integer({ description: 'integer minor units' }),
    reference: Type.String({ maxLength: 60, description: 'what the supplier calls it' }),
    breaks: Type.Optional(
      Type.Array(
        Type.Object(
          {
            fromPacks: Type.Integer({ description: 'bought so many at once, or more' }),
            priceMinor: Type.Integer({ description: 'each of them costs, integer minor units' }),
          },
          strict,
        ),
        { maxItems: 8, description: 'cheaper by the number; from few to many' },
      ),
    ),
  },
  strict,
);
export type Offer = Static<typeof Offer>;

/** One pack with several things in it, such as twelve colours. */
export const Assortment = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    priceMinor: Type.Integer({ description: 'integer minor units' }),
    reference: Type.String({ maxLength: 60, description: 'what the supplier calls it' }),
    contents: Type.Array(
      Type.Object(
        {
          itemId: Type.String({ minLength: 1, maxLength: 40 }),
          amount: Type.Number({ description: 'in the unit the thing is stocked in: g, pieces, m, cm², ml' }),
        },
        strict,
      ),
      { maxItems: 200 },
    ),
  },
  strict,
);
export type Assortment = Static<typeof Assortment>;

const Money = orUnknown(Type.Integer({ description: 'integer minor units' }));

export const SupplierInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    minimumOrderMinor: Money,
    carriageMinor: Money,
    carriageFreeFromMinor: Money,
    leadDays: orUnknown(Type.Number()),
    note: Type.String({ maxLength: 400 }),
    offers: Type.Array(Offer, { maxItems: 6000 }),
    assortments: Type.Optional(Type.Array(Assortment, { maxItems: 500 })),
    archived: Type.Boolean(),
  },
  strict,
);
export type SupplierInput = Static<typeof SupplierInput>;

export interface Supplier extends SupplierInput {
  readonly id: string;
  readonly version: number;
}

const MONEY: Bounds = { min: 0, max: 100_000_000 };

export const SUPPLIER_BOUNDS = {
  minimumOrderMinor: MONEY,
  carriageMinor: MONEY,
  carriageFreeFromMinor: MONEY,
  leadDays: { min: 0, max: 365 },
} as const satisfies Record<string, Bounds>;

export const OFFER_BOUNDS = {
  packAmount: { min: 0.001, max: 1_000_000 },
  priceMinor: MONEY,
  fromPacks: { min: 2, max: 10_000 },
} as const satisfies Record<string, Bounds>;

export const BLANK_SUPPLIER: SupplierInput = {
  name: '',
  minimumOrderMinor: null,
  carriageMinor: null,
  carriageFreeFromMinor: null,
  leadDays: null,
  note: '',
  offers: [],
  archived: false,
};

/** What makes a supplier impossible; two prices for one pack of one thing among it. */
export function checkSupplier(supplier: SupplierInput): ShelfProblem[] {
  const seen = new Set<string>();
  const offers = supplier.offers.flatMap((offer, index): ShelfProblem[] => {
    const key = `${offer.itemId} ${offer.packAmount}`;
    const isTwice = seen.has(key);
    seen.add(key);
    return [
      ...checkRange(offer.packAmount, OFFER_BOUNDS.packAmount, `/offers/${index}/packAmount`),
      ...checkRange(offer.priceMinor, OFFER_BOUNDS.priceMinor, `/offers/${index}/priceMinor`),
      ...(isTwice ? [{ code: 'pack_twice', pointer: `/offers/${index}/packAmount` } as const] : []),
      ...checkBreaks(offer, `/offers/${index}/breaks`),
    ];
  });
  const assortments = (supplier.assortments ?? []).flatMap((assortment, index) =>
    checkAssortment(assortment, `/assortments/${index}`),
  );
  return [
    ...checkName(supplier.name),
    ...checkNumbers(supplier, SUPPLIER_BOUNDS, ''),
    ...offers,
    ...assortments,
  ];
}

/** Each from more packs than the one before; what is bought more of costs no more. */
function checkBreaks({ breaks = [], priceMinor }: Offer, pointer: string): ShelfProblem[] {
  return breaks.flatMap((priceBreak, at): ShelfProblem[] => {
    const before = breaks[at - 1] ?? { fromPacks: 1, priceMinor };
    return [
      ...checkRange(priceBreak.fromPacks, OFFER_BOUNDS.fromPacks, `${pointer}/${at}/fromPacks`),
      ...checkRange(priceBreak.priceMinor, OFFER_BOUNDS.priceMinor, `${pointer}/${at}/priceMinor`),
      ...(priceBreak.fromPacks > before.fromPacks
        ? []
        : [{ code: 'break_out_of_order', pointer: `${pointer}/${at}/fromPacks` } as const]),
      ...(priceBreak.priceMinor <= before.priceMinor
        ? []
        : [{ code: 'break_dearer', pointer: `${pointer}/${at}/priceMinor` } as const]),
    ];
  });
}

function checkAssortment({ name, priceMinor, contents }: Assortment, pointer: string): ShelfProblem[] {
  const ids = contents.map(({ itemId }) => itemId);
  return [
    ...checkName(name).map((problem) => ({ ...problem, pointer: `${pointer}${problem.pointer}` })),
    ...checkRange(priceMinor, OFFER_BOUNDS.priceMinor, `${pointer}/priceMinor`),
    ...(contents.length === 0 ? [{ code: 'assortment_empty', pointer: `${pointer}/contents` } as const] : []),
    ...contents.flatMap(({ itemId, amount }, at): ShelfProblem[] => [
      ...checkRange(amount, OFFER_BOUNDS.packAmount, `${pointer}/contents/${at}/amount`),
      ...(ids.indexOf(itemId) < at
        ? [{ code: 'content_twice', pointer: `${pointer}/contents/${at}/itemId` } as const]
        : []),
    ]),
  ];
}

/** What a hundred of the unit costs in this pack, minor units, unrounded. */
export const pricePer100Minor = ({ packAmount, priceMinor }: Offer): number =>
  (priceMinor / packAmount) * 100;
