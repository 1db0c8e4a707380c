import { daysAfter } from '@lanakit/core/base';
import type { OrderInput } from '@lanakit/core/buying';
import type { StockUnit, Supplier } from '@lanakit/core/shelf';
import { packName } from '@lanakit/core/words';
import { type Services, todayOf } from '@lanakit/server/services';
import { type Clock, done } from './studio.ts';
import type { DemoShelf } from './write.ts';

/** One parcel that is on its way, and one that should have been here two days ago. */
export function loadBuying(servicesAt: Clock, now: Date, shelf: Pick<DemoShelf, 'fibre' | 'finding'>): void {
  const today = todayOf(now);
  const ordered = new Date(now);
  ordered.setDate(ordered.getDate() - 7);
  const then = servicesAt(ordered);
  const send = (input: OrderInput) => {
    const { id, version } = done(then.orders.draft(input));
    done(then.orders.send(id, version));
  };
  const marigold: Wanted = { itemId: shelf.fibre('marigold'), name: 'Marigold', unit: 'g', packs: 1 };
  const bead = 'Wooden bead 12 mm';
  const beads: Wanted = { itemId: shelf.finding(bead), name: bead, unit: 'piece', packs: 1 };
  send(orderOf(then, 'Two Piers Supply', daysAfter(today, 3), marigold));
  send(orderOf(then, 'Lantern Hill Findings', daysAfter(today, -2), beads));
  done(then.buying.setLevel(shelf.fibre('moss'), 25));
}

interface Wanted {
  readonly itemId: string;
  readonly name: string;
  readonly unit: StockUnit;
  readonly packs: number;
}

/** Packs of the smallest that a supplier sells of a thing. */
function orderOf(
  { items }: Services,
  supplierName: string,
  expectedOn: string,
  { itemId, packs, ...thing }: Wanted,
): OrderInput {
  const suppliers = done(items.supplier.all()) as readonly Supplier[];
  const supplier = suppliers.find(({ name }) => name === supplierName);
  const [offer] = (supplier?.offers ?? [])
    .filter((sold) => sold.itemId === itemId)
    .toSorted((a, b) => a.packAmount - b.packAmount);
  if (!supplier || !offer) throw new Error(`${supplierName} sells no ${thing.name} in the demo`);
  const contents = [{ itemId, amount: offer.packAmount }];
  return {
    supplierId: supplier.id,
    supplierName,
    carriageMinor: supplier.carriageMinor ?? 0,
    expectedOn,
    note: '',
    lines: [
      {
        name: packName({ name: '', contents }, () => thing),
        reference: offer.reference,
        contents,
        packs,
        priceEachMinor: offer.priceMinor,
      },
    ],
  };
}
