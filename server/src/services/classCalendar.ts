import { daysAfter } from '@lanakit/core/base';
import { type Run, sessionStarts } from '@lanakit/core/run';
import { clockWords } from '@lanakit/core/words';
import type { DateTime, EventAttributes } from 'ics';
import { calendarFile, dateOf, wholeDay } from './calendarEvents.ts';

/** Days of a class before it: null where nothing is short, or nobody can tell. */
interface DaysBefore {
  readonly orderBy: string | null;
  readonly prepareBy: string;
}

/**
 * The sittings of a class, on the clock of the room wherever it is read (RFC 5545 floating times), what is talked, shown and
 * paused in each, and the days to order and to begin by.
 */
export function classCalendarOf(run: Run, days: DaysBefore | null, at: Date): Buffer {
  const starts = sessionStarts(run.plan.sessions, run.date);
  const sittings = run.plan.sessions.flatMap((session, index): EventAttributes[] => {
    const start = starts[index] ?? null;
    if (start === null) return [];
    const rows = run.plan.rows
      .filter(({ sessionId }) => sessionId === session.id)
      .toSorted((a, b) => a.atMinute - b.atMinute)
      .map(({ atMinute, name, minutes }) => `${clockWords(start + atMinute)} ${name} (${minutes} min)`);
    return [
      {
        uid: `sitting-${run.id}-${session.id}`,
        title: run.plan.sessions.length > 1 ? `${run.name}, ${index + 1}` : run.name,
        description: [`${run.seats} seats`, ...rows].join('\n'),
        startInputType: 'local',
        startOutputType: 'local',
        start: timeOf(session.date ?? run.date, start),
        duration: { minutes: Math.round(session.minutes) },
      },
    ];
  });
  const before = days
    ? [
        ...(days.orderBy === null
          ? []
          : [wholeDay(days.orderBy, { uid: `order-${run.id}`, title: `Order by today for ${run.name}` })]),
        wholeDay(days.prepareBy, { uid: `begin-${run.id}`, title: `Begin ${run.name}` }),
      ]
    : [];
  const post = run.plan.isRemote
    ? [
        wholeDay(daysAfter(run.date, -run.plan.postDays), {
          uid: `post-${run.id}`,
          title: `Post the packs of ${run.name}`,
        }),
      ]
    : [];
  return calendarFile([...before, ...post, ...sittings], run.name, at);
}

function timeOf(day: string, minute: number): DateTime {
  const [hours = 0, minutes = 0] = clockWords(minute).split(':').map(Number);
  return [...dateOf(day), hours, minutes];
}
