import { BLANK_PLAN, type ClassPlan, type PlanRow } from '@lanakit/core/run';

const row = (kind: PlanRow['kind'], name: string, sessionId: string, atMinute: number, minutes: number, more: Partial<PlanRow> = {}): PlanRow => ({
  id: `${sessionId}-${atMinute}`,
  kind,
  name,
  sessionId,
  atMinute,
  minutes,
  stepIds: [],
  groups: 1,
  ...more,
}); // prettier-ignore

/** Two and a half hours of which nothing more is said. */
export const AFTERNOON_PLAN: ClassPlan = {
  ...BLANK_PLAN,
  sessions: [{ id: 'afternoon', date: null, startsAt: '13:30', minutes: 150 }],
};

/** Two hours on a Saturday, as it was always taught: it does not fit those who have never held a needle. */
export const SATURDAY_PLAN: ClassPlan = {
  ...BLANK_PLAN,
  sessions: [{ id: 'saturday', date: null, startsAt: '14:00', minutes: 120 }],
  rows: [
    row('talk', 'Welcome, needles, fingers', 'saturday', 0, 8),
    row('demo', 'Rolling tight', 'saturday', 8, 4, { stepIds: ['roll'] }),
    row('demo', 'The coat', 'saturday', 60, 4, { stepIds: ['coat'], groups: 2 }),
    row('demo', 'Leaves', 'saturday', 85, 4, { stepIds: ['leaves'] }),
  ],
};

/** A Saturday and a Sunday, each from ten to four with a long pause. */
export const weekendPlan = (sunday: string): ClassPlan => ({
  ...BLANK_PLAN,
  clearUpMinutes: 15,
  sessions: [
    { id: 'first', date: null, startsAt: '10:00', minutes: 360 },
    { id: 'second', date: sunday, startsAt: '10:00', minutes: 360 },
  ],
  rows: [
    row('talk', 'Welcome, needles, fingers', 'first', 0, 15),
    row('demo', 'Rolling the body', 'first', 15, 5, { stepIds: ['body-roll'] }),
    row('break', 'Lunch', 'first', 150, 45),
    row('demo', 'Laying the coat', 'first', 240, 6, { groups: 2 }),
    row('talk', 'Where we are', 'second', 0, 5),
    row('demo', 'Bending wire', 'second', 5, 8, { stepIds: ['wire'] }),
    row('break', 'Lunch', 'second', 150, 45),
  ],
});
