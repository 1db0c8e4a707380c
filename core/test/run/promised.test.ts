import { describe, expect, test } from '@jest/globals';
import type { Wool } from '../../src/engine/index.ts';
import { needleCounts } from '../../src/needles/index.ts';
import { BLANK_STEP, blankCut, type Cut, type Pattern } from '../../src/pattern/index.ts';
import {
  addPromises,
  findingsOfRun,
  findingsTaken,
  needlesOfBox,
  NO_PROMISES,
  RUN_DEFAULTS,
  type RunInput,
  type ThingPromise,
  thingsShort,
  thingsTaken,
  toPackOf,
} from '../../src/run/index.ts';
import {
  BLANK_FINDING,
  blankMeasure,
  byGauge,
  type Finding,
  type FindingMeasure,
  wantedKey,
} from '../../src/shelf/index.ts';
import { classOf, duo, kitsOf } from '../support/coast.ts';
import { fibre, mm, part, pattern, shapes } from '../support/make.ts';

const finding = (
  id: string,
  measure: FindingMeasure,
  onHand: number | null,
  more: Partial<Finding> = {},
): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  measure,
  onHand,
  peak: 100,
  ...more,
});
const count = (sort: 'eye' | 'bead', piecesPerPack = 10): FindingMeasure =>
  ({ ...blankMeasure('count'), sort, piecesPerPack }) as FindingMeasure;
const length = (metresPerPack: number): FindingMeasure =>
  ({ ...blankMeasure('length'), metresPerPack }) as FindingMeasure;
const area = (sheetLengthMm: number, sheetWidthMm: number): FindingMeasure =>
  ({ ...blankMeasure('area'), sheetLengthMm, sheetWidthMm }) as FindingMeasure;

const woolOf = (...findings: Finding[]): Wool => ({
  fibres: new Map([['core', fibre('core')]]),
  findings: new Map(findings.map((ownFinding) => [ownFinding.id, ownFinding])),
  handMeasures: [],
  learnt: null,
});

/** A round dog with two eyes and whatever is cut for it. */
const dog = (cuts: Cut[] = [], eyes = 2): Pattern =>
  pattern([part('body', shapes.ball(60), { core: 'core' })], {
    cuts,
    findings: eyes > 0 ? [{ id: 'e', findingId: 'eye', partId: 'body', count: eyes, placement: null }] : [],
  });
const cutOf = (findingId: string, more: Partial<Cut>, kind: Cut['kind'] = 'length', id = 'c'): Cut =>
  ({ ...blankCut(id, kind), findingId, ...more }) as Cut;

const run = (seats: number, more: Partial<RunInput> = {}): RunInput => ({
  ...RUN_DEFAULTS,
  name: 'Dogs',
  date: '2026-12-05',
  revisionId: 'dog',
  seats,
  sparePacks: 0,
  ownBags: [],
  ...more,
});
const NO_SPARES = { findingSpares: [{ findingId: 'eye', rule: { by: 'none' as const } }] };

const findingsOf = (
  pattern: Pattern,
  input: RunInput,
  wool: Wool,
  before: ReadonlyMap<string, ThingPromise> = NO_PROMISES,
) => findingsOfRun(toPackOf(new Map([['dog', pattern]]), input, wool), wool.findings, input, before);

describe('findings are promised once', () => {
  test('48 eyes and two classes of 24 pairs each: the second is short of all of them', () => {
    const wool = woolOf(finding('eye', count('eye'), 48));
    const input = run(24, NO_SPARES);
    const [first] = findingsOf(dog(), input, wool);
    expect(first).toMatchObject({ total: 48, short: 0, putUps: 0 });
    const toPack = toPackOf(new Map([['dog', dog()]]), input, wool);
    const promised = thingsTaken(toPack, input, { findings: wool.findings, needles: [], tools: [] });
    const [second] = findingsOf(dog(), input, wool, promised);
    expect(second).toMatchObject({ total: 48, promised: 48, short: 48, putUps: 5 });
    const sources = { findings: wool.findings, needles: [], tools: [], kit: null, promised };
    expect(thingsShort(toPack, input, sources)).toMatchObject([{ kind: 'finding', findingId: 'eye', short: 48 }]);
    expect(thingsShort(toPack, input, { ...sources, promised: NO_PROMISES })).toEqual([]);
  });
  test('what nobody has counted is told, never taken for enough', () => {
    const wool = woolOf(finding('eye', count('eye'), null));
    const toPack = toPackOf(new Map([['dog', dog()]]), run(2), wool);
    expect(thingsShort(toPack, run(2), { findings: wool.findings, needles: [], tools: [], kit: null, promised: NO_PROMISES })).toMatchObject([{ short: null }]);
  });
  test('promises add up, with their pieces', () => {
    const all = new Map<string, ThingPromise>();
    addPromises(all, new Map([['a', { amount: 2, pieces: [] }]]));
    addPromises(all, new Map([['a', { amount: 3, pieces: [] }], ['b', { amount: 1, pieces: [] }]]));
    expect([...all].map(([id, { amount }]) => [id, amount])).toEqual([['a', 5], ['b', 1]]);
  });
}); // prettier-ignore

