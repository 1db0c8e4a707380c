import { describe, expect, test } from '@jest/globals';
import { normalCdf } from '../../src/base/index.ts';
import { merged, openFrom, workedUntil } from '../../src/timetable/clock.ts';
import { PACE, PERSON_SIGMA, STEP_SIGMA } from '../../src/timetable/index.ts';
import { readyRoom } from '../../src/timetable/readyRoom.ts';
import { goThrough } from '../../src/timetable/simulate.ts';
import { roomSaid } from '../support/timed.ts';

const CLASSES = 40_000;
const MINUTES = [20, 30, 15];

/** Of so many classes the share in which everybody was done by then. */
function doneBy(room: ReturnType<typeof roomSaid>, ends: readonly number[], classes = CLASSES): number[] {
  const ready = readyRoom(room, 0);
  const counts = ends.map(() => 0);
  for (let classAt = 0; classAt < classes; classAt++) {
    const last = Math.max(...goThrough(ready, { seed: 7, classAt }).ends.map((all) => Math.max(...all)));
    ends.forEach((end, at) => {
      if (last <= end) counts[at] = (counts[at] ?? 0) + 1;
    });
  }
  return counts.map((count) => count / classes);
}

/**
 * P(sum of log-normals ≤ limit) by convolution on a grid, the person’s own pace integrated over: the judge, without a
 * single random number.
 */
function byConvolution(minutes: readonly number[], pace: number, limit: number): number {
  const CELL = 0.25;
  const cells = Math.ceil(limit / CELL) * 4;
  const spread = (middle: number) => {
    const cdf = (x: number) => (x <= 0 ? 0 : normalCdf(Math.log(x / middle) / STEP_SIGMA));
    return Float64Array.from({ length: cells }, (_, at) => cdf((at + 0.5) * CELL) - cdf((at - 0.5) * CELL));
  };
  let sum = Float64Array.from({ length: cells }, (_, at) => (at === 0 ? 1 : 0));
  for (const middle of minutes) {
    const next = new Float64Array(cells);
    const single = spread(middle);
    for (let a = 0; a < cells; a++) {
      const have = sum[a] as number;
      if (have > 0) for (let b = 0; a + b < cells; b++) next[a + b] = (next[a + b] as number) + have * (single[b] as number);
    }
    sum = next;
  }
  const cumulative = sum.map(((total) => (each: number) => (total += each))(0));
  const NODES = 400;
  let chance = 0;
  for (let node = 0; node < NODES; node++) {
    const z = -5 + (10 * (node + 0.5)) / NODES;
    const weight = normalCdf(z + 5 / NODES) - normalCdf(z - 5 / NODES);
    const within = limit / (pace * Math.exp(PERSON_SIGMA * z));
    const at = Math.min(cells - 1, Math.max(0, within / CELL));
    const low = Math.floor(at);
    const [a, b] = [cumulative[low] as number, cumulative[Math.min(cells - 1, low + 1)] as number];
    chance += weight * (a + (b - a) * (at - low));
  }
  return chance;
} // prettier-ignore

describe('one learner', () => {
  test('is done with as good a chance as the sum of log-normals says', () => {
    const room = roomSaid(
      MINUTES.map((minutes, at) => ({ id: `${at}`, minutes, after: at > 0 ? [`${at - 1}`] : [] })),
    );
    const limits = [100, 120, 150];
    const chances = doneBy(room, limits);
    limits.forEach((limit, at) => {
      const judged = byConvolution(MINUTES, PACE.some, limit);
      expect(Math.abs((chances[at] ?? 0) - judged)).toBeLessThan(0.01);
    });
    // As the field has it.
    expect(chances[1]).toBeCloseTo(0.645, 1.9);
    expect(chances[2]).toBeCloseTo(0.863, 1.9);
  });
  test('that are eight are all done less often: each by themselves', () => {
    const room = roomSaid([{ id: 'A', minutes: 60 }], { people: 8 });
    const [chance] = doneBy(room, [150], 20_000);
    const alone = normalCdf(Math.log(150 / (60 * PACE.some)) / Math.hypot(PERSON_SIGMA, STEP_SIGMA));
    expect(Math.abs((chance ?? 0) - alone ** 8)).toBeLessThan(0.01);
  });
});

