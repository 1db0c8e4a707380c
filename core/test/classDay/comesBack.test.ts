import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type ClassAct, comesBack, type RunTaking } from '../../src/classDay/index.ts';
import { type Acted, eventsAt } from '../support/taught.ts';

const taken: readonly RunTaking[] = [
  { itemId: 'slate', lotId: 'old', amountMilli: 4_000 },
  { itemId: 'slate', lotId: 'new', amountMilli: 16_000 },
  { itemId: 'ink', lotId: null, amountMilli: 500 },
];
const left = (fibreId: string, massG: number): ClassAct => ({ act: 'left', fibreId, seatKey: null, massG });

/** As the shelf does it: one row for all that is back, in place of the one before. */
const after = (rows: readonly RunTaking[], due: ReturnType<typeof comesBack>): RunTaking[] =>
  due.reduce<RunTaking[]>(
    (all, { itemId, lotId, backMilli }) => [
      ...all.filter((row) => row.itemId !== itemId || row.amountMilli > 0),
      ...(backMilli === 0 ? [] : [{ itemId, lotId, amountMilli: -backMilli }]),
    ],
    [...rows],
  );

describe('what comes back to the shelf', () => {
  test('all that was weighed back, into the lot most of it came from', () => {
    const due = comesBack(taken, eventsAt([700, left('slate', 1.5)], [701, left('slate', 2.25)], [702, left('plum', 9)]));
    expect(due).toEqual([{ itemId: 'slate', lotId: 'new', backMilli: 3_750, changeMilli: 3_750 }]);
  }); // prettier-ignore
  test('and no more than was taken', () => {
    expect(comesBack(taken, eventsAt([700, left('ink', 9)]))).toEqual([
      { itemId: 'ink', lotId: null, backMilli: 500, changeMilli: 500 },
    ]);
  });
  test('settled after every act, the shelf has what it would have, were all of them settled at the end', () => {
    const acts = fc.array(
      fc.oneof(
        fc.record({ fibreId: fc.constantFrom('slate', 'ink'), massMilli: fc.integer({ min: 1, max: 9_000 }) }),
        fc.nat({ max: 20 }),
      ),
      { maxLength: 25 },
    );
    fc.assert(
      fc.property(acts, (drawn) => {
        const events = eventsAt(
          ...drawn.map((each, at): Acted =>
            typeof each === 'number'
              ? [700 + at, { act: 'back', key: `k${each}` }]
              : [700 + at, left(each.fibreId, each.massMilli / 1000)],
          ),
        );
        let rows: readonly RunTaking[] = taken;
        const shelf = new Map<string, number>();
        for (let count = 1; count <= events.length; count++) {
          const due = comesBack(rows, events.slice(0, count));
          for (const { itemId, changeMilli } of due) shelf.set(itemId, (shelf.get(itemId) ?? 0) + changeMilli);
          rows = after(rows, due);
          // Nothing is left to do until something happens.
          expect(comesBack(rows, events.slice(0, count))).toEqual([]);
        }
        for (const itemId of ['slate', 'ink']) {
          // Judged from the acts alone: those that no other takes back, summed, and no more than was taken.
          const back = new Set(events.flatMap(({ what }) => (what.act === 'back' ? [what.key] : [])));
          const weighed = events.reduce(
            (sum, { key, what }) =>
              sum + (what.act === 'left' && what.fibreId === itemId && !back.has(key) ? Math.round(what.massG * 1000) : 0),
            0,
          );
          expect(shelf.get(itemId) ?? 0).toBe(Math.min(weighed, itemId === 'ink' ? 500 : 20_000));
        }
      }),
    );
  }); // prettier-ignore
});