describe('to buy is counted in pieces that can be cut', () => {
  const panel = (l: number, w: number) => cutOf('stock', { length: mm(l), width: mm(w) }, 'panel');
  test.each([
    ['12 × 60 cm from 1 m reels', [cutOf('stock', { length: mm(600) })], length(1), 12],
    ['24 × 16 cm from 30 cm sticks', [cutOf('stock', { length: mm(160), count: 2 })], length(0.3), 24],
    ['12 × (14.5 + 17 cm) from 30 cm', [cutOf('stock', { length: mm(145) }, 'length', 'a'), cutOf('stock', { length: mm(170) }, 'length', 'b')], length(0.3), 18],
    ['12 × (13 × 12 cm) from 20 × 20', [panel(130, 120)], area(200, 200), 12],
    ['12 × (25.5 × 18) from 20 × 30', [panel(255, 180)], area(200, 300), 12],
    ['12 squares of 80 mm from 150 × 450', [panel(80, 80)], area(150, 450), 3],
  ] as const)('%s', (_name, cuts, measure, putUps) => {
    const wool = woolOf(finding('stock', measure, 0));
    const [row] = findingsOf(dog([...cuts], 0), run(12), wool);
    expect(row).toMatchObject({ putUps, isFewestProven: true });
  });
  test('a piece longer than its stick is refused with the reason', () => {
    const wool = woolOf(finding('stock', length(0.3), 5));
    expect(findingsOf(dog([cutOf('stock', { name: 'front legs', length: mm(310) })], 0), run(2), wool)[0]).toMatchObject({
      short: null,
      tooLarge: { name: 'front legs', sizesMm: [310], putUpMm: [300] },
    });
  });
  test('whole sticks on the shelf count, and what is left of one that is begun', () => {
    const buys = (onHand: number) => findingsOf(dog([cutOf('stock', { length: mm(160) })], 0), run(5), woolOf(finding('stock', length(0.3), onHand)))[0]?.putUps;
    expect([0, 0.3, 0.6, 0.61, 0.77, 1.5].map(buys)).toEqual([5, 4, 3, 3, 2, 0]);
  });
  test('runs before take their pieces first', () => {
    const wool = woolOf(finding('stock', length(0.3), 0.9));
    const before = new Map([['stock', { amount: 0.32, pieces: [{ cutId: 'x', name: '', cut: { kind: 'length' as const, lengthMm: 160 }, sizes: [], count: 2, outline: null }] }]]);
    expect(findingsOf(dog([cutOf('stock', { length: mm(160) })], 0), run(2), wool, before)[0]).toMatchObject({ putUps: 1 });
  });
}); // prettier-ignore

describe('a cut keeps the size its author typed', () => {
  const inches = (value: number) => ({ value, unit: 'in' as const });
  const sizesOf = (cut: Cut, lengthUnit: 'mm' | 'in' = 'in') =>
    toPackOf(new Map([['dog', { ...dog([cut], 0), lengthUnit }]]), run(1), woolOf(finding('stock', area(300, 300), 1), finding('reel', length(5), 1)))
      .estimates.values().next().value?.makes[0]?.cuts[0]?.sizes;
  test.each([
    ['3 × 3 in stays 3 × 3 in', cutOf('stock', { length: inches(3), width: inches(3) }, 'panel'), 'in', [inches(3), inches(3)]],
    ['137 mm stays 137 mm', cutOf('reel', { length: mm(137) }), 'mm', [mm(137)]],
    ['a computed one is rounded up once, to 5 mm', cutOf('reel', { drop: mm(68), fold: mm(0), knots: 0, handling: mm(0) }, 'cord'), 'mm', [mm(140)]],
    ['or to a quarter inch', cutOf('reel', { drop: mm(68), fold: mm(0), knots: 0, handling: mm(0) }, 'cord'), 'in', [inches(5.5)]],
    ['the typed height of a tube stays', cutOf('stock', { height: mm(26), diameter: mm(30), overlap: mm(6) }, 'tube-panel'), 'mm', [mm(105), mm(26)]],
  ] as const)('%s', (_name, cut, unit, sizes) => expect(sizesOf(cut, unit)).toEqual(sizes));
}); // prettier-ignore

