import type { BuyingRun } from '@lanakit/core/api';
import { type BuyingDays, daysAfter, type Order } from '@lanakit/core/buying';
import { type DateTime, createEvents, type EventAttributes } from 'ics';

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
  const event = (uid: string, day: string, title: string, description: string): EventAttributes => ({
    uid: `${uid}@lanakit`,
    productId: '-//Lanakit//EN',
    title,
    description,
    start: dateOf(day),
    end: dateOf(daysAfter(day, 1)),
    created: at.getTime(),
    // It takes nothing of anybody’s day.
    transp: 'TRANSPARENT',
  });
  const events = [
    ...days.flatMap(({ run, day, itemId, isShort, prepareBy }) => [
      ...(isShort && day !== null
        ? [
            event(
              `order-${run.id}`,
              day,
              `Order by today for ${run.name}`,
              `First of all ${nameOf(itemId ?? '')}.`,
            ),
          ]
        : []),
      event(`begin-${run.id}`, prepareBy, `Begin ${run.name}`, `What is bought for it has to be there.`),
    ]),
    ...orders.flatMap(({ id, stage, supplierName, expectedOn, lines }) =>
      stage === 'ordered' && expectedOn !== null
        ? [
            event(
              `parcel-${id}`,
              expectedOn,
              `Parcel from ${supplierName}`,
              lines.map(({ packs, name }) => `${packs} × ${name}`).join('\n'),
            ),
          ]
        : [],
    ),
  ];
  const { value, error } = createEvents(events, { calName: 'Lanakit: buying' });
  if (error) throw error;
  return Buffer.from(value ?? '', 'utf8');
}

function dateOf(day: string): DateTime {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
}
