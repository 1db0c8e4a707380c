import { strict } from '../base/index.ts';
import { Type, type Static } from '@sinclair/typebox';
import { checkRange, daysAfter, isCalendarDate, type At, type BaseProblem } from '../base/index.ts';

const Day = Type.String({ minLength: 10, maxLength: 10, description: 'calendar date, YYYY-MM-DD' });

/** When the maker works, and how long what she makes is on its way. Ours until she says otherwise. */
export const BuyingTerms = Type.Object(
  {
    hoursADay: Type.Number({ description: 'at the table, weighing, cutting and packing' }),
    restDays: Type.Array(Type.Integer({ minimum: 0, maximum: 6 }), {
      maxItems: 6,
      description: 'days of the week without work, 0 is Sunday',
    }),
    holidays: Type.Array(Type.Object({ from: Day, to: Day, name: Type.String({ maxLength: 60 }) }, strict), {
      maxItems: 200,
      description: 'first and last day',
    }),
    postDays: Type.Number({ description: 'kits are on their way so many days before the day of their run' }),
    marginDays: Type.Number({ description: 'goods are wanted so many days before they are needed' }),
  },
  strict,
);
export type BuyingTerms = Static<typeof BuyingTerms>;

export const BUYING_TERMS: BuyingTerms = {
  hoursADay: 3,
  restDays: [0],
  holidays: [],
  postDays: 4,
  marginDays: 1,
};

export const BUYING_BOUNDS = {
  hoursADay: { min: 0.25, max: 16 },
  postDays: { min: 0, max: 60 },
  marginDays: { min: 0, max: 60 },
} as const;

export type BuyingProblem =
  | BaseProblem
  | (At & ({ readonly code: 'day_not_read'; readonly text: string } | { readonly code: 'days_reversed' }));

export function checkBuyingTerms(terms: BuyingTerms): BuyingProblem[] {
  return [
    ...checkRange(terms.hoursADay, BUYING_BOUNDS.hoursADay, '/hoursADay'),
    ...checkRange(terms.postDays, BUYING_BOUNDS.postDays, '/postDays'),
    ...checkRange(terms.marginDays, BUYING_BOUNDS.marginDays, '/marginDays'),
    ...terms.holidays.flatMap(({ from, to }, at): BuyingProblem[] => [
      ...unread(from, `/holidays/${at}/from`),
      ...unread(to, `/holidays/${at}/to`),
      ...(to < from ? [{ code: 'days_reversed', pointer: `/holidays/${at}/to` } as const] : []),
    ]),
  ];
}

const unread = (text: string, pointer: string): BuyingProblem[] =>
  isCalendarDate(text) ? [] : [{ code: 'day_not_read', pointer, text }];

/** Whether somebody is at the table on that day. */
export const isWorked = (day: string, { restDays, holidays }: BuyingTerms): boolean =>
  !restDays.includes(new Date(`${day}T00:00:00Z`).getUTCDay()) &&
  !holidays.some(({ from, to }) => from <= day && day <= to);

interface RunDay {
  readonly date: string;
  readonly isPosted: boolean;
}

/** Further back nobody plans; where every day is a holiday the search ends. */
const MOST_DAYS_BACK = 3 * 366;

/** The day of the run, or on which it goes to the post. */
const leavesOn = (run: RunDay, terms: BuyingTerms): string =>
  daysAfter(run.date, run.isPosted ? -terms.postDays : 0);

/** The days at the table before a run that its work takes, the last first. */
export function workDaysBefore(run: RunDay, workMinutes: number, terms: BuyingTerms): string[] {
  const wanted = Math.ceil(workMinutes / 60 / terms.hoursADay - 1e-9);
  const days: string[] = [];
  let day = leavesOn(run, terms);
  for (let back = 0; days.length < wanted && back < MOST_DAYS_BACK; back++) {
    day = daysAfter(day, -1);
    if (isWorked(day, terms)) days.push(day);
  }
  return days;
}

/**
 * The day on which the work for a run begins, so that it is done before the run’s day, or before it is posted: what is bought has
 * to be there then, less the margin, on a day when somebody is there.
 */
export function prepareBy(run: RunDay, workMinutes: number, terms: BuyingTerms): string {
  const first = workDaysBefore(run, workMinutes, terms).at(-1) ?? leavesOn(run, terms);
  let day = daysAfter(first, -terms.marginDays);
  // Nobody takes a parcel in on a day of rest.
  for (let back = 0; !isWorked(day, terms) && back < MOST_DAYS_BACK; back++) day = daysAfter(day, -1);
  return day;
}

/** The last day on which it may be ordered and still be there; null: nobody has said how long it takes. */
export const orderBy = (by: string, leadDays: number | null): string | null =>
  leadDays === null ? null : daysAfter(by, -Math.ceil(leadDays));
