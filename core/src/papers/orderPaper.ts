import { arrivedOfLine, goodsOfOrder, type Order, totalOfOrder } from '../buying/index.ts';
import { showDay, showMoney } from '../words/index.ts';
import * as cells from './cell.ts';
import { left, type Paper, right, row, section, wide } from './paper.ts';

/** An order as it is sent, in the supplier’s own words where it has any. */
export function orderPaper(order: Order): Paper {
  const { supplierName, lines, carriageMinor, expectedOn, orderedOn, note } = order;
  return {
    name: 'order',
    title: `Order: ${supplierName}`,
    head: [
      ...(orderedOn === null ? ['Not sent yet'] : [`Sent on ${showDay(orderedOn)}`]),
      ...(expectedOn === null ? [] : [`Expected on ${showDay(expectedOn)}`]),
    ],
    sections: [
      section('To order', {
        notes: note === '' ? [] : [note],
        columns: [right('Packs'), left('Article'), wide('What'), right('Each'), right('Sum'), right('Here')],
        rows: lines.map((line, at) =>
          row(
            [
              cells.count(line.packs),
              line.reference,
              line.name,
              showMoney(line.priceEachMinor),
              showMoney(line.packs * line.priceEachMinor),
              order.stage === 'drafted' ? '' : cells.count(arrivedOfLine(order, at)),
            ],
            { ticks: 1 },
          ),
        ),
      }),
      section('Sum', {
        columns: [wide('What'), right('Sum')],
        rows: [
          row(['Goods', showMoney(goodsOfOrder(order))]),
          row(['Carriage', showMoney(carriageMinor)]),
          row(['Together', showMoney(totalOfOrder(order))]),
        ],
      }),
    ],
    labels: [],
    figures: {},
    foot: 'Prices as they were known when it was drafted.',
  };
}
