import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PlanRow } from '../../src/run/index.ts';
import { closedFor, type Room } from '../../src/timetable/room.ts';
import { readyRoom } from '../../src/timetable/readyRoom.ts';
import { goThrough } from '../../src/timetable/simulate.ts';
import { roomSaid } from '../support/timed.ts';

const row = (at: number, minutes: number, groups: number, kind: PlanRow['kind']): PlanRow => ({
  id: `row-${at}`,
  kind,
  name: '',
  sessionId: 'one',
  atMinute: at,
  minutes,
  stepIds: [],
  groups,
});

/** Any small class: up to six people, seven steps with links and waits, two things to share, talks and demonstrations. */
const anyRoom: fc.Arbitrary<Room> = fc
  .record({
    people: fc.integer({ min: 1, max: 6 }),
    tables: fc.integer({ min: 1, max: 2 }),
    steps: fc.array(
      fc.record({
        minutes: fc.integer({ min: 0, max: 25 }),
        waits: fc.constantFrom(0, 0, 15),
        after: fc.array(fc.nat(6), { maxLength: 2 }),
        uses: fc.subarray(['gun', 'pliers']),
        isBrief: fc.boolean(),
      }),
      { minLength: 1, maxLength: 7 },
    ),
    counts: fc.tuple(fc.integer({ min: 1, max: 2 }), fc.integer({ min: 1, max: 2 })),
    isPerTable: fc.boolean(),
    rows: fc.array(
      fc.record({
        at: fc.integer({ min: 0, max: 90 }),
        minutes: fc.integer({ min: 1, max: 15 }),
        groups: fc.integer({ min: 1, max: 3 }),
        kind: fc.constantFrom('talk', 'demo', 'break'),
      }),
      { maxLength: 3 },
    ),
  })
  .map(({ people, tables, steps, counts, isPerTable, rows }) => {
    const room = roomSaid(
      steps.map(({ minutes, waits, after, uses, isBrief }, at) => ({
        id: `${at}`,
        minutes,
        waits,
        after: [...new Set(after.filter((each) => each < at))].map(String),
        uses: uses.map((key) => ({ key, minutes: isBrief ? 2 : null })),
      })),
      {
        people,
        tables,
        shared: [
          { key: 'gun', name: 'gun', count: counts[0], isPerTable, isInstructor: false },
          { key: 'pliers', name: 'pliers', count: counts[1], isPerTable: false, isInstructor: false },
        ],
      },
    );
    return { ...room, rows: rows.map(({ at, minutes, groups, kind }) => row(at, minutes, groups, kind)) };
  }); // prettier-ignore

const NEAR = 1e-6;

/** How many of these stretches hold at once, at most: counted at each beginning. */
const mostAtOnce = (stretches: readonly { readonly from: number; readonly to: number }[]): number =>
  Math.max(0, ...stretches.map(({ from }) => stretches.filter((each) => each.from <= from + NEAR && each.to > from + NEAR).length)); // prettier-ignore

describe('whatever a class is like', () => {
  test('everything is done once, in an order that may be, by hands that are free, with tools that are there', () => {
    fc.assert(
      fc.property(anyRoom, fc.nat(1000), (room, classAt) => {
        const ready = readyRoom(room, 0);
        const { starts, ends, idleMinutes, queued } = goThrough(ready, { seed: 11, classAt });
        const tasks = room.graphs[0]?.tasks ?? [];
        room.people.forEach((person, who) => {
          const closed = closedFor(room, person, 0);
          const isClosed = (minute: number) => closed.some(({ from, to }) => minute > from + NEAR && minute < to - NEAR); // prettier-ignore
          const done = tasks.map((task, at) => ({
            task,
            from: starts[who]?.[at] ?? NaN,
            to: ends[who]?.[at] ?? NaN,
          }));
          for (const { task, from, to } of done) {
            expect(Number.isFinite(from) && Number.isFinite(to) && to >= from).toBe(true);
            for (const each of task.before) {
              const before = done[each];
              expect(from + NEAR).toBeGreaterThanOrEqual((before?.to ?? 0) + (before?.task.waitMinutes ?? 0));
            }
            if (task.minutes) expect(isClosed(from)).toBe(false);
          }
          const hands = done.filter(({ from, to }) => to > from + NEAR);
          expect(mostAtOnce(hands)).toBeLessThanOrEqual(1);
          expect(idleMinutes[who]).toBeGreaterThanOrEqual(0);
        });
        room.shared.forEach(({ count, isPerTable }, at) => {
          const tables = new Set(room.people.map(({ tableAt }) => tableAt)).size;
          const turns = (queued[at] ?? []).filter(({ from, to }) => to > from + NEAR);
          expect(mostAtOnce(turns)).toBeLessThanOrEqual(count * (isPerTable ? tables : 1));
          expect(turns.every(({ waited }) => waited >= 0)).toBe(true);
        });
      }),
      { numRuns: 400 },
    );
  });

  test('with enough of it for everybody nobody stands in line', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const plenty = room.shared.map((thing) => ({ ...thing, count: 6, isPerTable: false }));
        const { queued } = goThrough(readyRoom({ ...room, shared: plenty }, 0), { seed: 3, classAt: 1 });
        expect(queued.flat().every(({ waited }) => waited < NEAR)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});
