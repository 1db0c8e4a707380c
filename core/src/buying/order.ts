import {
  type At,
  type BaseProblem,
  checkRange,
  checkWhole,
  isCalendarDate,
  oneOf,
  orUnknown,
  strict,
} from '../base/index.ts';
import { OFFER_BOUNDS, SUPPLIER_BOUNDS } from '../shelf/index.ts';
import { Type, type Static } from '@sinclair/typebox';
import type { Coming } from './chosenWants.ts';
import type { Parcel } from './purchase.ts';

const Day = Type.String({ minLength: 10, maxLength: 10, description: 'calendar date, YYYY-MM-DD' });
const Money = Type.Integer({ description: 'integer minor units' });

/** So many packs of one kind, of one thing or an assortment of several. */
const OrderLine = Type.Object(
  {
    name: Type.String({ maxLength: 120, description: 'what is ordered, as this studio calls it' }),
    reference: Type.String({ maxLength: 60, description: 'what the supplier calls it' }),
    contents: Type.Array(
      Type.Object(
        {
          itemId: Type.String({ minLength: 1, maxLength: 40 }),
          amount: Type.Number({ description: 'in one pack, in the thing’s unit' }),
        },
        strict,
      ),
      { minItems: 1, maxItems: 200 },
    ),
    packs: Type.Integer(),
    priceEachMinor: Money,
  },
  strict,
);
type OrderLine = Static<typeof OrderLine>;

/** What is asked of one supplier at once. */
export const OrderInput = Type.Object(
  {
    supplierId: Type.String({ minLength: 1, maxLength: 40 }),
    supplierName: Type.String({ maxLength: 80, description: 'as it was called then' }),
    lines: Type.Array(OrderLine, { minItems: 1, maxItems: 2000 }),
    carriageMinor: Money,
    expectedOn: orUnknown(Day),
    note: Type.String({ maxLength: 400 }),
  },
  strict,
);
export type OrderInput = Static<typeof OrderInput>;

/** What came on a day. */
export const ArrivalInput = Type.Object(
  {
    on: Day,
    lines: Type.Array(
      Type.Object(
        {
          line: Type.Integer({ minimum: 0, description: 'which line of the order, from 0' }),
          packs: Type.Integer(),
          paidEachMinor: Money,
        },
        strict,
      ),
      { maxItems: 2000 },
    ),
    lotName: Type.String({ maxLength: 60, description: 'of the lots that are made of it' }),
    isLast: Type.Boolean({ description: 'nothing more of this order will come' }),
    anyway: Type.Optional(Type.Boolean({ description: 'although more came than was ordered' })),
  },
  strict,
);
export type ArrivalInput = Static<typeof ArrivalInput>;

/** What an arrival put on the shelf: to be taken back where it was a slip. */
const ArrivedStock = Type.Object(
  {
    itemId: Type.String({ minLength: 1, maxLength: 40 }),
    lotId: orUnknown(Type.String({ minLength: 1, maxLength: 40 })),
    amount: Type.Number({ description: 'in the thing’s unit' }),
  },
  strict,
);
type ArrivedStock = Static<typeof ArrivedStock>;

const Arrival = Type.Object(
  {
    on: Day,
    lines: ArrivalInput.properties.lines,
    stock: Type.Array(ArrivedStock, { maxItems: 4000 }),
    hasClosed: Type.Boolean({ description: 'with it the order was closed' }),
  },
  strict,
);
export type Arrival = Static<typeof Arrival>;

const ORDER_STAGES = ['drafted', 'ordered', 'closed', 'dropped'] as const;
const OrderStage = oneOf(ORDER_STAGES);
type OrderStage = (typeof ORDER_STAGES)[number];

/** An order with how far it has come. */
export const OrderDocument = Type.Object(
  {
    ...OrderInput.properties,
    stage: OrderStage,
    orderedOn: orUnknown(Day),
    arrivals: Type.Array(Arrival, { maxItems: 500 }),
  },
  strict,
);
export type OrderDocument = Static<typeof OrderDocument>;

export interface Order extends OrderDocument {
  readonly id: string;
  readonly version: number;
}

