import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  chosenWants,
  type Coming,
  type RunDrawn,
  type RunToBuyFor,
  wantsOfRuns,
  type WantSources,
} from '../../src/buying/index.ts';
import type { RunFibre, RunPortions } from '../../src/run/index.ts';

const row = (fibreId: string, classG: number, shortG: number | null, lossG = 0): RunFibre => ({
  fibreId,
  bag: 'one',
  classG,
  lossG,
  stock: { onHandG: null, promisedG: 0 },
  freeG: null,
  shortG,
  unknownCount: 0,
  byGroup: new Map(),
});

const planOf = (fibres: readonly RunFibre[]): RunPortions => ({
  packs: 1,
  groups: [],
  bags: [],
  fibres,
  classG: 0,
  unknownCount: 0,
});

const drawn = (id: string, date: string, more: Partial<RunDrawn>): RunDrawn => ({
  id,
  date,
  plan: planOf([]),
  findings: [],
  taken: new Map(),
  lent: new Map(),
  things: [],
  ...more,
});

const sources = (more: Partial<WantSources> = {}): WantSources => ({
  onHandG: new Map(),
  recipes: new Map(),
  unitOf: () => 'piece',
  ...more,
});

const runs: readonly RunToBuyFor[] = [
  { id: 'r1', date: '2027-02-06', prepareBy: '2027-02-04' },
  { id: 'r2', date: '2027-02-13', prepareBy: '2027-02-11' },
];

const lineOf = (
  given: readonly RunDrawn[],
  of: WantSources,
  itemId: string,
  coming: readonly Coming[] = [],
) => chosenWants(wantsOfRuns(given, of), runs, coming).find(({ want }) => want.itemId === itemId);

describe('what runs want, and have to buy', () => {
  test('wool adds up over runs, with what weighing loses, and is short by the day of each', () => {
    const line = lineOf(
      [
        drawn('r1', '2027-02-06', { plan: planOf([row('w', 80, 0, 2), row('w', 20, 5)]) }),
        drawn('r2', '2027-02-13', { plan: planOf([row('w', 60, 60)]) }),
      ],
      sources(),
      'w',
    );
    expect(line).toMatchObject({
      wanted: 162,
      short: 65,
      toBuy: 65,
      tiers: [
        { by: '2027-02-04', amount: 5 },
        { by: '2027-02-11', amount: 65 },
      ],
    });
    expect(line?.want.runs[0]?.uses).toEqual([
      { use: 'packs', amount: 100, blendId: null },
      { use: 'loss', amount: 2, blendId: null },
    ]);
  });

  test('what nobody has counted is not nought: nobody can tell what is short, and all of it is what would be bought', () => {
    const line = lineOf([drawn('r1', '2027-02-06', { plan: planOf([row('w', 80, null)]) })], sources(), 'w');
    expect(line).toMatchObject({
      wanted: 80,
      short: null,
      toBuy: null,
      tiers: [{ by: '2027-02-04', amount: 80 }],
    });
  });

  test('a blend that is short wants its fibres, out of what no run takes as it is', () => {
    const of = sources({
      onHandG: new Map([['grey', 50]]),
      recipes: new Map([
        [
          'moss',
          new Map([
            ['grey', 0.25],
            ['green', 0.75],
          ]),
        ],
      ]),
    });
    const given = [
      drawn('r1', '2027-02-06', { plan: planOf([row('moss', 100, 80), row('grey', 40, 0)]) }),
      drawn('r2', '2027-02-13', { plan: planOf([row('moss', 40, 40)]) }),
    ];
    // 50 on hand, 40 go out as they are: 10 are left for 20 + 10.
    expect(lineOf(given, of, 'grey')).toMatchObject({ wanted: 70, short: 20 });
    // Never counted.
    expect(lineOf(given, of, 'green')).toMatchObject({ wanted: 90, short: null });
  });

  test('what is lent comes back: the day that wants most tells', () => {
    const lent = (amount: number) => new Map([['n', { amount, pieces: [] }]]);
    const short = (amount: number) => [
      {
        kind: 'holder' as const,
        tool: { id: 'n' } as never,
        count: amount,
        isLent: true,
        unit: 'piece' as const,
        short: amount,
      },
    ];
    const given = [
      drawn('r1', '2027-02-06', { lent: lent(8), things: short(2) }),
      drawn('r2', '2027-02-13', { lent: lent(12), things: short(6) }),
    ];
    expect(lineOf(given, sources(), 'n')).toMatchObject({
      wanted: 12,
      short: 6,
      tiers: [
        { by: '2027-02-04', amount: 2 },
        { by: '2027-02-11', amount: 6 },
      ],
    });
  });

  test.each<{
    name: string;
    on: string | null;
    tiers: { by: string; amount: number }[];
    coming: number;
    late: number;
  }>([
    {
      name: 'in time for both',
      on: '2027-02-01',
      tiers: [{ by: '2027-02-11', amount: 35 }],
      coming: 30,
      late: 0,
    },
    {
      name: 'in time for the second only',
      on: '2027-02-08',
      tiers: [
        { by: '2027-02-04', amount: 5 },
        { by: '2027-02-11', amount: 35 },
      ],
      coming: 30,
      late: 0,
    },
    {
      name: 'too late for both',
      on: '2027-03-01',
      tiers: [
        { by: '2027-02-04', amount: 5 },
        { by: '2027-02-11', amount: 65 },
      ],
      coming: 0,
      late: 30,
    },
    {
      name: 'nobody knows when: it is not counted on',
      on: null,
      tiers: [
        { by: '2027-02-04', amount: 5 },
        { by: '2027-02-11', amount: 65 },
      ],
      coming: 0,
      late: 30,
    },
  ])('ordered already, $name', ({ on, tiers, coming, late }) => {
    const given = [
      drawn('r1', '2027-02-06', { plan: planOf([row('w', 80, 5)]) }),
      drawn('r2', '2027-02-13', { plan: planOf([row('w', 60, 60)]) }),
    ];
    expect(lineOf(given, sources(), 'w', [{ itemId: 'w', amount: 30, on }])).toMatchObject({
      tiers,
      coming,
      comingLate: late,
      toBuy: tiers.at(-1)?.amount,
    });
  });

  test('of runs that are not chosen nothing is bought, and what they draw stays promised', () => {
    const given = [
      drawn('other', '2027-02-01', { plan: planOf([row('w', 300, 200)]) }),
      drawn('r1', '2027-02-06', { plan: planOf([row('w', 80, 80)]) }),
    ];
    expect(lineOf(given, sources(), 'w')).toMatchObject({ wanted: 80, short: 80 });
  });
});

