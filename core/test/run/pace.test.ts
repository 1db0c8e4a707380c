import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  deedsOf,
  minutesOfDeed,
  paceOf,
  RECKONED_PACE,
  type RunStanding,
  type TimedTick,
  timeOfDeeds,
} from '../../src/run/index.ts';

const START = Date.parse('2026-11-20T18:00:00Z');
const tickAt = (minute: number, more: Partial<TimedTick> = {}): TimedTick => ({
  runId: 'r',
  device: 'Tablet',
  mark: `seat 1|one|f${minute}`,
  isDone: true,
  at: new Date(START + minute * 60_000).toISOString(),
  ...more,
});
const every = (minutes: number, count: number, more: Partial<TimedTick> = {}) =>
  Array.from({ length: count }, (_, at) => tickAt(at * minutes, more));

describe('how long this maker takes', () => {
  test('of too few nothing is told', () => {
    expect(paceOf([])).toEqual(RECKONED_PACE);
    expect(paceOf(every(0.5, 10))).toEqual(RECKONED_PACE);
  });
  test('the middle between one and the next, whatever lies between evenings', () => {
    const evenings = [0, 1440, 2880].flatMap((day) => every(0.5, 8).map(({ at, ...rest }) => ({ ...rest, at: new Date(Date.parse(at) + day * 60_000).toISOString() })));
    expect(paceOf(evenings)).toEqual({ ...RECKONED_PACE, minutesAWeighing: 0.5, fromWeighings: 21 });
  }); // prettier-ignore
  test('two at one table are each of their own pace, and what is taken back is none', () => {
    const two = [
      ...every(1, 12),
      ...every(1, 12, { device: 'Laptop' }),
      ...every(0.1, 30, { isDone: false }),
    ];
    expect(paceOf(two)).toMatchObject({ minutesAWeighing: 1, fromWeighings: 22 });
  });
  test('packs by themselves; what is laid in is neither', () => {
    const ticks = [...every(4, 7, { mark: 'packed|seat 1' }), ...every(0.2, 60, { mark: 'in|seat 1|bag' })];
    expect(paceOf(ticks)).toEqual({ ...RECKONED_PACE, minutesAPack: 4, fromPacks: 6 });
  });
  test('many ticked at once, of what was done before, tell nothing', () => {
    expect(paceOf(every(1 / 60, 100))).toEqual(RECKONED_PACE);
  });
  test('however they came in it is the same, and no less than the shortest gap that counts', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 20, maxLength: 60 }), (minutes) => {
        const ticks = minutes.map((minute) => tickAt(minute));
        const pace = paceOf(ticks);
        expect(paceOf(ticks.toReversed())).toEqual(pace);
        expect(pace.minutesAWeighing).toBeGreaterThanOrEqual(0.05);
        expect(pace.minutesAWeighing).toBeLessThanOrEqual(6);
      }),
    );
  }); // prettier-ignore
});

describe('what is to be done toward a run', () => {
  const standing = (more: Partial<RunStanding> = {}): RunStanding => ({
    state: 'planned',
    kind: 'class',
    date: '2026-12-05',
    lastDay: '2026-12-06',
    short: 2,
    uncounted: 1,
    unweighed: 40,
    unpacked: 10,
    ...more,
  });
  test.each<[string, Partial<RunStanding>, string, string]>([
    ['planned', {}, '2026-11-29', 'count buy weigh pack'],
    ['planned, and everything there', { short: 0, uncounted: 0 }, '2026-11-29', 'weigh pack'],
    ['bought', { state: 'bought' }, '2026-11-29', 'weigh pack'],
    ['weighed', { state: 'weighed', unweighed: 0 }, '2026-11-29', 'pack'],
    ['packed, days before', { state: 'packed' }, '2026-11-29', ''],
    ['packed, on its day', { state: 'packed' }, '2026-12-05', 'teach'],
    ['packed, on its last day', { state: 'packed' }, '2026-12-06', 'teach'],
    ['packed, the day after', { state: 'packed' }, '2026-12-07', 'close'],
    ['not packed on its day', { state: 'weighed', unweighed: 0 }, '2026-12-05', 'pack teach'],
    ['boxes, before they go', { state: 'packed', kind: 'kits' }, '2026-11-29', 'send'],
    ['boxes, gone', { state: 'packed', kind: 'kits' }, '2026-12-07', 'close'],
    ['done', { state: 'done' }, '2026-12-07', ''],
  ])('%s', (_name, more, today, deeds) => {
    const all = deedsOf(standing(more), RECKONED_PACE, today);
    expect(all.map(({ does }) => does).join(' ')).toBe(deeds);
  });
  test('with minutes as this maker takes them, and whether they are the maker’s own', () => {
    const pace = { minutesAWeighing: 0.5, fromWeighings: 30, minutesAPack: 1.5, fromPacks: 0 };
    expect(deedsOf(standing({ state: 'bought' }), pace, '2026-11-29')).toEqual([
      { does: 'weigh', portions: 40, minutes: 20, isFromPast: true },
      { does: 'pack', packs: 10, minutes: 15, isFromPast: false },
    ]);
  });
  test('together, and whether some of it is only reckoned', () => {
    const pace = { minutesAWeighing: 0.5, fromWeighings: 30, minutesAPack: 1.5, fromPacks: 0 };
    const deeds = deedsOf(standing({ state: 'planned' }), pace, '2026-11-29');
    expect(timeOfDeeds(deeds)).toEqual({ minutes: 35, isReckoned: true });
    expect(timeOfDeeds(deeds.filter(({ does }) => does !== 'pack'))).toEqual({
      minutes: 20,
      isReckoned: false,
    });
    expect(deeds.map(minutesOfDeed)).toEqual([0, 0, 20, 15]);
  });
});
