import type { BuyingRun } from '@lanakit/core/api';
import type { BuyingDays, Order } from '@lanakit/core/buying';
import { calendarFile, wholeDay } from './calendarEvents.ts';

interface CalendarFacts {
  readonly nameOf: (itemId: string) => string;
  readonly at: Date;
}

/** Days to order by, to begin the work by, and on which parcels are expected, as RFC 5545 has them: whole days, without a clock. */
export function calendarOf(
  days: readonly (BuyingDays & { readonly run: BuyingRun })[],
  orders: readonly Order[],
  { nameOf, at }: CalendarFacts,
): Buffer {
  const events = [
    ...days.flatMap(({ run, day, itemId, isShort, prepareBy }) => [
      ...(isShort && day !== null
        ? [
            wholeDay(day, {
              uid: `order-${run.id}`,
              title: `Order by today for ${run.name}`,
              description: `First of all ${nameOf(itemId ?? '')}.`,
            }),
          ]
        : []),
      wholeDay(prepareBy, {
        uid: `begin-${run.id}`,
        title: `Begin ${run.name}`,
        description: 'What is bought for it has to be there.',
      }),
    ]),
    ...orders.flatMap(({ id, stage, supplierName, expectedOn, lines }) =>
      stage === 'ordered' && expectedOn !== null
        ? [
            wholeDay(expectedOn, {
              uid: `parcel-${id}`,
              title: `Parcel from ${supplierName}`,
              description: lines.map(({ packs, name }) => `${packs} × ${name}`).join('\n'),
            }),
          ]
        : [],
    ),
  ];
  return calendarFile(events, 'Lanakit: buying', at);
}
