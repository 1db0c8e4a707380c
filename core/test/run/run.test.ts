import { describe, expect, test } from '@jest/globals';
import { isCalendarDate } from '../../src/base/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  checkRun,
  inDrawingOrder,
  planGroups,
  planInOrder,
  promisedBefore,
  RUN_DEFAULTS,
  type RunInput,
  shortOverall,
  usualBags,
} from '../../src/run/index.ts';
import fc from 'fast-check';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';

const run: RunInput = { ...RUN_DEFAULTS, name: 'Saturday', date: '2026-12-05', revisionId: 'r' };

describe('what may not be planned', () => {
  test.each([
    ['no name', { name: ' ' }, '/name'],
    ['no day', { date: '' }, '/date'],
    ['a day there is not', { date: '2026-02-30' }, '/date'],
    ['no seats', { seats: 0 }, '/seats'],
    ['too many seats', { seats: 201 }, '/seats'],
    ['half a seat', { seats: 1.5 }, '/seats'],
    ['spare packs under nought', { sparePacks: -1 }, '/sparePacks'],
    ['a scale that reads nothing', { scaleStepG: 0 }, '/scaleStepG'],
    ['a share lost in weighing over a fifth', { weighingLossFraction: 0.3 }, '/weighingLossFraction'],
    ['a day to choose by that is after the class', { chooseBy: '2026-12-06' }, '/chooseBy'],
    ['a day to choose by that is none', { chooseBy: '2026-13-01' }, '/chooseBy'],
    ['kits without a box', { kind: 'kits' as const }, '/recipes'],
    ['more than twice the wool', { extraFraction: 1.2 }, '/extraFraction'],
  ])('%s', (_name, change, pointer) => {
    expect(checkRun({ ...run, ...change }).map((problem) => problem.pointer)).toEqual([pointer]);
  });
  test('a plain class is fine', () => {
    expect(checkRun(run)).toEqual([]);
  });
});

test.each([
  ['2026-12-05', true],
  ['2028-02-29', true],
  ['2026-02-29', false],
  ['5.12.2026', false],
  ['2026-13-01', false],
])('%s is a day: %s', (text, expected) => {
  expect(isCalendarDate(text)).toBe(expected);
});

describe('what runs before a run take', () => {
  const takes = (id: string, date: string, massG: number) => ({
    id,
    date,
    withdrawals: new Map([['wool', massG]]),
  });
  const runs = [
    takes('late', '2026-12-20', 7),
    takes('first', '2026-12-05', 1),
    takes('same', '2026-12-05', 2),
    takes('been', '2026-11-01', 99),
  ];
  test.each([
    ['the first of its day takes first', 'first', 0],
    ['made later the same day waits for it', 'same', 1],
    ['the last waits for all that are ahead, not for what has been', 'late', 3],
    ['one that has been waits for nobody', 'been', 0],
    ['one nobody knows waits for nobody', 'none', 0],
  ])('%s', (_name, id, expected) => {
    expect(promisedBefore(id, runs, '2026-11-24').get('wool') ?? 0).toBe(expected);
  });
  test('drawing order is by day and keeps the order of making within one', () => {
    expect(inDrawingOrder(runs).map(({ id }) => id)).toEqual(['been', 'first', 'same', 'late']);
  });
});

describe('runs planned one after another', () => {
  const estimate = estimatePattern(pattern([part('p', shapes.ball(60))]), shelf(fibre('core')));
  const days = fc.array(
    fc.record({ day: fc.integer({ min: 10, max: 28 }), seats: fc.integer({ min: 1, max: 20 }) }),
    {
      minLength: 1,
      maxLength: 8,
    },
  );
  test('each finds what a fresh look at the runs before it says is promised, and the shortages add up', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 2000 }), (rows, onHandG) => {
        const runs = rows.map(({ day, seats }, i) => ({
          ...run,
          id: String(i),
          date: `2026-12-${day}`,
          seats,
        }));
        const planOf = (runInput: RunInput, promisedG: number) =>
          planGroups(
            [{ key: 'usual', packs: runInput.seats + runInput.sparePacks, uses: usualBags(estimate) }],
            runInput,
            () => ({
              onHandG,
              promisedG,
            }),
          );
        const drawn = planInOrder(runs, (eachRun, promised) => planOf(eachRun, promised.get('core') ?? 0));
        const withWithdrawals = runs.map((planned) => ({
          ...planned,
          withdrawals: new Map([['core', planOf(planned, 0).classG]]),
        }));
        for (const { run: eachRun, plan } of drawn) {
          const promised = promisedBefore(eachRun.id, withWithdrawals, '2026-12-01').get('core') ?? 0;
          expect(plan.fibres[0]?.stock.promisedG).toBeCloseTo(promised, 6);
        }
        const needed = withWithdrawals.reduce(
          (sum, { withdrawals }) => sum + (withdrawals.get('core') ?? 0),
          0,
        );
        expect(shortOverall(drawn).get('core') ?? 0).toBeCloseTo(Math.max(0, needed - onHandG), 6);
      }),
    );
  });
});
