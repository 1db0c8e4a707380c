import { showNumber } from '../base/index.ts';
import type { Order, PackOffer } from '../buying/index.ts';
import type { StockUnit } from '../shelf/index.ts';
import { findingAmount } from './amounts.ts';

/** A pack by what it holds: `Chalk, 50 g`; an assortment by its own name. */
export function packName(
  { name, contents }: Pick<PackOffer, 'name' | 'contents'>,
  thingOf: (itemId: string) => { readonly name: string; readonly unit: StockUnit } | undefined,
): string {
  if (name !== '') return name;
  const [first] = contents;
  const thing = first && thingOf(first.itemId);
  if (!first || !thing) return 'a thing no longer on the shelf';
  return first.amount === 1 && thing.unit === 'piece'
    ? thing.name
    : `${thing.name}, ${packAmount(first.amount, thing.unit)}`;
}

/** As it stands on a pack: 500 g, and not as a scale would show it. */
function packAmount(amount: number, unit: StockUnit): string {
  if (unit === 'g') return `${showNumber(amount, 1)} g`;
  return unit === 'piece' ? `${showNumber(amount, 0)} pieces` : findingAmount(amount, unit);
}

/** An order as it is pasted into a letter or a form: in the supplier’s own words where it has any. */
export const orderText = ({ supplierName, lines }: Pick<Order, 'supplierName' | 'lines'>): string =>
  [
    `Order of ${supplierName}`,
    '',
    ...lines.map(
      ({ packs, reference, name }) => `${packs} × ${reference === '' ? name : `${reference} (${name})`}`,
    ),
  ].join('\n');
