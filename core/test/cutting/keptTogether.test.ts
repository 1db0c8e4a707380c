import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  bundled,
  type LengthTask,
  type PackPieces,
  planLengths,
  unbundled,
} from '../../src/cutting/index.ts';
import { highsSolvers, type Solvers } from '../../src/solving/index.ts';

let solvers: Solvers;
beforeAll(async () => {
  solvers = await highsSolvers();
});

const task = (
  pieces: readonly (readonly [string, number, number])[],
  stockMm: number,
  more: Partial<LengthTask> = {},
): LengthTask => ({
  pieces: pieces.map(([key, lengthMm, count]) => ({ key, lengthMm, count })),
  stocks: [{ key: 'bought', lengthMm: stockMm, count: null }],
  kerfMm: 0,
  endWasteMm: 0,
  offcutFromMm: 1e9,
  ...more,
});

function planned(given: LengthTask, packs: readonly PackPieces[]) {
  const { task: asOne, bundles } = bundled(given, packs);
  return unbundled(planLengths(asOne, solvers, 5), bundles);
}

/** How many whole packs each stick holds, by counting what lies on it. */
const packsOn = (keys: readonly string[], { pieces }: PackPieces): number =>
  Math.min(
    ...pieces.map(({ key, count }) => Math.floor(keys.filter((other) => other === key).length / count)),
  );

describe('the pieces of a pack from one length', () => {
  const LEGS: PackPieces = {
    packs: 6,
    pieces: [
      { key: 'leg', count: 2 },
      { key: 'arm', count: 1 },
    ],
  };

  test.each([
    // Two legs of 130 and an arm of 40 are 300: a stick a pack.
    [
      'as many sticks as packs',
      task(
        [
          ['leg', 130, 12],
          ['arm', 40, 6],
        ],
        300,
      ),
      6,
    ],
    // 2 × 130 + 40 + 2 cuts of 3 = 306: two packs need 615 with the cut between them.
    [
      'with cuts of 3 mm',
      task(
        [
          ['leg', 130, 12],
          ['arm', 40, 6],
        ],
        615,
        { kerfMm: 3 },
      ),
      3,
    ],
    [
      'a millimetre less, and only one goes on it',
      task(
        [
          ['leg', 130, 12],
          ['arm', 40, 6],
        ],
        614,
        { kerfMm: 3 },
      ),
      6,
    ],
    [
      'the end of each is of no use',
      task(
        [
          ['leg', 130, 12],
          ['arm', 40, 6],
        ],
        320,
        { endWasteMm: 20 },
      ),
      6,
    ],
  ] as const)('%s', (_what, given, bought) => {
    const plan = planned(given, [LEGS]);
    expect(plan.bought).toBe(bought);
    expect(plan.notCut).toEqual([]);
    for (const { pieces } of plan.sticks) {
      const keys = pieces.map(({ key }) => key);
      expect(packsOn(keys, LEGS) * 3).toBe(keys.length);
    }
  });

  test('kept together it may take more: that is what it costs', () => {
    // One by one 8 × 160 go two to a stick of 330; with 20 each of a pack of two is 340.
    const given = task(
      [
        ['a', 160, 4],
        ['b', 20, 4],
      ],
      330,
    );
    const packs: PackPieces = {
      packs: 4,
      pieces: [
        { key: 'a', count: 1 },
        { key: 'b', count: 1 },
      ],
    };
    expect(planned(given, []).bought).toBeLessThan(planned(given, [packs]).bought);
  });

  test('a pack that is longer than every length has its pieces singly', () => {
    const plan = planned(
      task(
        [
          ['a', 200, 2],
          ['b', 150, 2],
        ],
        300,
      ),
      [
        {
          packs: 2,
          pieces: [
            { key: 'a', count: 1 },
            { key: 'b', count: 1 },
          ],
        },
      ],
    );
    expect(plan.notCut).toEqual([]);
    expect(plan.bought).toBe(3);
  });

  test('what is cut of a pack already leaves it no whole pack', () => {
    const plan = planned(
      task(
        [
          ['a', 100, 1],
          ['b', 60, 2],
        ],
        300,
      ),
      [
        {
          packs: 2,
          pieces: [
            { key: 'a', count: 1 },
            { key: 'b', count: 1 },
          ],
        },
      ],
    );
    expect(plan.sticks.flatMap(({ pieces }) => pieces.map(({ key }) => key)).toSorted()).toEqual([
      'a',
      'b',
      'b',
    ]);
  });

  test('nothing is lost or made more, and no cut lies outside', () => {
    const packOf = fc.record({
      packs: fc.integer({ min: 1, max: 5 }),
      a: fc.integer({ min: 0, max: 3 }),
      b: fc.integer({ min: 0, max: 2 }),
    });
    fc.assert(
      fc.property(
        fc.array(packOf, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 20, max: 150 }),
        fc.integer({ min: 20, max: 150 }),
        fc.integer({ min: 0, max: 4 }),
        (packs, aMm, bMm, kerfMm) => {
          const [a, b] = (['a', 'b'] as const).map((key) =>
            packs.reduce((sum, pack) => sum + pack.packs * pack[key], 0),
          );
          const given = task(
            [
              ['a', aMm, a ?? 0],
              ['b', bMm, b ?? 0],
            ],
            400,
            { kerfMm },
          );
          const plan = planned(
            given,
            packs.map((pack) => ({
              packs: pack.packs,
              pieces: [
                { key: 'a', count: pack.a },
                { key: 'b', count: pack.b },
              ],
            })),
          );
          const cut = plan.sticks.flatMap(({ pieces }) => pieces.map(({ key }) => key));
          expect(cut.filter((key) => key === 'a')).toHaveLength(a ?? 0);
          expect(cut.filter((key) => key === 'b')).toHaveLength(b ?? 0);
          for (const { pieces, lengthMm } of plan.sticks) {
            const used =
              pieces.reduce((sum, piece) => sum + piece.lengthMm, 0) + kerfMm * (pieces.length - 1);
            expect(used).toBeLessThanOrEqual(lengthMm + 1e-6);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
