import { beforeAll, describe, expect, test } from '@jest/globals';
import { planCut, type PieceToCut } from '../../src/buying/index.ts';
import {
  amountOfCut,
  checkCutting,
  checkCuttingTerms,
  CUTTING_TERMS,
  type CutStock,
  wasteOfStock,
} from '../../src/cutting/index.ts';
import { BLANK_FINDING, type CutFrom, type Finding, thereToCut } from '../../src/shelf/index.ts';
import { highsSolvers, type Solvers } from '../../src/solving/index.ts';

let solvers: Solvers;
beforeAll(async () => {
  solvers = await highsSolvers();
});

const cutFrom = (more: Partial<CutFrom> = {}): CutFrom => ({
  offcuts: [],
  cutPieces: [],
  terms: CUTTING_TERMS,
  ...more,
});
const finding = (measure: Finding['measure'], onHand: number | null, from = cutFrom()): Finding => ({
  ...BLANK_FINDING,
  id: 'f',
  version: 1,
  name: 'f',
  measure,
  onHand,
  peak: 0,
  cutFrom: from,
});
const STEM = { by: 'length', sort: 'stem', diameterMm: null, linearGPerM: null, metresPerPack: 0.3 } as const;
const FELT = {
  by: 'area',
  sort: 'fabric',
  thicknessMm: null,
  arealGPerM2: null,
  nap: 'along-length',
  sheetLengthMm: 300,
  sheetWidthMm: 200,
} as const;

const piece = (key: string, lengthMm: number, widthMm: number, count: number): PieceToCut => ({
  key,
  name: key,
  runId: 'r',
  lengthMm,
  widthMm,
  count,
});

describe('what there is to cut from', () => {
  test.each([
    ['whole ones and one that is begun', STEM, 1, cutFrom(), 3, 100],
    [
      'offcuts are not counted twice',
      STEM,
      1,
      cutFrom({ offcuts: [{ id: 'o', lengthMm: 130, widthMm: 0 }] }),
      2,
      270,
    ],
    [
      'nor is what is cut already',
      STEM,
      1,
      cutFrom({ cutPieces: [{ lengthMm: 100, widthMm: 0, count: 4 }] }),
      2,
      0,
    ],
    ['never counted: nothing is known to be there', STEM, null, cutFrom(), 0, 0],
    ['of sheet that is begun nobody knows the shape', FELT, 900, cutFrom(), 1, 0],
    ['a remnant of sheet', FELT, 900, cutFrom({ offcuts: [{ id: 'o', lengthMm: 200, widthMm: 150 }] }), 1, 0],
  ] as const)('%s', (_name, measure, onHand, from, wholes, restMm) => {
    expect(thereToCut(finding(measure, onHand, from))).toMatchObject({ wholes, restMm });
  });
});

describe('a plan for one thing of the shelf', () => {
  test('offcuts first, then what is begun, then whole ones, and the rest is bought', () => {
    const from = cutFrom({ offcuts: [{ id: 'o1', lengthMm: 130, widthMm: 0 }] });
    // 0.83 m: an offcut of 130, two whole ones, and 100 of one that is begun.
    const plan = planCut(finding(STEM, 0.83, from), [piece('p', 130, 0, 7)], [], CUTTING_TERMS, solvers, 5);
    expect(plan.stocks.map(({ source, offcutId }) => [source, offcutId])).toEqual([
      ['offcut', 'o1'],
      ['whole', null],
      ['whole', null],
      ['bought', null],
    ]);
    expect(plan).toMatchObject({ bought: 1, atLeastBought: 1, isProven: true, notCut: [] });
    // Three times 40 are too short to keep.
    expect(plan.wasteAmount).toBeCloseTo(0.12, 9);
  });

  test('sheets with a nap are not turned; their cuts come in their order', () => {
    const plan = planCut(finding(FELT, 1200), [piece('p', 140, 90, 4)], [], CUTTING_TERMS, solvers, 5);
    expect(plan.bought).toBe(0);
    const parts = plan.stocks.flatMap((stock) => stock.parts.filter(({ kind }) => kind === 'piece'));
    expect(parts).toHaveLength(4);
    expect(parts.every(({ isTurned, lengthMm }) => !isTurned && lengthMm === 140)).toBe(true);
    for (const { cuts } of plan.stocks) expect(cuts.length).toBeGreaterThan(3);
  });

  test('what is counted by the piece is not cut', () => {
    const bead = { ...finding(STEM, 3), measure: BLANK_FINDING.measure };
    expect(planCut(bead, [piece('p', 10, 0, 1)], [], CUTTING_TERMS, solvers, 5)).toMatchObject({
      stocks: [],
      bought: 0,
    });
  });
});

describe('what a plan leaves', () => {
  const part = { key: null, xMm: 0, yMm: 0, isTurned: false, isKept: false } as const;
  const stick: CutStock = {
    source: 'whole',
    offcutId: null,
    lengthMm: 300,
    widthMm: 0,
    cuts: [],
    parts: [
      { ...part, kind: 'piece', key: 'p', lengthMm: 130, widthMm: 0 },
      { ...part, kind: 'rest', xMm: 130, lengthMm: 120, widthMm: 0, isKept: true },
      { ...part, kind: 'rest', xMm: 250, lengthMm: 50, widthMm: 0 },
    ],
  };
  test('in metres of a stick, in cm² of a sheet', () => {
    expect(amountOfCut({ lengthMm: 250, widthMm: 0 })).toBe(0.25);
    expect(amountOfCut({ lengthMm: 200, widthMm: 150 })).toBe(300);
    expect(wasteOfStock(stick)).toBeCloseTo(0.05, 9);
  });
  const plan = {
    itemId: 'f',
    pieces: [{ key: 'p', name: 'p', runId: 'r', lengthMm: 130, widthMm: 0 }],
    stocks: [stick],
    terms: CUTTING_TERMS,
  };
  test('a sound one', () => expect(checkCutting(plan)).toEqual([]));
  test.each([
    [
      'past the end',
      { ...part, kind: 'piece', key: 'p', xMm: 200, lengthMm: 130, widthMm: 0 },
      'part_outside',
    ],
    [
      'before the start',
      { ...part, kind: 'piece', key: 'p', xMm: -5, lengthMm: 130, widthMm: 0 },
      'part_outside',
    ],
    [
      'beside a stick',
      { ...part, kind: 'piece', key: 'p', yMm: 1, lengthMm: 130, widthMm: 5 },
      'part_outside',
    ],
    ['nobody’s', { ...part, kind: 'piece', key: 'x', lengthMm: 130, widthMm: 0 }, 'piece_unknown'],
  ] as const)('a piece %s', (_name, wrong, code) => {
    expect(checkCutting({ ...plan, stocks: [{ ...stick, parts: [wrong] }] })).toMatchObject([
      { code, pointer: '/stocks/0/parts/0' },
    ]);
  });
  test.each(['kerfMm', 'endWasteMm', 'marginMm', 'offcutFromMm'] as const)('%s below nothing', (key) =>
    expect(checkCuttingTerms({ ...CUTTING_TERMS, [key]: -1 })).toMatchObject([{ pointer: `/${key}` }]),
  );
});
