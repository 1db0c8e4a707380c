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
  },
  strict,
);
export type Offer = Static<typeof Offer>;

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
    ];
  });
  return [...checkName(supplier.name), ...checkNumbers(supplier, SUPPLIER_BOUNDS, ''), ...offers];
}

/** What a hundred of the unit costs in this pack, minor units, unrounded. */
export const pricePer100Minor = ({ packAmount, priceMinor }: Offer): number =>
  (priceMinor / packAmount) * 100;
