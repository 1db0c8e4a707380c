import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { chainsOf, planForOne, type Task } from '../../src/timetable/index.ts';
import { type Said, tasksSaid } from '../support/timed.ts';

/** Glue sets for half an hour while something else is made. */
const GLUED: readonly Said[] = [
  { id: 'A', minutes: 10 },
  { id: 'B', minutes: 5, after: ['A'], waits: 30 },
  { id: 'C', minutes: 20 },
  { id: 'D', minutes: 10, after: ['B', 'C'] },
];

describe('the longest chain', () => {
  test('goes through what waits', () => {
    const chains = chainsOf(tasksSaid(GLUED));
    expect(chains).toMatchObject({ minutes: 55, chain: ['A', 'B', 'D'], waitsOnChain: 30, unknown: [] });
    expect(chains.tasks.map(({ stepId, earliest, slack }) => [stepId, earliest, slack])).toEqual([
      ['A', 0, 0],
      ['B', 10, 0],
      ['C', 0, 25],
      ['D', 45, 0],
    ]);
  });
  test('what dries after the last stroke dries on the way home', () => {
    expect(chainsOf(tasksSaid([{ id: 'A', minutes: 10, waits: 60 }])).minutes).toBe(10);
  });
  test('of nothing is nothing', () => {
    expect(chainsOf([])).toEqual({ minutes: 0, tasks: [], chain: [], waitsOnChain: 0, unknown: [] });
  });
  test('a step nobody has timed is named', () => {
    const [first] = tasksSaid([{ id: 'A', minutes: 1 }]);
    expect(chainsOf([{ ...(first as Task), minutes: null }]).unknown).toEqual(['A']);
  });
});

const plans: fc.Arbitrary<readonly Task[]> = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 1, max: 30 }),
      waits: fc.constantFrom(0, 0, 0, 10, 40),
      after: fc.array(fc.nat(6), { maxLength: 2 }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((all) =>
    tasksSaid(
      all.map(({ minutes, waits, after }, at) => ({
        id: `${at}`,
        minutes,
        waits,
        after: [...new Set(after.filter((each) => each < at))].map(String),
      })),
    ),
  );

/** Every order there is, one after another, each as soon as it may. */
function byBruteForce(tasks: readonly Task[]): number {
  let best = Number.POSITIVE_INFINITY;
  const go = (done: readonly { at: number; end: number }[], now: number): void => {
    if (done.length === tasks.length) best = Math.min(best, Math.max(0, ...done.map(({ end }) => end)));
    tasks.forEach((task, at) => {
      if (done.some((each) => each.at === at)) return;
      if (!task.before.every((each) => done.some((other) => other.at === each))) return;
      const ready = task.before.map(
        (each) => (done.find((other) => other.at === each)?.end ?? 0) + (tasks[each]?.waitMinutes ?? 0),
      );
      const end = Math.max(now, ...ready) + (task.minutes ?? 0);
      go([...done, { at, end }], end);
    });
  };
  go([], 0);
  return best;
}

/** The longest of all ways through, each walked by itself. */
function longestWay(tasks: readonly Task[]): number {
  const upTo = (at: number): number => {
    const task = tasks[at] as Task;
    const ways = task.before.map((each) => upTo(each) + (tasks[each]?.waitMinutes ?? 0));
    return Math.max(0, ...ways) + (task.minutes ?? 0);
  };
  return Math.max(...tasks.map((_, at) => upTo(at)));
}

describe('one pair of hands', () => {
  test('glues first, and makes the other while it sets', () => {
    const plan = planForOne(tasksSaid(GLUED));
    expect(plan).toMatchObject({ minutes: 55, idleMinutes: 10, isProven: true });
    expect(plan.turns.map(({ at }) => 'ABCD'[at])).toEqual(['A', 'B', 'C', 'D']);
  });
  test('keeps to what is written where nothing is won', () => {
    const all = ['A', 'B', 'C', 'D'].map((id) => ({ id, minutes: 5 }));
    expect(planForOne(tasksSaid(all)).turns.map(({ at }) => at)).toEqual([0, 1, 2, 3]);
  });
  test('of small plans no order is shorter: all of them tried', () => {
    fc.assert(
      fc.property(plans, (tasks) => {
        const plan = planForOne(tasks);
        expect(plan.minutes).toBeCloseTo(byBruteForce(tasks), 9);
        expect(plan.isProven).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
  test('nobody is quicker than the longest chain or than all the work', () => {
    fc.assert(
      fc.property(plans, (tasks) => {
        const chains = chainsOf(tasks);
        const work = tasks.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);
        expect(chains.minutes).toBeCloseTo(longestWay(tasks), 9);
        expect(planForOne(tasks).minutes).toBeGreaterThanOrEqual(Math.max(chains.minutes, work) - 1e-9);
        // Begun as late as it may, everything still ends in time, and something has no room to move.
        expect(chains.tasks.every(({ slack }) => slack >= 0)).toBe(true);
        expect(chains.tasks.some(({ slack }) => slack === 0)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});
