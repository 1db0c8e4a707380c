import { daysAfter, daysBetween } from '../base/index.ts';
import { isWorked } from '../buying/index.ts';
import type { WorkPlace } from './place.ts';
import type { Calendar } from './standing.ts';

/** One day ahead, as a calendar shows it. */
export interface CalendarDay {
  readonly day: string;
  readonly is: 'free' | 'rest' | 'taken' | 'this';
  /** What takes it. */
  readonly names: readonly string[];
  /** It is wanted by this day. */
  readonly isWanted: boolean;
}

/** At least two weeks, at most ten, and the days after it is wanted no further than the week. */
const [LEAST_DAYS, MOST_DAYS, AFTER] = [14, 70, 2];

/** The days from today on to when it is wanted, or done, in whole weeks. */
export function calendarDays(
  { taken, today, terms }: Calendar,
  place: WorkPlace | null,
  byDay: string | null,
): CalendarDay[] {
  const last = [byDay, place?.days.at(-1) ?? null, place?.doneIfBegunToday ?? null]
    .flatMap((day) => day ?? [])
    .reduce((latest, day) => (day > latest ? day : latest), today);
  const wanted = Math.max(LEAST_DAYS, daysBetween(today, last) + 1 + AFTER);
  const count = Math.min(MOST_DAYS, Math.ceil(wanted / 7) * 7);
  const ownDays = new Set(place?.days);
  return Array.from({ length: count }, (_each, at) => {
    const day = daysAfter(today, at);
    const names = [...new Set(taken.flatMap((each) => (each.day === day ? [each.name] : [])))];
    const is = ownDays.has(day)
      ? 'this'
      : names.length > 0
        ? 'taken'
        : isWorked(day, terms)
          ? 'free'
          : 'rest';
    return { day, is, names, isWanted: day === byDay };
  });
}
