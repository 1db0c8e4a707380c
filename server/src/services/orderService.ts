import {
  type Arrival,
  type ArrivalInput,
  arrivedGoods,
  type ArrivedGoods,
  checkArrival,
  checkOrder,
  openOfLine,
  type Order,
  type OrderDocument,
  type OrderInput,
} from '@lanakit/core/buying';
import type { Problem } from '@lanakit/core/problems';
import { blankLot, toMilli } from '@lanakit/core/shelf';
import { orderPaper, paperTable, workbookSheet } from '@lanakit/core/papers';
import { WORKBOOK_MIME, workbookOf } from '../papers/workbook.ts';
import { LABEL_SHEET } from '@lanakit/core/run';
import { todayOf, type WorkDeps } from './deps.ts';
import { ITEM_KINDS } from './itemKinds.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';

export type OrderService = ReturnType<typeof orderService>;

/** What is ordered of suppliers: drafted, sent, come. */
export function orderService({ store, now, newId, work }: WorkDeps) {
  const { orders, items, stock } = store;
  const at = () => now().toISOString();
  const found = (id: string): Order => foundOr(orders.find(id));
  const write = (id: string, version: number, document: OrderDocument): Order => {
    if (!orders.update(id, version, document, at()))
      throw new Refusal({ code: 'version_conflict', id, yours: document, theirs: found(id) });
    return found(id);
  };
  /** @throws Refusal order_stage where it is further than that, or not so far */
  const inStage = (id: string, ...stages: readonly OrderDocument['stage'][]): Order => {
    const order = found(id);
    if (!stages.includes(order.stage)) throw new Refusal({ code: 'order_stage', stage: order.stage });
    return order;
  };
  const unknownThings = ({ supplierId, lines }: OrderInput): Problem[] => [
    ...(items.kindOf(supplierId)?.kind === 'supplier'
      ? []
      : [{ code: 'not_on_shelf', pointer: '/supplierId', name: supplierId } as const]),
    ...lines.flatMap(({ contents }, line) =>
      contents.flatMap(({ itemId }, at): Problem[] =>
        items.kindOf(itemId)
          ? []
          : [{ code: 'not_on_shelf', pointer: `/lines/${line}/contents/${at}/itemId`, name: itemId }],
      ),
    ),
  ];
  const documentOf = ({ id: _id, version: _version, ...document }: Order): OrderDocument => document;
  const insertDraft = (input: OrderInput): Order => {
    const id = newId();
    orders.insert(id, { ...input, stage: 'drafted', orderedOn: null, arrivals: [] }, at());
    return found(id);
  };
  /** Into a lot of its own where it is kept in lots. */
  const putOnShelf = (goods: ArrivedGoods, lotName: string, on: string, note: string) => {
    const { itemId, amount, pricePer100Minor } = goods;
    const item = foundOr(items.kindOf(itemId));
    const isInLots = ITEM_KINDS[item.kind].stock === 'lots';
    const lotId = isInLots ? newId() : null;
    if (lotId !== null) {
      const name = freeName(
        lotName,
        stock.lotsOf(itemId).map((lot) => lot.name),
      );
      stock.insertLot(
        lotId,
        itemId,
        { ...blankLot(name), receivedOn: on, pricePer100gMinor: pricePer100Minor },
        at(),
      );
    }
    stock.enter({ itemId, lotId, amountMilli: toMilli(amount), reason: 'received', note, at: at() });
    return { itemId, lotId, amount };
  };

  return answering({
    all: (): Order[] => orders.all(),
    find: found,
    draft(input: OrderInput): Order {
      assertSound([...checkOrder(input), ...unknownThings(input)]);
      return insertDraft(input);
    },
    /** All or none. */
    draftAll(inputs: readonly OrderInput[]): Order[] {
      assertSound(
        inputs.flatMap((input, index) =>
          [...checkOrder(input), ...unknownThings(input)].map((problem) => ({
            ...problem,
            pointer: `/orders/${index}${problem.pointer}`,
          })),
        ),
      );
      return store.together(() => inputs.map(insertDraft));
    },
    /** Only while it is not sent; afterwards the day it is expected and the note. */
    save(id: string, version: number, input: OrderInput): Order {
      const order = inStage(id, 'drafted', 'ordered');
      const { expectedOn, note } = input;
      const next = order.stage === 'drafted' ? input : { expectedOn, note };
      assertSound([...checkOrder(input), ...unknownThings(input)]);
      return write(id, version, { ...documentOf(order), ...next });
    },
    send(id: string, version: number): Order {
      const order = inStage(id, 'drafted');
      return write(id, version, { ...documentOf(order), stage: 'ordered', orderedOn: todayOf(now()) });
    },
    /** Not sent after all. */
    callBack(id: string, version: number): Order {
      const order = inStage(id, 'ordered', 'dropped');
      if (order.arrivals.length > 0) throw new Refusal({ code: 'order_stage', stage: 'closed' });
      return write(id, version, { ...documentOf(order), stage: 'drafted', orderedOn: null });
    },
    /** Nothing of it will be bought. */
    drop(id: string, version: number): Order {
      const order = inStage(id, 'drafted', 'ordered');
      if (order.arrivals.length > 0) throw new Refusal({ code: 'order_stage', stage: 'closed' });
      return write(id, version, { ...documentOf(order), stage: 'dropped' });
    },
    /** What came goes on the shelf, in the same moment as it is written down. */
    arrive(id: string, version: number, input: ArrivalInput): Order {
      const order = inStage(id, 'ordered');
      assertSound(checkArrival(order, input));
      return store.together(() => {
        const lotName = input.lotName.trim() || `${order.supplierName} ${input.on}`;
        const arrived = arrivedGoods(order, input).map((goods) =>
          putOnShelf(goods, lotName, input.on, `from ${order.supplierName}`),
        );
        const lines = input.lines.filter(({ packs }) => packs > 0);
        const arrival: Arrival = { on: input.on, lines, stock: arrived, hasClosed: false };
        const next: OrderDocument = { ...documentOf(order), arrivals: [...order.arrivals, arrival] };
        const isAllHere = next.lines.every((_, line) => openOfLine(next, line) === 0);
        const hasClosed = isAllHere || input.isLast;
        const arrivals = [...order.arrivals, { ...arrival, hasClosed }];
        return write(id, version, { ...next, arrivals, stage: hasClosed ? 'closed' : 'ordered' });
      });
    },
    /** @param signal nobody waits for it any more */
    async pdf(id: string, signal?: AbortSignal) {
      const name = `${fileName(found(id))}.pdf`;
      const make = () => ({
        paper: orderPaper(found(id)),
        page: 'a4' as const,
        labels: LABEL_SHEET,
        hasCropMarks: false,
      });
      return { bytes: await work.setPdf(make, signal), mime: 'application/pdf', name };
    },
    csv(id: string) {
      const order = found(id);
      const bytes = Buffer.from(paperTable(orderPaper(order)), 'utf8');
      return { bytes, mime: 'text/csv; charset=utf-8', name: `${fileName(order)}.csv` };
    },
    async workbook(id: string) {
      const order = found(id);
      const bytes = await workbookOf(workbookSheet(orderPaper(order)));
      return { bytes, mime: WORKBOOK_MIME, name: `${fileName(order)}.xlsx` };
    },
    /** The last arrival was a slip: what it put on the shelf is taken off again. */
    takeBack(id: string, version: number): Order {
      const order = inStage(id, 'ordered', 'closed');
      const last = order.arrivals.at(-1);
      if (!last) throw new Refusal({ code: 'order_stage', stage: order.stage });
      return store.together(() => {
        for (const { itemId, lotId, amount } of last.stock)
          stock.enter({
            itemId,
            lotId,
            amountMilli: -toMilli(amount),
            reason: 'undone',
            note: `not come from ${order.supplierName}`,
            at: at(),
          });
        return write(id, version, {
          ...documentOf(order),
          arrivals: order.arrivals.slice(0, -1),
          stage: 'ordered',
        });
      });
    },
  });
}

/** As asked for, or with a number where a lot of that name is there already. */
function freeName(name: string, taken: readonly string[]): string {
  for (let at = 1; ; at++) {
    const tried = (at === 1 ? name : `${name.slice(0, 54)} (${at})`).slice(0, 60);
    if (!taken.includes(tried)) return tried;
  }
}

const fileName = ({ supplierName, orderedOn }: Order): string =>
  ['order', supplierName.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase(), orderedOn ?? 'draft'].join('-');
