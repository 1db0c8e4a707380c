import { describe, expect, test } from '@jest/globals';
import {
  checkRun,
  type ClassPlan,
  minutesOfClock,
  type PlanRow,
  planMoved,
  readClock,
  sessionStarts,
} from '../../src/run/index.ts';
import { classRun, sitting } from '../support/timed.ts';

describe('a time of day as people type it', () => {
  test.each([
    ['14:00', '14:00'], ['9:30', '09:30'], ['14', '14:00'], ['14.30', '14:30'], ['14h30', '14:30'], ['2 pm', '14:00'],
    ['2:30pm', '14:30'], ['12 am', '00:00'], ['12 pm', '12:00'], [' 8 ', '08:00'],
    ['24', null], ['13 pm', null], ['0 am', null], ['14:60', null], ['two', null], ['', null], ['14:3', null],
  ])('“%s” is %s', (text, clock) => {
    expect(readClock(text)).toBe(clock);
  }); // prettier-ignore
  test.each([['00:00', 0], ['14:05', 845], ['23:59', 1439], ['24:00', null], ['noon', null]])('%s is minute %s', (text, minute) => {
    expect(minutesOfClock(text)).toBe(minute);
  }); // prettier-ignore
});

const row = (more: Partial<PlanRow>): PlanRow => ({
  id: 'r1',
  kind: 'talk',
  name: 'Welcome',
  sessionId: 'one',
  atMinute: 0,
  minutes: 10,
  stepIds: [],
  groups: 1,
  ...more,
});
const pointersOf = (plan: Partial<ClassPlan>) =>
  checkRun(classRun({ plan: { ...classRun().plan, ...plan } })).map(
    ({ code, pointer }) => `${code} ${pointer}`,
  );

describe('a plan that cannot be', () => {
  test.each<[what: string, plan: Partial<ClassPlan>, problems: readonly string[]]>([
    ['nothing said', { sessions: [] }, []],
    ['as it should be', { rows: [row({})] }, []],
    ['no minutes', { sessions: [sitting({ minutes: 0 })] }, ['number_out_of_range /plan/sessions/0/minutes']],
    ['a day and a night', { sessions: [sitting({ minutes: 1440 })] }, ['number_out_of_range /plan/sessions/0/minutes']],
    ['ten thousand minutes', { sessions: [sitting({ minutes: 10_000 })] }, ['number_out_of_range /plan/sessions/0/minutes']],
    ['no time of day', { sessions: [sitting({ startsAt: '25:00' })] }, ['clock_not_read /plan/sessions/0/startsAt']],
    ['a day there is not', { sessions: [sitting({ date: '2026-02-30' })] }, ['date_not_read /plan/sessions/0/date']],
    ['one in the other', { sessions: [sitting(), sitting({ id: 'two', startsAt: '15:00' })] }, ['session_before_last /plan/sessions/1/date']],
    ['the second a day before', { sessions: [sitting(), sitting({ id: 'two', date: '2026-12-04' })] }, ['session_before_last /plan/sessions/1/date']],
    ['twice on a day', { sessions: [sitting({ startsAt: '10:00' }), sitting({ id: 'two', startsAt: '14:00' })] }, []],
    ['a talk after the end', { rows: [row({ atMinute: 115 })] }, ['number_out_of_range /plan/rows/0/atMinute']],
    ['a talk of nothing', { rows: [row({ minutes: 0 })] }, ['number_out_of_range /plan/rows/0/minutes']],
    ['a talk nowhere', { rows: [row({ sessionId: 'gone' })] }, ['row_without_session /plan/rows/0/sessionId']],
    ['none of what is shared', { shared: [{ key: 'gun', name: 'gun', count: 0, minutesAtIt: null, stepIds: null }] }, ['number_out_of_range /plan/shared/0/count']],
    ['surer than sure', { wantedChance: 1 }, ['number_out_of_range /plan/wantedChance']],
  ])('%s', (_what, plan, problems) => {
    expect(pointersOf(plan)).toEqual(problems);
  }); // prettier-ignore
  test('boxes have no day, and nobody asks', () => {
    const run = classRun({ kind: 'kits', plan: { ...classRun().plan, sessions: [sitting({ minutes: 0 })] } });
    expect(checkRun(run).some(({ pointer }) => pointer.startsWith('/plan'))).toBe(false);
  });
});

test('sittings on the clock, from the midnight of the first day, over the end of summer time too', () => {
  const sessions = [
    sitting(),
    sitting({ date: '2026-10-25' }),
    sitting({ date: '2026-10-26', startsAt: '9:15' }),
  ];
  expect(sessionStarts(sessions, '2026-10-24')).toEqual([840, 1440 + 840, 2 * 1440 + 555]);
  expect(sessionStarts([sitting({ startsAt: '?' })], '2026-10-24')).toEqual([null]);
});

test('with the class on another day its other sittings keep their distance', () => {
  const plan = { ...classRun().plan, sessions: [sitting(), sitting({ id: 'two', date: '2026-12-06' })] };
  const datesOf = (from: string, to: string) => planMoved(plan, from, to).sessions.map(({ date }) => date);
  expect(datesOf('2026-12-05', '2027-02-27')).toEqual([null, '2027-02-28']);
  expect(datesOf('2026-12-05', '2026-12-05')).toEqual([null, '2026-12-06']);
  expect(datesOf('2026-12-05', '')).toEqual([null, '2026-12-06']);
});