const GUN = { key: 'gun', name: 'glue gun', count: 1, isPerTable: false, isInstructor: false };
const once = (room: ReturnType<typeof roomSaid>) => goThrough(readyRoom(room, 0), null);
/** Of the first thing, the shortest first. */
const waitsOf = (queued: ReturnType<typeof once>['queued']) =>
  (queued[0] ?? []).map(({ waited }) => waited).toSorted((a, b) => a - b);
const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length;

describe('something shared', () => {
  const glue = { id: 'glue', minutes: 4, uses: [{ key: 'gun', minutes: null }] };
  test('eight ready at once for one tool of four minutes wait fourteen on average', () => {
    const { queued } = once(roomSaid([glue], { people: 8, pace: 1, shared: [GUN] }));
    expect(waitsOf(queued)).toEqual([0, 4, 8, 12, 16, 20, 24, 28]);
    expect(mean(waitsOf(queued))).toBe(14);
  });
  test.each([
    ['two of it', { ...GUN, count: 2 }, 1, 6],
    ['one at each of two tables', { ...GUN, isPerTable: true }, 2, 6],
    ['one for each', { ...GUN, count: 8 }, 1, 0],
  ])('%s', (_name, thing, tables, wait) => {
    const { queued } = once(roomSaid([glue], { people: 8, pace: 1, shared: [thing], tables }));
    expect(mean(waitsOf(queued))).toBe(wait);
  });
  test('whoever finds it taken does what else they can first', () => {
    const { queued, idleMinutes } = once(
      roomSaid([glue, { id: 'leaf', minutes: 10 }], { people: 2, pace: 1, shared: [GUN] }),
    );
    expect(waitsOf(queued)).toEqual([0, 0]);
    expect([...idleMinutes]).toEqual([0, 0]);
  });
  test('in the hand for a minute, it is free again after that', () => {
    const snip = { id: 'snip', minutes: 20, uses: [{ key: 'gun', minutes: 1 }] };
    const { queued } = once(roomSaid([snip], { people: 3, pace: 1, shared: [GUN] }));
    expect(waitsOf(queued)).toEqual([0, 1, 2]);
  });
  test('people who come one after another, against the line by hand', () => {
    // Everybody makes something first; the tool is met in the order they come.
    const room = roomSaid(
      [
        { id: 'make', minutes: 10 },
        { ...glue, after: ['make'] },
      ],
      { people: 6, shared: [GUN] },
    );
    for (let classAt = 0; classAt < 200; classAt++) {
      const { starts, ends } = goThrough(readyRoom(room, 0), { seed: 3, classAt });
      const came = ends.map((all, at) => ({
        came: all[0] ?? 0,
        from: starts[at]?.[1] ?? 0,
        to: all[1] ?? 0,
      }));
      let free = 0;
      for (const { came: at, from, to } of came.toSorted((a, b) => a.came - b.came)) {
        expect(from).toBeCloseTo(Math.max(at, free), 9);
        free = to;
      }
    }
  });
});

describe('the clock', () => {
  const closed = merged([{ from: 30, to: 40 }, { from: 10, to: 20 }, { from: 38, to: 45 }, { from: 50, to: 50 }]); // prettier-ignore
  test('stretches that meet are one, empty ones none', () => {
    expect(closed).toEqual([{ from: 10, to: 20 }, { from: 30, to: 45 }]); // prettier-ignore
  });
  test.each([[5, 5], [10, 20], [15, 20], [20, 20], [44, 45], [50, 50]])('hands that are ready at %d begin at %d', (time, from) => {
    expect(openFrom(closed, time)).toBe(from);
  }); // prettier-ignore
  test.each([[0, 10, 10], [0, 11, 21], [0, 20, 30], [0, 21, 46], [20, 5, 25], [25, 10, 50]])('from %d, %d minutes of work end at %d', (start, minutes, end) => {
    expect(workedUntil(closed, start, minutes)).toBe(end);
    // Minute by minute: the judge.
    let [now, left] = [start, minutes];
    while (left > 1e-9) {
      if (!closed.some(({ from, to }) => now >= from - 1e-9 && now < to - 1e-9)) left -= 0.5;
      now += 0.5;
    }
    expect(now).toBeCloseTo(end, 6);
  }); // prettier-ignore
});
