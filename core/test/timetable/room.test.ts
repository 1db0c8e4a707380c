import { describe, expect, test } from '@jest/globals';
import { blankSeat, type PlanRow, type RunInput } from '../../src/run/index.ts';
import { chainsOf, roomOf, tasksOf, trialOf } from '../../src/timetable/index.ts';
import { closedFor } from '../../src/timetable/room.ts';
import { readyRoom } from '../../src/timetable/readyRoom.ts';
import { goThrough } from '../../src/timetable/simulate.ts';
import { handOverBy } from '../../src/timetable/outcome.ts';
import { sharedUses } from '../../src/timetable/sharedThings.ts';
import { part, pattern, shapes } from '../support/make.ts';
import { classRun, sitting } from '../support/timed.ts';
import { step } from '../support/writing.ts';

const NO_NEEDLE = { needle: { by: 'none' as const } };

/** A body, two leaves that can be made at any time, glue that sets half an hour, and both set on. */
const plant = pattern(
  [part('body', shapes.ball(50)), part('leaf', shapes.flat(40, 20, 3), { count: 2 })],
  {
    title: 'Plant',
    steps: [
      step('roll', 'make', ['body'], { minutes: 10 }),
      step('glue', 'glue', ['body'], { minutes: 5, waiting: 30, ...NO_NEEDLE }),
      step('leaf', 'make', ['leaf'], { minutes: 10, repeat: { times: null, notes: [] }, areMinutesEach: true }),
      step('on', 'join', ['leaf', 'body'], { minutes: 10, stage: 'join' }),
    ],
  },
); // prettier-ignore
const designs = new Map([['r', plant]]);
const roomFor = (more: Partial<RunInput> = {}) => {
  const room = roomOf(designs, classRun({ seats: 4, ...more }));
  if (typeof room === 'string') throw new Error(room);
  return room;
};
const withPlan = (more: Partial<RunInput['plan']>) => ({ plan: { ...classRun().plan, ...more } });
const row = (more: Partial<PlanRow>): PlanRow => ({
  id: 'show',
  kind: 'demo',
  name: 'Show',
  sessionId: 'one',
  atMinute: 20,
  minutes: 5,
  stepIds: [],
  groups: 1,
  ...more,
});

describe('what has to be done, from what is written', () => {
  const { tasks, dropped } = tasksOf(plant);
  test('minutes are of every repeat, waits hold what is done to the same part', () => {
    expect(
      tasks.map(({ stepId, minutes, waitMinutes, before }) => [stepId, minutes, waitMinutes, before]),
    ).toEqual([
      ['roll', 10, 0, []],
      ['glue', 5, 30, [0]],
      ['leaf', 20, 0, []],
      ['on', 10, 0, [0, 1, 2]],
    ]);
    expect(dropped).toEqual([]);
    expect(chainsOf(tasks)).toMatchObject({ minutes: 55, chain: ['roll', 'glue', 'on'] });
  });
  test('a step that names no part comes after what is written before it, and before what is next', () => {
    const talked = {
      ...plant,
      steps: plant.steps.toSpliced(2, 0, step('look', 'check', [], { minutes: 1 })),
    };
    expect(tasksOf(talked).tasks.map(({ before }) => before)).toEqual([[], [0], [1], [2], [0, 1, 2, 3]]);
  });
  test('a link against the order, or to a step that is gone, is dropped and told', () => {
    const link = (id: string, beforeId: string, afterId: string) => ({ id, beforeId, afterId, strength: 'must' as const, reason: '' }); // prettier-ignore
    const odd = {
      ...plant,
      links: [link('a', 'on', 'leaf'), link('b', 'nowhere', 'on'), link('c', 'roll', 'leaf')],
    };
    expect(tasksOf(odd).dropped).toEqual([
      { beforeId: 'on', afterId: 'leaf', why: 'against-order' },
      { beforeId: 'nowhere', afterId: 'on', why: 'missing' },
    ]);
    expect(tasksOf(odd).tasks[2]?.before).toEqual([0]);
  });
  test('who glues makes the leaves while it sets', () => {
    const { graphs } = roomFor();
    expect(graphs[0]?.order.map((at) => graphs[0]?.tasks[at]?.stepId)).toEqual([
      'roll',
      'glue',
      'leaf',
      'on',
    ]);
  });
});

