import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { highsSolvers, type LinearModel, modelBuilder, type Solvers } from '../../src/solving/index.ts';

let solvers: Solvers;
beforeAll(async () => {
  solvers = await highsSolvers();
});

describe('linear programmes with whole numbers', () => {
  test('the least, proven', () => {
    const builder = modelBuilder();
    const [x, y] = [builder.whole(0, 10), builder.real(0, 10)];
    builder.atLeast(7.5, [[x, 2], [y, 1]]); // prettier-ignore
    expect(solvers.solve(builder.model(), [3, 1.9], { limitS: 5 })).toMatchObject({
      kind: 'found',
      values: [3, 1.5],
      cost: expect.closeTo(11.85, 6),
      atLeast: expect.closeTo(11.85, 6),
      isProven: true,
    });
  });
  test('without whole numbers, and what one more of a row costs', () => {
    const builder = modelBuilder();
    const x = builder.whole(0, 10);
    builder.atLeast(5, [[x, 2]]);
    expect(solvers.relax(builder.model(), [3])).toEqual({ cost: 7.5, values: [2.5], rowPrices: [1.5] });
  });
  test('what stands against itself is impossible, and ends nothing', () => {
    const builder = modelBuilder();
    const x = builder.whole(0, 1);
    builder.atLeast(5, [[x, 1]]);
    expect(solvers.solve(builder.model(), [1], { limitS: 5 })).toEqual({ kind: 'impossible' });
    expect(solvers.relax(builder.model(), [1])).toBeNull();
  });
  test('it is stopped when somebody says so', () => {
    const builder = modelBuilder();
    const all = Array.from({ length: 60 }, () => builder.whole(0, 1));
    for (let row = 0; row < 40; row++)
      builder.exactly(500, all.map((variable) => [variable, 1 + ((variable * 37 + row * 91) % 60)] as const)); // prettier-ignore
    const stopped = solvers.solve(
      builder.model(),
      all.map(() => 1),
      { limitS: 30, shouldStop: () => true },
    );
    expect(['nothing-in-time', 'impossible', 'found']).toContain(stopped.kind);
  });
});

test('a knapsack is filled as every way tried fills it', () => {
  const item = fc.record({ weight: fc.integer({ min: 1, max: 20 }), worth: fc.integer({ min: 1, max: 30 }) });
  fc.assert(
    fc.property(
      fc.array(item, { minLength: 1, maxLength: 9 }),
      fc.integer({ min: 5, max: 60 }),
      (items, room) => {
        const builder = modelBuilder();
        const taken = items.map(() => builder.whole(0, 1));
        builder.atMost(room, taken.map((variable, at) => [variable, items[at]?.weight ?? 0] as const)); // prettier-ignore
        const model: LinearModel = builder.model();
        const solved = solvers.solve(
          model,
          items.map(({ worth }) => -worth),
          { limitS: 5 },
        );
        let best = 0;
        for (let chosen = 0; chosen < 2 ** items.length; chosen++) {
          const within = items.filter((_, at) => (chosen >> at) & 1);
          const weight = within.reduce((sum, each) => sum + each.weight, 0);
          if (weight <= room) best = Math.max(best, within.reduce((sum, { worth }) => sum + worth, 0)); // prettier-ignore
        }
        expect(solved).toMatchObject({
          kind: 'found',
          cost: best === 0 ? expect.closeTo(0, 6) : -best,
          isProven: true,
        });
      },
    ),
    { numRuns: 40 },
  );
});
