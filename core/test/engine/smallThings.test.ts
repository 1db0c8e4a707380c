import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { calibrate, handsMeasures, type KnownUse } from '../../src/engine/index.ts';
import {
  allowances,
  blankRecipe,
  blankSeat,
  checkRun,
  planGroups,
  RUN_DEFAULTS,
  type RunInput,
} from '../../src/run/index.ts';
import { fibre } from '../support/make.ts';

const wisp = (massG: number): KnownUse => ({
  kind: 'known',
  owner: { kind: 'part', id: 'p' },
  useId: 'u',
  role: 'line',
  fibreId: 'f',
  isIfNeeded: false,
  count: { low: 1, likely: 1, high: 1 },
  pieceG: massG,
  all: { lowG: massG, likelyG: massG, highG: massG },
  packG: massG,
  packMiddleG: massG,
  range: null,
  otherStatements: [],
  term: { group: 'f', cause: 'piece', pieceG: massG, count: 1, sharedSigma: 0.1, ownSigma: 0.1 },
  source: 'calculated',
  comparison: null,
  isUntil: false,
});

const bag = {
  key: 'figure',
  holds: { kind: 'figure' },
  makeAt: null,
  order: 0,
  isKeptBack: false,
  merged: [],
} as const;

describe('what is hardly there', () => {
  test('a portion under a billionth of a gram, in two sorts of pack, has an error that is a number', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-15, max: 1e-3, noNaN: true }), (massG) => {
        const plan = planGroups(
          ['a', 'b'].map((key) => ({ key, packs: 3, uses: [{ use: wisp(massG), bag, makeAt: 0 }] })),
          { scaleStepG: 0.1, extraFraction: 0.1 },
          () => ({ onHandG: 5, promisedG: 0 }),
        );
        const all = plan.groups.flatMap(({ plan: group }) => group.fibres);
        for (const { weighing } of all) {
          if (weighing.kind === 'together') expect(Number.isFinite(weighing.errorFraction)).toBe(true);
        }
        expect(Number.isFinite(plan.classG)).toBe(true);
      }),
    );
  });
  test('a strip torn from batt, or a square cut from sheet, is never short of its grams', () => {
    const calibration = calibrate([], { handMeasures: [], learnt: null, fibreOf: () => null });
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 60, noNaN: true }),
        fc.double({ min: 20, max: 300, noNaN: true }),
        (massG, rollMm) => {
          for (const preparation of ['batt', 'felt'] as const) {
            const ways = handsMeasures(
              massG,
              fibre('f', { preparation, arealGPerM2: 300 }),
              calibration,
              rollMm,
            );
            const laid = ways.find((way) => way.kind === 'strip' || way.kind === 'square');
            expect(laid && 'roundingFraction' in laid ? laid.roundingFraction : 0).toBeGreaterThanOrEqual(
              -1e-9,
            );
          }
        },
      ),
    );
  });
});

test('colours of two hundred who have not chosen are within a hundredth of the finest sum', () => {
  const variants = [1, 2, 3, 4, 5].map((at) => ({
    share: 0.2,
    grams: new Map([[`figure|f${at}`, 3.1 + at * 1.37]]),
  }));
  const found = allowances(variants, 200, 0.95);
  for (const [at, massG] of [...found.values()].entries()) {
    // As many as 95 % need at most, binomial by its normal limit.
    const each = 3.1 + (at + 1) * 1.37;
    const middle = 200 * 0.2;
    expect(massG / each).toBeGreaterThan(middle);
    expect(massG / each).toBeLessThan(middle + 4 * Math.sqrt(200 * 0.2 * 0.8));
  }
});

test('nobody sits at a box', () => {
  const kits: RunInput = {
    ...RUN_DEFAULTS,
    kind: 'kits',
    name: 'Boxes',
    date: '2026-12-05',
    revisionId: 'r',
    recipes: [blankRecipe('b', 'r')],
    roster: [blankSeat(1)],
    ownBags: [],
    swapIds: [],
  };
  expect(checkRun(kits).map(({ code }) => code)).toEqual(['boxes_have_no_seats']);
  expect(checkRun({ ...kits, roster: [] })).toEqual([]);
}); // prettier-ignore
