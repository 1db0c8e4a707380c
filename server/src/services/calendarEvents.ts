import { daysAfter } from '@lanakit/core/base';
import { createEvents, type DateTime, type EventAttributes } from 'ics';

/** A day as RFC 5545 has it, without a clock. */
export function dateOf(day: string): [year: number, month: number, date: number] {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
}

/** Something for a whole day. It takes nothing of anybody’s time. */
export const wholeDay = (
  day: string,
  words: Pick<EventAttributes, 'uid' | 'title' | 'description'>,
): EventAttributes => ({
  ...words,
  start: dateOf(day) satisfies DateTime,
  end: dateOf(daysAfter(day, 1)),
  transp: 'TRANSPARENT',
});

/** @param at when it was written */
export function calendarFile(events: readonly EventAttributes[], calName: string, at: Date): Buffer {
  const written = events.map((event): EventAttributes => ({
    ...event,
    uid: `${event.uid ?? ''}@lanakit`,
    productId: '-//Lanakit//EN',
    created: at.getTime(),
  }));
  const { value, error } = createEvents(written, { calName });
  if (error) throw error;
  return Buffer.from(value ?? '', 'utf8');
}
