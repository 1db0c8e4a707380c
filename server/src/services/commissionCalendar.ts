import type { CommissionLine } from '@lanakit/core/api';
import { isAhead } from '@lanakit/core/commissions';
import { calendarFile, wholeDay } from './calendarEvents.ts';

/** What was asked for and is ahead: the days it is made on, and the day it is wanted by (RFC 5545). */
export function commissionCalendar(lines: readonly CommissionLine[], at: Date): Buffer {
  const events = lines.filter(isAhead).flatMap(({ id, title, askedBy, byDay, place }) => [
    ...(place?.days ?? []).map((day, nth, days) =>
      wholeDay(day, {
        uid: `make-${id}-${day}`,
        title: `Make: ${title}`,
        description: `Day ${nth + 1} of ${days.length}.`,
      }),
    ),
    ...(byDay === null
      ? []
      : [
          wholeDay(byDay, {
            uid: `wanted-${id}`,
            title: `Wanted: ${title}`,
            description: askedBy === '' ? 'Asked for.' : `Asked for by ${askedBy}.`,
          }),
        ]),
  ]);
  return calendarFile(events, 'Lanakit: asked for', at);
}
