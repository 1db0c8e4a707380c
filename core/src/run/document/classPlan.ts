import { type Static, Type } from '@sinclair/typebox';
import {
  checkRange,
  checkWhole,
  daysAfter,
  daysBetween,
  Id,
  isCalendarDate,
  oneOf,
  orUnknown,
  strict,
} from '../../base/index.ts';
import type { RunProblem } from './problem.ts';

const Words = (maxLength: number) => Type.String({ maxLength });

/** One sitting of a class. */
export const ClassSession = Type.Object(
  {
    id: Id,
    /** Null: the day of the run. */
    date: orUnknown(Words(10)),
    /** HH:MM, on the clock of the room. */
    startsAt: Words(5),
    minutes: Type.Number({ description: 'from its beginning to when the room has to be left' }),
  },
  strict,
);
export type ClassSession = Static<typeof ClassSession>;

export const PLAN_ROW_KINDS = ['talk', 'demo', 'break'] as const;

/** Something that stops hands: a talk, a demonstration, a break. */
export const PlanRow = Type.Object(
  {
    id: Id,
    kind: oneOf(PLAN_ROW_KINDS),
    name: Words(80),
    sessionId: Id,
    /** From the beginning of its session. */
    atMinute: Type.Number(),
    minutes: Type.Number({ description: 'for each group' }),
    /** Of a demonstration: steps that nobody begins before they have seen it. */
    stepIds: Type.Array(Id, { maxItems: 40 }),
    /** Shown to one group after the other; 1: to the whole room. */
    groups: Type.Integer({ minimum: 1, maximum: 12 }),
  },
  strict,
);
export type PlanRow = Static<typeof PlanRow>;

/** Something several use and not all at once, otherwise than the steps tell. */
const SharedThing = Type.Object(
  {
    /** The need it stands for (`pliers`), `you` for the instructor’s hands, or an id of its own. */
    key: Words(60),
    name: Words(80),
    count: Type.Number(),
    /** At the author’s pace, of each step that takes it; null: all of the step. */
    minutesAtIt: orUnknown(Type.Number()),
    /** Null: the steps that call for it. */
    stepIds: orUnknown(Type.Array(Id, { maxItems: 200 })),
  },
  strict,
);
type SharedThing = Static<typeof SharedThing>;

export const ELSEWHERE = ['before', 'home'] as const;

/** A step that is not done in the class: the maker does it beforehand, or it is taken home. */
export const StepElsewhere = Type.Object(
  { revisionId: Type.String({ minLength: 1, maxLength: 40 }), stepId: Id, where: oneOf(ELSEWHERE) },
  strict,
);
export type StepElsewhere = Static<typeof StepElsewhere>;

/** When a class is, and how its time is used. */
export const ClassPlan = Type.Object(
  {
    /** In their order; empty: nobody has said yet. */
    sessions: Type.Array(ClassSession, { maxItems: 10 }),
    /** Until the last has come and sits. */
    lateMinutes: Type.Number(),
    /** Kept at the end of every session. */
    clearUpMinutes: Type.Number(),
    rows: Type.Array(PlanRow, { maxItems: 60 }),
    shared: Type.Array(SharedThing, { maxItems: 24 }),
    elsewhere: Type.Array(StepElsewhere, { maxItems: 400 }),
    /** That everybody finishes. */
    wantedChance: Type.Number(),
    /** Everybody sits at home: nothing is shared, and what they need is posted. */
    isRemote: Type.Boolean(),
    /** Of a remote class: days a parcel takes. */
    postDays: Type.Number(),
  },
  strict,
);
export type ClassPlan = Static<typeof ClassPlan>;

const FINISH_CHANCE = 0.95;

export const BLANK_PLAN: ClassPlan = {
  sessions: [],
  lateMinutes: 5,
  clearUpMinutes: 10,
  rows: [],
  shared: [],
  elsewhere: [],
  wantedChance: FINISH_CHANCE,
  isRemote: false,
  postDays: 4,
};

export const PLAN_BOUNDS = {
  /** Longer than a day’s work is two sittings. */
  sessionMinutes: { min: 15, max: 720 },
  rowMinutes: { min: 1, max: 240 },
  lateMinutes: { min: 0, max: 60 },
  clearUpMinutes: { min: 0, max: 120 },
  sharedCount: { min: 1, max: 200 },
  minutesAtIt: { min: 0.1, max: 600 },
  finishChance: { min: 0.5, max: 0.99 },
  postDays: { min: 0, max: 60 },
} as const;

/** Minutes since midnight; null: no time of day. */
export function minutesOfClock(text: string): number | null {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(text.trim());
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}