test('bought by its days, every run finds what it is short of when its work begins', () => {
  const amounts = fc.array(
    fc.record({ short: fc.integer({ min: 0, max: 90 }), day: fc.integer({ min: 1, max: 9 }) }),
    {
      minLength: 1,
      maxLength: 6,
    },
  );
  const arrivals = fc.array(
    fc.record({ amount: fc.integer({ min: 1, max: 60 }), day: fc.integer({ min: 1, max: 12 }) }),
    { maxLength: 3 },
  );
  fc.assert(
    fc.property(amounts, arrivals, (given, came) => {
      const day = (number: number) => `2027-02-${String(number).padStart(2, '0')}`;
      const chosen = given.map((run, at) => ({ id: `r${at}`, date: day(run.day), prepareBy: day(run.day) }));
      const wants = wantsOfRuns(
        given.map(({ short, day: on }, at) =>
          drawn(`r${at}`, day(on), { plan: planOf([row('w', short + 1, short)]) }),
        ),
        sources(),
      );
      const coming = came.map(({ amount, day: on }) => ({ itemId: 'w', amount, on: day(on) }));
      const [line] = chosenWants(wants, chosen, coming);
      // Day by day: what was short up to then against what has come and what was to be bought by then.
      for (let today = 1; today <= 9; today++) {
        const due = given.filter((run) => run.day <= today).reduce((sum, { short }) => sum + short, 0);
        const here = came
          .filter((arrival) => arrival.day <= today)
          .reduce((sum, { amount }) => sum + amount, 0);
        const bought = line?.tiers.findLast(({ by }) => (by ?? '') <= day(today))?.amount ?? 0;
        expect(here + bought).toBeGreaterThanOrEqual(due);
      }
    }),
  );
});
