import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  cutsOf,
  type LengthTask,
  planLengths,
  type PlannedLengths,
  wasteOf,
} from '../../src/cutting/index.ts';
import { highsSolvers, type Solvers } from '../../src/solving/index.ts';

let solvers: Solvers;
beforeAll(async () => {
  solvers = await highsSolvers();
});

const task = (
  pieces: readonly (readonly [number, number])[],
  stocks: readonly (readonly [number, number | null])[],
  more: Partial<LengthTask> = {},
): LengthTask => ({
  pieces: pieces.map(([lengthMm, count], at) => ({ key: `p${at}`, lengthMm, count })),
  stocks: stocks.map(([lengthMm, count], at) => ({ key: `s${at}`, lengthMm, count })),
  kerfMm: 0,
  endWasteMm: 0,
  offcutFromMm: 1e9,
  ...more,
});

/** Replays every cut: nothing is cut that is not there, and everything wanted is cut once. */
function expectSound(given: LengthTask, plan: PlannedLengths): void {
  const cut = new Map<string, number>();
  for (const { stockKey, lengthMm, pieces, restMm } of plan.sticks) {
    const stock = given.stocks.find(({ key }) => key === stockKey);
    expect(stock?.lengthMm).toBe(lengthMm);
    let at = 0;
    for (const piece of pieces) {
      at += piece.lengthMm;
      expect(at).toBeLessThanOrEqual(lengthMm - given.endWasteMm + 1e-6);
      at += given.kerfMm;
      cut.set(piece.key, (cut.get(piece.key) ?? 0) + 1);
    }
    expect(restMm).toBeCloseTo(Math.max(0, lengthMm - at), 2);
  }
  for (const { key, count } of given.stocks)
    if (count !== null)
      expect(plan.sticks.filter(({ stockKey }) => stockKey === key).length).toBeLessThanOrEqual(count);
  for (const { key, count } of given.pieces) {
    const left = plan.notCut.find((other) => other.key === key)?.count ?? 0;
    expect((cut.get(key) ?? 0) + left).toBe(count);
  }
}

describe('sticks, reels and coils', () => {
  test.each<[string, LengthTask, number]>([
    ['12 × 600 mm from 1 m reels', task([[600, 12]], [[1000, null]]), 12],
    ['24 × 160 from 300', task([[160, 24]], [[300, null]]), 24],
    ['12 × (145 + 170) from 300', task([[145, 12], [170, 12]], [[300, null]]), 18],
    ['what is on the shelf comes first', task([[160, 5]], [[300, null], [340, 1], [170, 1]]), 2],
    ['each cut takes 3 mm', task([[100, 3]], [[300, null]], { kerfMm: 3 }), 2],
    ['the last piece needs no cut', task([[99, 3]], [[303, null]], { kerfMm: 3 }), 1],
    ['the ends are of no use', task([[150, 2]], [[300, null]], { endWasteMm: 5 }), 2],
    ['enough is there', task([[100, 3]], [[300, null], [300, 1]]), 0],
  ])('%s', (_name, given, bought) => {
    const plan = planLengths(given, solvers, 5);
    expectSound(given, plan);
    expect(plan).toMatchObject({ bought, atLeastBought: bought, isProven: true, notCut: [] });
  }); // prettier-ignore

  test('a piece longer than every stick is told, and the others are cut all the same', () => {
    const given = task([[310, 1], [100, 2]], [[300, null]]); // prettier-ignore
    const plan = planLengths(given, solvers, 5);
    expect(plan.notCut).toEqual([{ key: 'p0', lengthMm: 310, count: 1 }]);
    expect(plan.bought).toBe(1);
  });

  test('where nothing is bought as much is cut as there is', () => {
    const given = task([[100, 5]], [[300, 1]]);
    const plan = planLengths(given, solvers, 5);
    expectSound(given, plan);
    expect(plan.notCut).toEqual([{ key: 'p0', lengthMm: 100, count: 2 }]);
  });

  test('of two ways that buy the same, the one that leaves a piece worth keeping', () => {
    // Both from one stick each; cut from one, 100 mm are left over twice, from two a rest of 200 is kept.
    const given = task([[100, 2], [150, 2]], [[400, 2]], { offcutFromMm: 150 }); // prettier-ignore
    const plan = planLengths(given, solvers, 5);
    expectSound(given, plan);
    expect(plan.wasteMm).toBe(0);
    expect(plan.sticks.some(({ isOffcut }) => isOffcut)).toBe(true);
  });
});

