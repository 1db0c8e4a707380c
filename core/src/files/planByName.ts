import { checkRange, isEqual } from '../base/index.ts';
import type { Problem } from '../problems/index.ts';
import {
  AMOUNT_BOUNDS,
  needleName,
  type Offer,
  OFFER_BOUNDS,
  type Preparation,
  sameName,
  type Supplier,
} from '../shelf/index.ts';
import { type CsvStyle, readRow, writeRow } from '../tables/index.ts';
import { LIST_COLUMNS } from './lists.ts';
import { asTheyStand, type PlannedRow, type RowPlanner, type ShelfView } from './plannedRow.ts';

/** A thing on the shelf that a row names. */
interface Named {
  readonly id: string;
  readonly name: string;
  readonly preparation: Preparation | null;
  readonly lots:
    readonly { readonly id: string; readonly name: string; readonly onHandG: number | null }[] | null;
  readonly onHand: number | null;
}

function everything(shelf: ShelfView): Named[] {
  return [
    ...[...shelf.fibres, ...shelf.blends].map(({ id, name, preparation, lots, onHandG }) => ({
      id,
      name,
      preparation,
      lots,
      onHand: onHandG,
    })),
    ...[...shelf.findings, ...shelf.tools].map(({ id, name, onHand }) => ({
      id,
      name,
      preparation: null,
      lots: null,
      onHand,
    })),
    ...shelf.needles.map((needle) => ({
      id: needle.id,
      name: needleName(needle),
      preparation: null,
      lots: null,
      onHand: needle.onHand,
    })),
  ];
}

type Found = { readonly thing: Named } | { readonly problem: Problem };

/** The one thing a row means by its name, and by how it is prepared where several have the name. */
function finderOf(shelf: ShelfView): (name: string, preparation: Preparation | null) => Found {
  const byName = new Map<string, Named[]>();
  for (const thing of everything(shelf)) {
    const key = thing.name.trim().toLowerCase();
    byName.set(key, [...(byName.get(key) ?? []), thing]);
  }
  return (name, preparation) => {
    const named = byName.get(name.trim().toLowerCase()) ?? [];
    const fitting = preparation === null ? named : named.filter((thing) => thing.preparation === preparation);
    const [thing, second] = fitting;
    if (!thing) return { problem: { code: 'not_on_shelf', pointer: '/item', name } };
    return second ? { problem: { code: 'several_on_shelf', pointer: '/preparation', name } } : { thing };
  };
}

interface PriceRow {
  readonly supplier: string;
  readonly item: string;
  readonly preparation: Preparation | null;
  readonly packAmount: number;
  readonly priceMinor: number;
  readonly reference: string;
  readonly breaks: NonNullable<Offer['breaks']>;
  /** Empty: the thing is sold by itself. */
  readonly assortment: string;
}

const BLANK_PRICE: PriceRow = {
  supplier: '',
  item: '',
  preparation: null,
  packAmount: 0,
  priceMinor: 0,
  reference: '',
  breaks: [],
  assortment: '',
};

export function planPrices(shelf: ShelfView, style: CsvStyle): RowPlanner {
  const find = finderOf(shelf);
  return (line, cells) => {
    const { value, problems } = readRow(LIST_COLUMNS.prices, cells, BLANK_PRICE, style);
    const found = find(value.item, value.preparation);
    const within = value.assortment === '' ? '' : ` in ${value.assortment}`;
    const name = `${value.supplier}: ${value.item} ${value.preparation ?? ''}, ${value.packAmount}${within}`;
    const bounds = checkRange(value.packAmount, OFFER_BOUNDS.packAmount, '/packAmount');
    const all = [
      ...problems,
      ...(problems.length === 0 ? bounds : []),
      ...('problem' in found && problems.length === 0 ? [found.problem] : []),
    ];
    if (all.length > 0 || !('thing' in found)) {
      return { line, name, state: 'bad', values: asTheyStand('prices', cells), problems: all, change: null };
    }
    const supplier = shelf.suppliers.find((known) => sameName(known.name, value.supplier));
    const { state, change } =
      value.assortment === ''
        ? offerOf(value, found.thing.id, supplier)
        : contentOf(value, found.thing.id, supplier);
    return { line, name, state, values: writeRow(LIST_COLUMNS.prices, value), problems: [], change };
  };
}

