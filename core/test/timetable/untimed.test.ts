import { describe, expect, test } from '@jest/globals';
import { minutesElsewhere } from '../../src/run/index.ts';
import { roomOf, tablesOf, untimedSteps } from '../../src/timetable/index.ts';
import { timeOfSteps } from '../../src/words/index.ts';
import { part, pattern, shapes } from '../support/make.ts';
import { classRun } from '../support/timed.ts';
import { step } from '../support/writing.ts';

const NO_NEEDLE = { needle: { by: 'none' as const } };

const hedgehog = (options: Parameters<typeof pattern>[1] = {}) =>
  pattern([part('body', shapes.ball(50)), part('nose', shapes.ball(8))], {
    title: 'Hedgehog',
    steps: [
      step('body', 'make', ['body'], { minutes: 20 }),
      step('nose', 'make', ['nose'], { minutes: null }),
      step('dry', 'wait', ['body'], { minutes: 1, waiting: null, ...NO_NEEDLE }),
      step('on', 'join', ['nose', 'body'], { minutes: 5, stage: 'join' }),
    ],
    ...options,
  });

const roomFor = (design = hedgehog(), more: Parameters<typeof classRun>[0] = {}) => {
  const room = roomOf(new Map([['r', design]]), classRun({ seats: 5, ...more }));
  if (typeof room === 'string') throw new Error(room);
  return room;
};

describe('what nobody has timed', () => {
  test('is a step without minutes, and a wait nobody knows the length of', () => {
    expect(untimedSteps(roomFor())).toBe(2);
  });
  test('is counted once, however many seats make it', () => {
    expect(untimedSteps(roomFor(hedgehog(), { seats: 12 }))).toBe(2);
  });
  test('is counted once, however many builds have it', () => {
    const room = roomFor();
    expect(untimedSteps({ graphs: [...room.graphs, ...room.graphs] })).toBe(2);
  });
});

describe('what is done elsewhere', () => {
  const elsewhere = (['body', 'nose'] as const).map((stepId) => ({
    revisionId: 'r',
    stepId,
    where: 'before' as const,
  }));
  const make = { revisionId: 'r', build: hedgehog() };
  test.each([
    ['of what is timed the minutes, of the rest how many', elsewhere, 'before', [2, 20, 1]],
    ['of one that nobody timed no minutes, and it is said', elsewhere.slice(1), 'before', [1, 0, 1]],
    ['of none nothing', elsewhere, 'home', [0, 0, 0]],
    [
      'of another design nothing',
      elsewhere.map((each) => ({ ...each, revisionId: 'other' })),
      'before',
      [0, 0, 0],
    ],
  ] as const)('%s', (_name, given, where, wanted) => {
    const { steps, minutes, untimed } = minutesElsewhere(make, given, where);
    expect([steps, minutes, untimed]).toEqual(wanted);
  });
});

test.each([
  [1, 4, 1],
  [5, 4, 2],
  [8, 4, 2],
] as const)('%d seats at %d a table sit at %d', (seats, seatsPerTable, tables) => {
  expect(tablesOf(roomFor(hedgehog(), { seats, seatsPerTable }))).toBe(tables);
});

test.each([
  [{ steps: 2, minutes: 25, untimed: 0 }, '25 min'],
  [{ steps: 3, minutes: 25, untimed: 1 }, 'at least 25 min, with 1 step untimed'],
  [{ steps: 2, minutes: 0, untimed: 2 }, '2 steps, untimed'],
] as const)('%j in words: %s', (time, wanted) => expect(timeOfSteps(time)).toBe(wanted));