/** A time of day as people type it, HH:MM: `14`, `14.30`, `2 pm`, `2:30pm`. Null: none. */
export function readClock(text: string): string | null {
  const match = /^(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm)?$/i.exec(text.trim());
  if (!match) return null;
  const half = match[3]?.toLowerCase();
  const typed = Number(match[1]);
  if (half && (typed < 1 || typed > 12)) return null;
  const hours = half ? (typed % 12) + (half === 'pm' ? 12 : 0) : typed;
  const clock = `${String(hours).padStart(2, '0')}:${match[2] ?? '00'}`;
  return minutesOfClock(clock) === null ? null : clock;
}

/** Why a plan may not be stored as it is. @param date the day of the run */
export function checkPlan(plan: ClassPlan, date: string): RunProblem[] {
  const at = (path: string) => `/plan/${path}`;
  const { sessions, rows, shared } = plan;
  return [
    ...sessions.flatMap((session, index): RunProblem[] => [
      ...(minutesOfClock(session.startsAt) === null
        ? [
            {
              code: 'clock_not_read',
              pointer: at(`sessions/${index}/startsAt`),
              text: session.startsAt,
            } as const,
          ]
        : []),
      ...(session.date !== null && !isCalendarDate(session.date)
        ? [{ code: 'date_not_read', pointer: at(`sessions/${index}/date`), text: session.date } as const]
        : []),
      ...checkRange(session.minutes, PLAN_BOUNDS.sessionMinutes, at(`sessions/${index}/minutes`)),
    ]),
    ...sessionsOutOfOrder(sessions, date).map((index): RunProblem => ({
      code: 'session_before_last',
      pointer: at(`sessions/${index}/date`),
    })),
    ...rows.flatMap((row, index): RunProblem[] => [
      ...checkRange(row.minutes, PLAN_BOUNDS.rowMinutes, at(`rows/${index}/minutes`)),
      ...checkRow(row, sessions, at(`rows/${index}`)),
    ]),
    ...shared.flatMap(({ count, minutesAtIt }, index) => [
      ...checkWhole(count, PLAN_BOUNDS.sharedCount, at(`shared/${index}/count`)),
      ...(minutesAtIt === null
        ? []
        : checkRange(minutesAtIt, PLAN_BOUNDS.minutesAtIt, at(`shared/${index}/minutesAtIt`))),
    ]),
    ...checkRange(plan.lateMinutes, PLAN_BOUNDS.lateMinutes, at('lateMinutes')),
    ...checkRange(plan.clearUpMinutes, PLAN_BOUNDS.clearUpMinutes, at('clearUpMinutes')),
    ...checkRange(plan.wantedChance, PLAN_BOUNDS.finishChance, at('wantedChance')),
    ...checkWhole(plan.postDays, PLAN_BOUNDS.postDays, at('postDays')),
  ];
}

/** A row lies within a session there is. */
function checkRow(row: PlanRow, sessions: readonly ClassSession[], pointer: string): RunProblem[] {
  const session = sessions.find(({ id }) => id === row.sessionId);
  if (!session) return [{ code: 'row_without_session', pointer: `${pointer}/sessionId` }];
  const max = Math.max(0, session.minutes - row.minutes);
  return checkRange(row.atMinute, { min: 0, max }, `${pointer}/atMinute`);
}

/** Minutes from the midnight of the run’s day to the beginning of each session; null: a day or a time is not read. */
export const sessionStarts = (sessions: readonly ClassSession[], date: string): (number | null)[] =>
  sessions.map((session) => {
    const clock = minutesOfClock(session.startsAt);
    const day = session.date ?? date;
    if (clock === null || !isCalendarDate(day) || !isCalendarDate(date)) return null;
    return daysBetween(date, day) * MINUTES_A_DAY + clock;
  });

/** With the class on another day its other sittings are as many days after it as they were. */
export function planMoved(plan: ClassPlan, from: string, to: string): ClassPlan {
  if (!isCalendarDate(from) || !isCalendarDate(to)) return plan;
  const days = daysBetween(from, to);
  const moved = (date: string | null) => (date === null ? null : daysAfter(date, days));
  return { ...plan, sessions: plan.sessions.map((session) => ({ ...session, date: moved(session.date) })) };
}

export const MINUTES_A_DAY = 1440;

/** Places of sessions that begin before the one ahead of them is over. */
function sessionsOutOfOrder(sessions: readonly ClassSession[], date: string): number[] {
  const starts = sessionStarts(sessions, date);
  return sessions.flatMap((_session, index) => {
    const [start, before] = [starts[index], starts[index - 1]];
    const isKnown = start !== null && start !== undefined && before !== null && before !== undefined;
    return index > 0 && isKnown && start < before + (sessions[index - 1]?.minutes ?? 0) ? [index] : [];
  });
}