/** How far an order is. */
export type OrderState = 'drafted' | 'ordered' | 'part' | 'arrived' | 'dropped';

export function orderState({ stage, arrivals }: Pick<OrderDocument, 'stage' | 'arrivals'>): OrderState {
  switch (stage) {
    case 'drafted':
      return 'drafted';
    case 'dropped':
      return 'dropped';
    case 'closed':
      return 'arrived';
    case 'ordered':
      return arrivals.length > 0 ? 'part' : 'ordered';
  }
}

export type OrderProblem =
  | BaseProblem
  | (At &
      (
        | { readonly code: 'arrived_over'; readonly ordered: number; readonly arrived: number }
        | { readonly code: 'line_not_found'; readonly line: number }
        | { readonly code: 'arrival_empty' }
        | { readonly code: 'day_not_read'; readonly text: string }
      ));

const PACKS = { min: 1, max: 10_000 } as const;

export function checkOrder({ lines, carriageMinor, expectedOn }: OrderInput): OrderProblem[] {
  return [
    ...checkRange(carriageMinor, SUPPLIER_BOUNDS.carriageMinor, '/carriageMinor'),
    ...(expectedOn === null ? [] : checkDay(expectedOn, '/expectedOn')),
    ...lines.flatMap(({ packs, priceEachMinor, contents }, at) => [
      ...checkWhole(packs, PACKS, `/lines/${at}/packs`),
      ...checkRange(priceEachMinor, OFFER_BOUNDS.priceMinor, `/lines/${at}/priceEachMinor`),
      ...contents.flatMap(({ amount }, index) =>
        checkRange(amount, OFFER_BOUNDS.packAmount, `/lines/${at}/contents/${index}/amount`),
      ),
    ]),
  ];
}

const checkDay = (text: string, pointer: string): OrderProblem[] =>
  isCalendarDate(text) ? [] : [{ code: 'day_not_read', pointer, text }];

/** Packs of a line that have come so far. */
export const arrivedOfLine = ({ arrivals }: Pick<OrderDocument, 'arrivals'>, line: number): number =>
  arrivals
    .flatMap(({ lines }) => lines)
    .reduce((sum, arrived) => sum + (arrived.line === line ? arrived.packs : 0), 0);

/** Packs of a line that are still to come. */
export const openOfLine = (order: OrderDocument, line: number): number =>
  order.stage === 'ordered' ? Math.max(0, (order.lines[line]?.packs ?? 0) - arrivedOfLine(order, line)) : 0;

export function checkArrival(
  order: OrderDocument,
  { on, lines, isLast, anyway }: ArrivalInput,
): OrderProblem[] {
  const came = lines.filter(({ packs }) => packs !== 0);
  return [
    ...checkDay(on, '/on'),
    ...(came.length === 0 && !isLast ? [{ code: 'arrival_empty', pointer: '/lines' } as const] : []),
    ...lines.flatMap(({ line, packs, paidEachMinor }, at): OrderProblem[] => {
      const ordered = order.lines[line];
      if (!ordered) return [{ code: 'line_not_found', pointer: `/lines/${at}/line`, line }];
      const arrived = arrivedOfLine(order, line) + packs;
      return [
        ...checkWhole(packs, { min: 0, max: PACKS.max }, `/lines/${at}/packs`),
        ...checkRange(paidEachMinor, OFFER_BOUNDS.priceMinor, `/lines/${at}/paidEachMinor`),
        ...(arrived > ordered.packs && anyway !== true
          ? [
              {
                code: 'arrived_over',
                pointer: `/lines/${at}/packs`,
                ordered: ordered.packs,
                arrived,
              } as const,
            ]
          : []),
      ];
    }),
  ];
}

/** Goods of one thing that came, with what a hundred of its unit cost; minor units, rounded once. */
export interface ArrivedGoods {
  readonly itemId: string;
  readonly amount: number;
  readonly pricePer100Minor: number;
}

