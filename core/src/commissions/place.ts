import { daysAfter } from '../base/index.ts';
import { type BuyingTerms, isWorked } from '../buying/index.ts';

/** A day of the calendar that something else takes. */
export interface TakenDay {
  readonly day: string;
  /** What takes it. */
  readonly name: string;
  /** The class or commission it is of. */
  readonly ofId: string;
  /** A class, weighing and packing for a run, or another commission. */
  readonly of: 'class' | 'packing' | 'commission';
}

export interface WorkPlace {
  /** Days at the table it takes. */
  readonly workDays: number;
  /** The last day to begin on, so that it is done the day before it is wanted; null: it is wanted whenever it is done. */
  readonly beginBy: string | null;
  /** Begun today, it is done on this day. */
  readonly doneIfBegunToday: string;
  /** The days it takes from the day it begins on; none: it has no place yet. */
  readonly days: readonly string[];
  /** It is done too late from there: the day it is done. */
  readonly lateOn: string | null;
  /** Even begun today it would be too late. */
  readonly isTooLate: boolean;
}

/** Further nobody plans; where every day is taken the search ends. */
const MOST_DAYS = 3 * 366;

/** Whole days at the table for so many minutes: at least one. */
export const workDaysOf = (minutes: number, { hoursADay }: Pick<BuyingTerms, 'hoursADay'>): number =>
  Math.max(1, Math.ceil(minutes / 60 / hoursADay - 1e-9));

/**
 * A place in the calendar: days somebody works on and nothing else takes.
 * @param minutes of hands at work; the high end, so that it is done eight or nine times in ten
 */
export function placeOf(
  { byDay, beginsOn }: { readonly byDay: string | null; readonly beginsOn: string | null },
  minutes: number,
  taken: readonly TakenDay[],
  today: string,
  terms: BuyingTerms,
): WorkPlace {
  const busy = new Set(taken.map(({ day }) => day));
  const isFree = (day: string) => isWorked(day, terms) && !busy.has(day);
  const workDays = workDaysOf(minutes, terms);
  const forward = (from: string): string[] => freeDays(from, 1, workDays, isFree);
  const days = beginsOn === null ? [] : forward(beginsOn);
  const [backwards, fromToday] = [
    byDay === null ? null : freeDays(daysAfter(byDay, -1), -1, workDays, isFree),
    forward(today),
  ];
  const beginBy = backwards?.at(-1) ?? null;
  const doneOn = days.at(-1) ?? null;
  return {
    workDays,
    beginBy,
    doneIfBegunToday: fromToday.at(-1) ?? today,
    days,
    lateOn: byDay !== null && doneOn !== null && doneOn >= byDay ? doneOn : null,
    isTooLate: beginBy !== null && beginBy < today,
  };
}

/** So many free days from there, the nearest first. */
function freeDays(from: string, step: 1 | -1, wanted: number, isFree: (day: string) => boolean): string[] {
  const days: string[] = [];
  for (let at = 0; days.length < wanted && at < MOST_DAYS; at++) {
    const day = daysAfter(from, step * at);
    if (isFree(day)) days.push(day);
  }
  return days;
}