type Planned = Pick<PlannedRow, 'state' | 'change'>;

function offerOf(row: PriceRow, itemId: string, supplier: Supplier | undefined): Planned {
  const { packAmount, priceMinor, reference, breaks } = row;
  const offer: Offer = { itemId, packAmount, priceMinor, reference, ...(breaks.length > 0 && { breaks }) };
  const before = supplier?.offers.find((other) => other.itemId === itemId && other.packAmount === packAmount);
  // A list without the column says nothing of prices by the number: what is known of them stays.
  const next = breaks.length > 0 ? offer : { ...offer, ...(before?.breaks && { breaks: before.breaks }) };
  if (before && isEqual(before, next)) return { state: 'same', change: null };
  return {
    state: before ? 'changed' : 'new',
    change: { kind: 'offer', supplierName: row.supplier, offer: next },
  };
}

/** One thing of a pack that holds several. */
function contentOf(row: PriceRow, itemId: string, supplier: Supplier | undefined): Planned {
  const { packAmount: amount, priceMinor, reference } = row;
  const before = supplier?.assortments?.find(({ name }) => sameName(name, row.assortment));
  const content = before?.contents.find((other) => other.itemId === itemId);
  const isSame =
    before?.priceMinor === priceMinor && before.reference === reference && content?.amount === amount;
  if (isSame) return { state: 'same', change: null };
  return {
    state: before ? 'changed' : 'new',
    change: {
      kind: 'content',
      supplierName: row.supplier,
      assortment: { name: row.assortment.trim(), priceMinor, reference, contents: [{ itemId, amount }] },
    },
  };
}

interface CountRow {
  readonly item: string;
  readonly preparation: Preparation | null;
  readonly lot: string;
  readonly amount: number;
  readonly unit: string;
}

const BLANK_COUNT: CountRow = { item: '', preparation: null, lot: '', amount: 0, unit: '' };

export function planCounts(shelf: ShelfView, style: CsvStyle): RowPlanner {
  const find = finderOf(shelf);
  return (line, cells) => {
    const { value, problems } = readRow(LIST_COLUMNS.counts, cells, BLANK_COUNT, style);
    const name = [value.item, value.preparation ?? '', value.lot].filter((word) => word !== '').join(' ');
    const bad = (all: readonly Problem[]): PlannedRow => ({
      line,
      name,
      state: 'bad',
      values: asTheyStand('counts', cells),
      problems: all,
      change: null,
    });
    if (problems.length > 0) return bad(problems);
    const bounds = checkRange(value.amount, AMOUNT_BOUNDS, '/amount');
    if (bounds.length > 0) return bad(bounds);
    const found = find(value.item, value.preparation);
    if ('problem' in found) return bad([found.problem]);
    const lot = lotMeant(found.thing, value.lot);
    if (lot !== null && 'code' in lot) return bad([lot]);
    const onHand = lot ? lot.onHandG : found.thing.onHand;
    const isSame = onHand === value.amount;
    return {
      line,
      name,
      state: isSame ? 'same' : onHand === null ? 'new' : 'changed',
      values: writeRow(LIST_COLUMNS.counts, value),
      problems: [],
      change: isSame
        ? null
        : { kind: 'count', count: { itemId: found.thing.id, lotId: lot?.id ?? null, amount: value.amount } },
    };
  };
}

/** The lot a count is of: named, or the only one; null where a thing is kept without lots. */
function lotMeant({ lots }: Named, name: string) {
  if (lots === null) return null;
  const names = lots.map((lot) => lot.name);
  const [only, second] = lots;
  if (name === '') {
    if (only && !second) return only;
    return only
      ? ({ code: 'lot_not_said', pointer: '/lot', lots: names } as const)
      : ({ code: 'lot_not_found', pointer: '/lot', name: 'first lot', lots: [] } as const);
  }
  return (
    lots.find((lot) => sameName(lot.name, name)) ??
    ({ code: 'lot_not_found', pointer: '/lot', name, lots: names } as const)
  );
}