describe('the room of a class', () => {
  test('seats that make alike share a graph, whatever their colour; skill is each one’s', () => {
    const room = roomFor({ skill: 'some', roster: [{ ...blankSeat(2), skill: 'first-timer' }] });
    expect(room.graphs).toHaveLength(1);
    expect(room.people.map(({ pace }) => pace)).toEqual([1.6, 2.2, 1.6, 1.6]);
  });
  test('what is prepared beforehand is not done in the class, and what came after it need not wait', () => {
    const elsewhere = ['roll', 'glue'].map((stepId) => ({
      revisionId: 'r',
      stepId,
      where: 'before' as const,
    }));
    const { graphs } = roomFor(withPlan({ elsewhere }));
    expect(graphs[0]?.tasks.map(({ stepId, before }) => [stepId, before])).toEqual([
      ['leaf', []],
      ['on', [0]],
    ]);
  });
  test.each([
    ['no sitting', withPlan({ sessions: [] }), 'no-sessions'],
    ['a time that is none', withPlan({ sessions: [sitting({ startsAt: 'noon' })] }), 'no-sessions'],
    ['nobody', { seats: 0 }, 'no-people'],
    ['no step that is timed', {}, 'no-minutes'],
    ['all of it at home', withPlan({ elsewhere: plant.steps.map(({ id }) => ({ revisionId: 'r', stepId: id, where: 'home' as const })) }), 'no-steps'],
  ])('with %s there is no time to tell', (_what, more, why) => {
    const untimed = { ...plant, steps: plant.steps.map((each) => ({ ...each, minutes: null })) };
    const made = why === 'no-minutes' ? new Map([['r', untimed]]) : designs;
    expect(roomOf(made, classRun({ seats: 2, ...more }))).toBe(why);
  }); // prettier-ignore
  test('a demonstration by groups stops one group after the other, a talk all of them', () => {
    const room = roomFor(
      withPlan({ rows: [row({ groups: 2 }), row({ id: 'talk', kind: 'talk', atMinute: 60 })] }),
    );
    const start = 14 * 60;
    const closed = room.people.map((person) => closedFor(room, person, 0).map(({ from, to }) => [from - start, to - start]).slice(1)); // prettier-ignore
    expect(closed).toEqual([
      [[20, 25], [60, 65]],
      [[20, 25], [60, 65]],
      [[25, 30], [60, 65]],
      [[25, 30], [60, 65]],
    ]); // prettier-ignore
  });
  test('nobody begins a step before they have been shown it', () => {
    const room = roomFor(withPlan({ rows: [row({ atMinute: 40, stepIds: ['roll'], groups: 2 })] }));
    const trial = trialOf(room, 0, 1);
    trial.more(20);
    const roll = trial.outcome().steps[0]?.[0];
    expect(roll?.start.tenth).toBeGreaterThanOrEqual(14 * 60 + 45);
    expect(roll?.start.nineTenths).toBeLessThanOrEqual(14 * 60 + 50 + 60);
  });
  test('a second day begins where the first was left; glue sets over night', () => {
    const sessions = [sitting({ minutes: 60 }), sitting({ id: 'two', date: '2026-12-06', minutes: 300 })];
    const room = roomFor({ ...withPlan({ sessions }), skill: 'first-timer' });
    const trial = trialOf(room, 0, 1);
    trial.more(200);
    const { steps, all, bySitting } = trial.outcome();
    const on = steps[0]?.[3];
    expect(on?.start.half).toBeGreaterThanOrEqual(1440 + 14 * 60);
    // Nobody begins anything between the two, nor is done with it then.
    for (let classAt = 0; classAt < 50; classAt++) {
      const { starts, ends } = goThrough(readyRoom(room, 0), { seed: 1, classAt });
      for (const time of [...starts, ...ends].flatMap((each) => [...each])) {
        expect(time <= 15 * 60 || time >= 1440 + 14 * 60).toBe(true);
      }
    }
    expect(all).toBe(1);
    expect(bySitting).toHaveLength(2);
  });
  test('at home nothing is shared', () => {
    const cutting = { ...plant, steps: [...plant.steps, step('trim', 'cut', ['leaf'], { minutes: 2 })] };
    expect(sharedUses(cutting, { shared: [] }).things.map(({ key }) => key)).toContain('scissors');
    const run = classRun({ seats: 2, ...withPlan({ isRemote: true }) });
    const room = roomOf(new Map([['r', cutting]]), run);
    expect(typeof room === 'string' ? room : room.shared).toEqual([]);
  });
  test('what the plan says of a shared thing goes before what the steps tell', () => {
    const cutting = { ...plant, steps: [...plant.steps, step('trim', 'cut', ['leaf'], { minutes: 2 })] };
    const shared = [
      { key: 'scissors', name: '', count: 5, minutesAtIt: 2, stepIds: null },
      { key: 'you', name: '', count: 1, minutesAtIt: 3, stepIds: ['roll'] },
    ];
    const uses = sharedUses(cutting, { shared });
    expect(uses.things.find(({ key }) => key === 'scissors')).toMatchObject({ count: 5, isPerTable: false });
    expect(uses.ofStep('trim')).toContainEqual({ key: 'scissors', minutes: 2 });
    expect(uses.ofStep('roll')).toEqual([{ key: 'you', minutes: 3 }]);
    expect(uses.things.find(({ key }) => key === 'you')?.isInstructor).toBe(true);
  });
});

describe('who is likely late', () => {
  test.each<[name: string, starts: number[], isLate: boolean[], by: number | null]>([
    ['nobody', [1, 2, 3], [false, false, false], null],
    ['everybody', [1, 2, 3], [true, true, true], null],
    ['those that begin after the second', [1, 2, 3, 4], [false, false, true, true], 2],
    ['mostly those', [1, 2, 3, 4, 5, 6], [false, true, false, true, true, true], 3],
    ['when they begin tells nothing', [1, 1, 1, 1], [true, false, true, false], null],
  ])('%s', (_name, starts, isLate, by) => {
    expect(handOverBy(starts, isLate)).toBe(by);
  });
});
