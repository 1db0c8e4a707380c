import { daysAfter } from '@lanakit/core/buying';
import { type Run, sessionStarts } from '@lanakit/core/run';
import { clockWords } from '@lanakit/core/words';
import { createEvents, type DateTime, type EventAttributes } from 'ics';

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
  const base = { productId: '-//Lanakit//EN', created: at.getTime() };
  const sittings = run.plan.sessions.flatMap((session, index): EventAttributes[] => {
    const start = starts[index] ?? null;
    if (start === null) return [];
    const rows = run.plan.rows
      .filter(({ sessionId }) => sessionId === session.id)
      .toSorted((a, b) => a.atMinute - b.atMinute)
      .map(({ atMinute, name, minutes }) => `${clockWords(start + atMinute)} ${name} (${minutes} min)`);
    return [
      {
        ...base,
        uid: `sitting-${run.id}-${session.id}@lanakit`,
        title: run.plan.sessions.length > 1 ? `${run.name}, ${index + 1}` : run.name,
        description: [`${run.seats} seats`, ...rows].join('\n'),
        startInputType: 'local',
        startOutputType: 'local',
        start: timeOf(session.date ?? run.date, start),
        duration: { minutes: Math.round(session.minutes) },
      },
    ];
  });
  const wholeDay = (uid: string, day: string, title: string): EventAttributes => ({
    ...base,
    uid: `${uid}-${run.id}@lanakit`,
    title,
    start: dateOf(day),
    end: dateOf(daysAfter(day, 1)),
    // It takes nothing of anybody’s day.
    transp: 'TRANSPARENT',
  });
  const before = days
    ? [
        ...(days.orderBy === null ? [] : [wholeDay('order', days.orderBy, `Order by today for ${run.name}`)]),
        wholeDay('begin', days.prepareBy, `Begin ${run.name}`),
      ]
    : [];
  const post = run.plan.isRemote
    ? [wholeDay('post', daysAfter(run.date, -run.plan.postDays), `Post the packs of ${run.name}`)]
    : [];
  const { value, error } = createEvents([...before, ...post, ...sittings], { calName: run.name });
  if (error) throw error;
  return Buffer.from(value ?? '', 'utf8');
}

function dateOf(day: string): DateTime {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
}

function timeOf(day: string, minute: number): DateTime {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const [hours = 0, minutes = 0] = clockWords(minute).split(':').map(Number);
  return [year, month, date, hours, minutes];
}
