import { describe, expect, test } from '@jest/globals';
import { estimatePattern, forMakes } from '../../src/engine/index.ts';
import { blankPart, blankPattern, blankUse, type Part, type Use } from '../../src/pattern/index.ts';
import { BLANK_FIBRE, type Fibre, sheetOfFibre, gramsPerCm2, thereToCut } from '../../src/shelf/index.ts';
import { CUTTING_TERMS } from '../../src/cutting/index.ts';

const mm = (value: number) => ({ value, unit: 'mm' as const });
const fibre = (id: string, more: Partial<Fibre> = {}): Fibre => ({
  ...BLANK_FIBRE,
  id,
  name: id,
  version: 1,
  lots: [],
  onHandG: null,
  peakG: 0,
  ...more,
});
const FELT = fibre('felt', { preparation: 'felt', arealGPerM2: 300, sheetLengthMm: 300, sheetWidthMm: 200 });
const WOOL = {
  fibres: new Map([
    ['felt', FELT],
    ['pre', fibre('pre', { preparation: 'pre-felt', arealGPerM2: 180 })],
    ['tops', fibre('tops', { preparation: 'tops' })],
  ]),
  findings: new Map(),
  handMeasures: [],
  learnt: null,
};

const use = (role: Use['role'], fibreId: string, more: object = {}): Use =>
  Object.assign(blankUse(`${role}-${fibreId}`, role, fibreId), more);
const leaf = (uses: readonly Use[], more: Partial<Part> = {}): Part => ({
  ...blankPart('leaf', 'Leaf'),
  shape: { kind: 'flat-ellipse', length: mm(60), width: mm(25), thickness: mm(3) },
  count: 2,
  ...more,
  uses: [...uses],
});
const piecesOf = (part: Part) => estimatePattern({ ...blankPattern('x'), parts: [part] }, WOOL).sheetPieces;

describe('felt and pre-felt by the piece', () => {
  test.each([
    ['a flat piece by its outline’s box, as often as it is made', leaf([use('core', 'felt')]), [[60, 25, 2]]],
    [
      'as its author says it is cut',
      leaf([use('core', 'felt', { amount: { form: 'sheet', length: mm(80), width: mm(40) } })]),
      [[80, 40, 2]],
    ],
    [
      'a patch on each, and a dot',
      leaf([
        use('patch', 'pre', { length: mm(12), width: mm(8), count: 3 }),
        use('dot', 'felt', { diameter: mm(5), count: 2 }),
      ]),
      [
        [12, 8, 6],
        [5, 5, 4],
      ],
    ],
    [
      'the high end of a count is cut',
      leaf([use('core', 'felt')], { count: { low: 2, high: 4 } }),
      [[60, 25, 4]],
    ],
    [
      'said by the gram it has no shape',
      leaf([use('core', 'felt', { amount: { form: 'grams', massG: 2, highG: null, isWeighed: false } })]),
      [],
    ],
    ['wool that is no sheet', leaf([use('core', 'tops')]), []],
    ['a size nobody has given', leaf([use('patch', 'felt', { length: null, width: mm(8), count: 1 })]), []],
    [
      'a ball is not cut from a sheet',
      { ...leaf([use('core', 'felt')]), shape: { kind: 'ball', diameter: mm(30) } },
      [],
    ],
    ['only if needed: it is not cut beforehand', leaf([use('core', 'felt', { isIfNeeded: true })]), []],
  ] as const)('%s', (_what, part, expected) => {
    expect(
      piecesOf(part).map(({ lengthMm, widthMm, count }) => [
        Math.round(lengthMm),
        Math.round(widthMm),
        count,
      ]),
    ).toEqual(expected);
  });

  test('several makes take as many times more', () => {
    const estimate = estimatePattern({ ...blankPattern('x'), parts: [leaf([use('core', 'felt')])] }, WOOL);
    expect(forMakes(estimate, 7).sheetPieces.map(({ count }) => count)).toEqual([14]);
  });
});

describe('felt as the sheets it is', () => {
  const cutFrom = { offcuts: [], cutPieces: [], terms: CUTTING_TERMS };
  test.each([
    // 300 g/m²: a sheet of 300 × 200 is 18 g, and 40 g are two of them.
    ['by what it weighs', { ...FELT, onHandG: 40 }, 2],
    ['a gram less than one is none', { ...FELT, onHandG: 17 }, 0],
    ['never counted, nothing is known to be there', FELT, 0],
  ])('%s', (_what, felt, wholes) => {
    const sheet = sheetOfFibre(felt, cutFrom);
    expect(sheet && thereToCut(sheet).wholes).toBe(wholes);
  });
  test('of unknown size it is no sheet', () => {
    expect(sheetOfFibre({ ...FELT, sheetLengthMm: null }, cutFrom)).toBeNull();
    expect(gramsPerCm2(FELT)).toBeCloseTo(0.03, 12);
  });
});