describe('spares are a rule', () => {
  const wool = woolOf(finding('eye', count('eye'), 500));
  const spares = (input: RunInput, ownFinding: Partial<Finding> = {}) => {
    const shelf = woolOf(finding('eye', count('eye'), 500, ownFinding));
    return findingsTaken(toPackOf(new Map([['dog', dog()]]), input, shelf), shelf.findings, input).map(({ total, spare, spareBag }) => [total, spare, spareBag])[0];
  };
  test('a class of twelve keeps a pair for every table, in the spare bag: 24 and 6, not 48', () => {
    expect(spares(run(12, { seatsPerTable: 4 }))).toEqual([30, 6, 6]);
  });
  test.each([
    ['none', { by: 'none' }, [24, 0, 0]],
    ['two in every pack', { by: 'pack', count: 2 }, [48, 24, 0]],
    ['one for every table', { by: 'table', count: 1 }, [27, 3, 3]],
    ['five for the run', { by: 'run', count: 5 }, [29, 5, 5]],
    ['a tenth', { by: 'share', fraction: 0.1 }, [27, 3, 3]],
  ] as const)('%s, by the finding; other in a run', (_name, rule, wanted) => {
    const seats = run(12, { seatsPerTable: 4 });
    expect(spares(seats, { spares: rule })).toEqual(wanted);
    expect(spares({ ...seats, findingSpares: [{ findingId: 'eye', rule }] }, { spares: { by: 'run', count: 99 } })).toEqual(wanted);
  });
  test('boxes have none unless it is said', () => {
    const kits = kitsOf([duo({ designs: [{ revisionId: 'dog', copies: 1, choices: { values: {}, colourwayId: null, swapIds: [] } }], packaging: [], boxes: 6, spares: 0 })], { revisionId: 'dog' });
    expect(findingsTaken(toPackOf(new Map([['dog', dog()]]), kits, wool), wool.findings, kits)[0]).toMatchObject({ total: 12, spare: 0 });
  });
}); // prettier-ignore

describe('one arithmetic of needles', () => {
  const stepOf = (id: string, gauge: number, profile: 'triangular' | null, holder: number | null = null) => ({ ...BLANK_STEP, id, text: id, act: { kind: 'felt' as const }, needle: byGauge(gauge, profile), holder, minutes: 5 });
  test('38 and 38 triangular are one needle', () => {
    const steps = [stepOf('a', 38, null), stepOf('b', 38, 'triangular'), stepOf('c', 40, null)];
    expect(needleCounts({ ...dog(), steps }).map(({ wanted, count: n, stepIds }) => [wanted, n, stepIds])).toEqual([
      [byGauge(38, 'triangular'), 1, ['a', 'b']],
      [byGauge(40, null), 1, ['c']],
    ]);
  });
  test('two in a holder are two everywhere; a box may leave a sort out', () => {
    const steps = [stepOf('a', 36, null, 2), stepOf('b', 38, null)];
    const designs = new Map([['bird-1', { ...dog(), steps }], ['pear-1', { ...dog(), steps: [stepOf('a', 38, 'triangular')] }]]);
    const boxOf = (needlesLeftOut: string[]) => {
      const [group] = toPackOf(designs, kitsOf([duo({ needlesLeftOut })]), woolOf()).groups;
      return group ? needlesOfBox(group, []).map(({ wanted, count: n }) => [wanted, n]) : [];
    };
    expect(boxOf([])).toEqual([[byGauge(36, null), 2], [byGauge(38, 'triangular'), 1]]);
    expect(boxOf(['36'])).toEqual([[byGauge(38, 'triangular'), 1]]);
    // As it is shown: the one needle of both designs, left out once.
    expect(boxOf([wantedKey(byGauge(38, 'triangular'))])).toEqual([[byGauge(36, null), 2]]);
    expect(classOf().kind).toBe('class');
  });
}); // prettier-ignore