type Score = readonly [uncutMm: number, bought: number, wasteMm: number, cuts: number];
const isLess = (a: Score, b: Score): boolean => {
  const at = a.findIndex((value, index) => Math.abs(value - (b[index] ?? 0)) > 0.005);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
};

/** Every piece onto every stick there is, or none: the best of all. */
function bestByTrying(given: LengthTask): Score {
  const pieces = given.pieces.flatMap(({ lengthMm, count }) => Array.from({ length: count }, () => lengthMm));
  const sticks = given.stocks.flatMap(({ lengthMm, count }) =>
    Array.from({ length: count ?? pieces.length }, () => ({ lengthMm, isBought: count === null })),
  );
  const on: number[][] = sticks.map(() => []);
  let best: Score = [Infinity, 0, 0, 0];
  const place = (at: number, uncutMm: number): void => {
    const piece = pieces[at];
    if (piece === undefined) {
      const cut = sticks.flatMap(({ lengthMm, isBought }, index) => {
        const mine = on[index] ?? [];
        if (mine.length === 0) return [];
        const used = mine.reduce((sum, length) => sum + length + given.kerfMm, 0);
        const restMm = Math.max(0, lengthMm - used);
        const stick = {
          stockKey: '',
          lengthMm,
          isBought,
          pieces: mine.map((length) => ({ key: '', lengthMm: length })),
          restMm,
          isOffcut: restMm >= given.offcutFromMm,
        };
        return [stick];
      });
      const score: Score = [
        uncutMm,
        cut.filter(({ isBought }) => isBought).length,
        cut.reduce((sum, stick) => sum + wasteOf(stick), 0),
        cut.reduce((sum, stick) => sum + cutsOf(stick), 0),
      ];
      if (isLess(score, best)) best = score;
      return;
    }
    const tried = new Set<string>();
    sticks.forEach(({ lengthMm, isBought }, index) => {
      const mine = on[index] ?? [];
      const used = mine.reduce((sum, length) => sum + length + given.kerfMm, 0);
      const key = `${lengthMm} ${isBought} ${[...mine].sort((a, b) => a - b).join()}`;
      if (tried.has(key) || used + piece > lengthMm - given.endWasteMm + 1e-9) return;
      tried.add(key);
      mine.push(piece);
      place(at + 1, uncutMm);
      mine.pop();
    });
    place(at + 1, uncutMm + piece);
  };
  place(0, 0);
  return best;
}

test('no way of cutting, tried one by one, is better', () => {
  const given = fc.record({
    pieces: fc.array(fc.tuple(fc.integer({ min: 30, max: 120 }), fc.integer({ min: 1, max: 2 })), {
      minLength: 1,
      maxLength: 3,
    }),
    offcut: fc.integer({ min: 30, max: 150 }),
    shelf: fc.integer({ min: 60, max: 160 }),
    isBuying: fc.boolean(),
    kerfMm: fc.constantFrom(0, 2),
    offcutFromMm: fc.constantFrom(40, 80, 1000),
  });
  fc.assert(
    fc.property(given, ({ pieces, offcut, shelf, isBuying, kerfMm, offcutFromMm }) => {
      const cutting = task(
        pieces,
        [[offcut, 1], [shelf, 1], ...(isBuying ? [[150, null] as const] : [])] as const, // prettier-ignore
        { kerfMm, offcutFromMm, endWasteMm: 1 },
      );
      const plan = planLengths(cutting, solvers, 10);
      expectSound(cutting, plan);
      const uncutMm = plan.notCut.reduce((sum, { lengthMm, count }) => sum + lengthMm * count, 0);
      const score: Score = [uncutMm, plan.bought, plan.wasteMm, plan.cuts];
      expect(plan.isProven).toBe(true);
      expect(score.map((value) => Math.round(value * 100))).toEqual(
        bestByTrying(cutting).map((value) => Math.round(value * 100)),
      );
    }),
    { numRuns: 40 },
  );
});

test('three hundred lengths of thirty sizes: sound, and within one stick of what is proven', () => {
  const sizes = Array.from({ length: 30 }, (_, at) => [60 + ((at * 37) % 230), 10] as const);
  const given = task(sizes, [[1000, null], [400, 3]], { kerfMm: 1 }); // prettier-ignore
  const plan = planLengths(given, solvers, 6);
  expectSound(given, plan);
  expect(plan.notCut).toEqual([]);
  expect(plan.bought - plan.atLeastBought).toBeLessThanOrEqual(1);
});
