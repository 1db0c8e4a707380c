import { beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { LengthTask } from '../../src/cutting/index.ts';
import { planLengths } from '../../src/cutting/index.ts';
import { everyWay, firstWays, sizesOf, type Way } from '../../src/cutting/lengthWays.ts';
import { highsSolvers, type Solvers } from '../../src/solving/index.ts';

let solvers: Solvers;
beforeAll(async () => {
  solvers = await highsSolvers();
});

const tasks = fc
  .record({
    pieces: fc.array(fc.tuple(fc.integer({ min: 20, max: 90 }), fc.integer({ min: 1, max: 4 })), {
      minLength: 1,
      maxLength: 4,
    }),
    stockMm: fc.integer({ min: 100, max: 220 }),
    kerfMm: fc.constantFrom(0, 1.5, 3),
    endWasteMm: fc.constantFrom(0, 5),
  })
  .map(({ pieces, stockMm, kerfMm, endWasteMm }): LengthTask => ({
    pieces: pieces.map(([lengthMm, count], at) => ({ key: `p${at}`, lengthMm, count })),
    stocks: [{ key: 'bought', lengthMm: stockMm, count: null }],
    kerfMm,
    endWasteMm,
    offcutFromMm: 1e9,
  }));

/** Whether a way can be cut: piece after piece, each with its cut, the last without. */
function canBeCut({ counts }: Way, task: LengthTask): boolean {
  const { lengthsMm } = sizesOf(task);
  const pieces = counts.flatMap((count, at) => Array.from({ length: count }, () => lengthsMm[at] ?? 0));
  const taken = pieces.reduce((sum, length, at) => sum + length + (at > 0 ? task.kerfMm : 0), 0);
  return taken <= (task.stocks[0]?.lengthMm ?? 0) - task.endWasteMm + 1e-6;
}

test('every way there is, and none that cannot be cut', () => {
  fc.assert(
    fc.property(tasks, (task) => {
      const sizes = sizesOf(task);
      const ways = everyWay(task, sizes, 1e6) ?? [];
      expect(ways.every((way) => canBeCut(way, task))).toBe(true);
      // Counted by going through all there could be.
      let possible = 0;
      const count = (at: number, counts: number[]): void => {
        if (at === sizes.counts.length) {
          if (counts.some((times) => times > 0) && canBeCut({ stockAt: 0, counts }, task)) possible += 1;
          return;
        }
        for (let times = 0; times <= (sizes.counts[at] ?? 0); times++) count(at + 1, [...counts, times]);
      };
      count(0, []);
      expect(ways).toHaveLength(possible);
    }),
    { numRuns: 60 },
  );
});

test('more than so many are not gone through', () => {
  const task: LengthTask = {
    pieces: Array.from({ length: 12 }, (_, at) => ({ key: `p${at}`, lengthMm: 20 + at, count: 9 })),
    stocks: [{ key: 'bought', lengthMm: 1000, count: null }],
    kerfMm: 0,
    endWasteMm: 0,
    offcutFromMm: 50,
  };
  expect(everyWay(task, sizesOf(task), 500)).toBeNull();
});

test('the first ways can all be cut, and between them give every piece that any way gives', () => {
  fc.assert(
    fc.property(tasks, (task) => {
      const sizes = sizesOf(task);
      const ways = firstWays(task, sizes);
      expect(ways.every((way) => canBeCut(way, task))).toBe(true);
      sizes.lengthsMm.forEach((length, at) => {
        const fits = length <= (task.stocks[0]?.lengthMm ?? 0) - task.endWasteMm;
        if (fits) expect(ways.some(({ counts }) => (counts[at] ?? 0) > 0)).toBe(true);
      });
    }),
  );
});

test('no fewer are bought than all pieces and their cuts take together', () => {
  fc.assert(
    fc.property(tasks, (task) => {
      const plan = planLengths(task, solvers, 5);
      const cut = plan.sticks.flatMap(({ pieces }) => pieces);
      const room = (task.stocks[0]?.lengthMm ?? 0) - task.endWasteMm + task.kerfMm;
      const taken = cut.reduce((sum, { lengthMm }) => sum + lengthMm + task.kerfMm, 0);
      expect(plan.bought).toBeGreaterThanOrEqual(Math.ceil(taken / room - 1e-6));
      expect(plan.atLeastBought).toBeLessThanOrEqual(plan.bought);
    }),
    { numRuns: 40 },
  );
});
