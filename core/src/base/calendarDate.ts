/** A day that exists: 30 February does not. */
export function isCalendarDate(text: string): boolean {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (!match) return false;
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}

const DAY_MS = 86_400_000;
const midnight = (day: string): number => Date.parse(`${day}T00:00:00Z`);

/** So many days later, or before, YYYY-MM-DD. What is no day stays as it is typed. */
export const daysAfter = (day: string, days: number): string =>
  isCalendarDate(day) ? new Date(midnight(day) + days * DAY_MS).toISOString().slice(0, 10) : day;

/** Whole days from one day to another, both days that exist; negative: the other is before it. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((midnight(to) - midnight(from)) / DAY_MS);