/** What an arrival brings of each thing. The price of an assortment is shared out by amount. */
export function arrivedGoods(
  { lines: ordered }: OrderDocument,
  { lines }: Pick<ArrivalInput, 'lines'>,
): ArrivedGoods[] {
  const goods = new Map<string, { amount: number; minor: number }>();
  for (const { line, packs, paidEachMinor } of lines) {
    const contents = ordered[line]?.contents ?? [];
    const inPack = contents.reduce((sum, { amount }) => sum + amount, 0);
    for (const { itemId, amount } of packs > 0 ? contents : []) {
      const before = goods.get(itemId) ?? { amount: 0, minor: 0 };
      goods.set(itemId, {
        amount: before.amount + packs * amount,
        minor: before.minor + (packs * paidEachMinor * amount) / inPack,
      });
    }
  }
  return [...goods].map(([itemId, { amount, minor }]) => ({
    itemId,
    amount,
    pricePer100Minor: Math.round((minor / amount) * 100),
  }));
}

/** Where what came is other than what was ordered. */
export type ArrivalDifference =
  | { readonly kind: 'fewer' | 'more'; readonly line: number; readonly packs: number }
  | {
      readonly kind: 'price';
      readonly line: number;
      readonly paidEachMinor: number;
      readonly orderedMinor: number;
    };

export function differencesOf(order: OrderDocument): ArrivalDifference[] {
  return order.lines.flatMap(({ packs, priceEachMinor }, line): ArrivalDifference[] => {
    const arrived = arrivedOfLine(order, line);
    const paid = order.arrivals.flatMap(({ lines }) =>
      lines.filter((came) => came.line === line && came.packs > 0),
    );
    const other = paid.find(({ paidEachMinor }) => paidEachMinor !== priceEachMinor);
    return [
      ...(order.stage === 'closed' && arrived < packs
        ? [{ kind: 'fewer', line, packs: packs - arrived } as const]
        : []),
      ...(arrived > packs ? [{ kind: 'more', line, packs: arrived - packs } as const] : []),
      ...(other
        ? [{ kind: 'price', line, paidEachMinor: other.paidEachMinor, orderedMinor: priceEachMinor } as const]
        : []),
    ];
  });
}

/** Something ordered, of which order, and the day it was to come. */
export interface ComingOfOrder extends Coming {
  readonly orderId: string;
  readonly dueOn: string | null;
}

/** What is ordered and has not come, each thing of each order. A day that has passed is no day any more: nobody knows when. */
export const comingOf = (orders: readonly Order[], today: string): ComingOfOrder[] =>
  orders.flatMap((order) =>
    order.lines.flatMap(({ contents }, line) => {
      const packs = openOfLine(order, line);
      const dueOn = order.expectedOn;
      return packs === 0
        ? []
        : contents.map(({ itemId, amount }) => ({
            orderId: order.id,
            itemId,
            amount: packs * amount,
            on: dueOn !== null && dueOn >= today ? dueOn : null,
            dueOn,
          }));
    }),
  );

/** What a parcel of a plan is as an order. @param nameOf of a pack, as this studio calls it */
export function orderOfParcel(
  parcel: Parcel,
  supplierName: string,
  expectedOn: string | null,
  nameOf: (line: Parcel['lines'][number]) => string,
): OrderInput {
  return {
    supplierId: parcel.supplierId,
    supplierName,
    carriageMinor: parcel.carriageMinor,
    expectedOn,
    note: '',
    lines: parcel.lines.map((line) => ({
      name: nameOf(line),
      reference: line.offer.reference,
      contents: [...line.offer.contents],
      packs: line.packs,
      priceEachMinor: line.priceEachMinor,
    })),
  };
}

/** Minor units. */
export const priceOfLine = ({
  packs,
  priceEachMinor,
}: Pick<OrderInput['lines'][number], 'packs' | 'priceEachMinor'>): number => packs * priceEachMinor;

export const goodsOfOrder = ({ lines }: Pick<OrderInput, 'lines'>): number =>
  lines.reduce((sum, line) => sum + priceOfLine(line), 0);

/** What it costs in all, in minor units: its goods and their carriage. */
export const totalOfOrder = (order: Pick<OrderInput, 'lines' | 'carriageMinor'>): number =>
  goodsOfOrder(order) + order.carriageMinor;
