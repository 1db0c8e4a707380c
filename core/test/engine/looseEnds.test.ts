import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, onlyFibres, rollUpSize, sizeLedger } from '../../src/engine/index.ts';
import {
  type Amount,
  blankJoin,
  blankPattern,
  type Join,
  missingForPublishing,
  type Part,
  type Pattern,
} from '../../src/pattern/index.ts';
import { type Shape, solidOf } from '../../src/shapes/index.ts';
import { fibre, mm, part, shapes, use } from '../support/make.ts';

const WOOL = onlyFibres(new Map([['core', fibre('core', { linearGPerM: 20 })]]));

const figure = (
  ownPart: Part,
  end: Partial<NonNullable<Join['looseEnd']>> | null,
  more: Partial<Join> = {},
): Pattern => ({
  ...blankPattern('Seal'),
  parts: [part('body', shapes.ball(80), { core: 'core' }), ownPart],
  joins: [
    {
      ...blankJoin('j', ownPart.id, 'body'),
      acrossBy: 'thickness',
      looseEnd: end && { partId: ownPart.id, length: null, ends: 1, amount: null, ...end },
      ...more,
    },
  ],
});

const cored = (shape: Shape, amount: Amount | null = null, more: Partial<Part> = {}): Part =>
  part('own', shape, { uses: [use('core', 'own-core', 'core', { amount })], ...more });

const gramsOf = (pattern: Pattern): number => estimatePattern(pattern, WOOL).parts[1]?.pieceG ?? NaN;
const grams = (massG: number): Amount => ({ form: 'grams', massG, highG: null, isWeighed: true });

describe('loose ends', () => {
  test.each([
    ['a ball', shapes.ball(40)],
    ['an egg', shapes.egg(50, 40)],
    ['an ellipsoid', shapes.ellipsoid(50, 40, 30)],
    ['a dome', shapes.dome(24, 8)],
    ['a cone', shapes.cone(30, 24)],
    ['a box', shapes.box(30, 20, 20)],
    ['a ring', shapes.ring(60, 12)],
  ])('%s has none of itself', (_name, shape) => {
    expect(gramsOf(figure(cored(shape), {}))).toBeCloseTo(gramsOf(figure(cored(shape), null)), 12);
    expect(estimatePattern(figure(cored(shape), {}), WOOL).joins[0]).toMatchObject({
      tailMm: null,
      looseEnd: null,
    });
  });
  test.each([
    ['a limb', shapes.limb(60, 14)],
    ['a taper', shapes.taper(60, 14, 6)],
    ['a coil', shapes.coil(120, 10, 4)],
    ['a sleeve', shapes.sleeve(60, 12, 1.6)],
    ['a flat piece', shapes.flat(50, 30, 3)],
    ['a strip', shapes.plate(65, 18, 2)],
    ['the point of a drop', shapes.drop(60, 30)],
  ])('%s has one, and no more than 15 % of it unless it is typed', (_name, shape) => {
    const [bareG, usualG] = [gramsOf(figure(cored(shape), null)), gramsOf(figure(cored(shape), {}))];
    expect(usualG).toBeGreaterThan(bareG);
    expect(usualG / bareG - 1).toBeLessThanOrEqual(0.15 + 1e-9);
    expect(gramsOf(figure(cored(shape), { length: mm(60) }))).toBeGreaterThan(usualG);
  });
  test('a typed tail of a round piece is a neck, half as thick as the piece or as the join is said to be', () => {
    const neckG = (across: number | null) =>
      gramsOf(
        figure(cored(shapes.ball(40)), { length: mm(20) }, { across: across === null ? null : mm(across) }),
      ) - gramsOf(figure(cored(shapes.ball(40)), null));
    // Rolled tight: a ball 40 is rolled to 40·(0.15 / 0.055)^⅓.
    const growth = Math.cbrt(0.15 / 0.055);
    const byHand = (finishedMm: number) => ((Math.PI / 4) * (finishedMm * growth) ** 2 * 20 * 0.055) / 1000;
    expect(neckG(null)).toBeCloseTo(byHand(20), 9);
    expect(neckG(12)).toBeCloseTo(byHand(12), 9);
  });
  test('3 g of neck with two ends is 3 g, unless they are said to come on top', () => {
    const neck = cored(shapes.limb(50, 20), grams(3));
    expect(gramsOf(figure(neck, { ends: 2 }))).toBe(3);
    expect(gramsOf(figure({ ...neck, endsApart: true }, { ends: 2 }))).toBeGreaterThan(3);
    expect(estimatePattern(figure(neck, { ends: 2 }), WOOL).joins[0]).toMatchObject({ isEndIncluded: true });
  });
  test('legs weighed at 1.5 g × 4 are 6 g', () => {
    const legs = cored(shapes.byGrams(1.5), null, { count: 4 });
    expect(estimatePattern(figure(legs, {}), WOOL).parts[1]?.total.likelyG).toBeCloseTo(6, 9);
  });
  test('2 in between two ends of half an inch is rolled from what gives 3 in', () => {
    const ownCored = cored({ kind: 'limb', length: { value: 2, unit: 'in' }, diameter: mm(10) });
    const estimate = estimatePattern(figure(ownCored, { ends: 2, length: { value: 0.5, unit: 'in' } }), WOOL)
      .parts[1];
    if (!estimate) throw new Error('a part');
    const felted = sizeLedger(estimate).find(({ stage }) => stage === 'felted');
    expect(felted?.sizesMm[0]).toBeCloseTo(3 * 25.4, 9);
    expect(felted?.tailMm).toBeCloseTo(25.4, 9);
  });
  test('what is counted or weighed has one by length and sliver, or stated; else it is unknown and stops publishing', () => {
    const locks = cored(shapes.byCount(), grams(2), { endsApart: true });
    const codes = (pattern: Pattern) => missingForPublishing(pattern).map(({ code }) => code);
    expect(codes(figure(locks, {}))).toContain('loose_end_unknown');
    expect(estimatePattern(figure(locks, {}), WOOL).parts[1]?.total.unknownCount).toBe(1);
    const sliver = figure(locks, { length: mm(40), amount: { by: 'sliver', ways: 4 } });
    expect(codes(sliver)).not.toContain('loose_end_unknown');
    expect(gramsOf(sliver)).toBeCloseTo(2 + (0.04 * 20) / 4, 9);
    const weighed = figure(locks, { ends: 2, amount: { by: 'grams', massG: 0.2 } });
    expect(codes(weighed)).not.toContain('loose_end_unknown');
    expect(gramsOf(weighed)).toBeCloseTo(2.4, 9);
  });
});

describe('where a piece is joined', () => {
  const joinOf = (shape: Shape, more: Partial<Join> = {}) =>
    estimatePattern(
      figure(cored(shape), null, {
        cover: { fibreId: 'core', band: null, words: '', wordsSizeFraction: 1, isIfNeeded: false },
        ...more,
      }),
      WOOL,
    );
  test.each([
    ['a dome round its base', shapes.dome(24, 8), 24],
    ['a flat cone round its base', shapes.cone(8, 24), 24],
    ['a short drop round its body', shapes.drop(30, 50), 50],
    ['a ring round its rope', shapes.ring(60, 12), 12],
    ['a coil round its thick end', shapes.coil(140, 10, 4), 10],
    ['a limb', shapes.limb(60, 14), 14],
    ['a ball', shapes.ball(30), 30],
  ])('%s', (_name, shape, acrossMm) => {
    expect(joinOf(shape).joins[0]?.acrossMm).toBeCloseTo(acrossMm, 9);
  });
  test.each([
    ['a dome sinks off its height', shapes.dome(24, 8), [24, 5]],
    ['a cone off its height', shapes.cone(20, 24), [17, 24]],
    ['a drop off its length', shapes.drop(60, 30), [57, 30]],
    ['a limb off its length', shapes.limb(60, 14), [57, 14]],
  ])('%s', (_name, shape, sizesMm) => {
    const part = joinOf(shape, { sink: mm(3) }).parts[1];
    if (!part) throw new Error('a part');
    expect(sizeLedger(part).at(-1)).toMatchObject({ stage: 'joined', sizesMm });
  });
});

describe('a roll holds its wool', () => {
  const solid = (shape: Shape) => {
    const result = solidOf(shape);
    if (result.kind !== 'solid') throw new Error('sizes');
    return result.solid;
  };
  test.each([
    ['a stub', shapes.limb(20, 20)],
    ['a short limb', shapes.limb(30, 20)],
    ['a long one', shapes.limb(90, 12)],
    ['a taper', shapes.taper(60, 14, 0)],
    ['a ring', shapes.ring(60, 12)],
    ['a coil', shapes.coil(140, 10, 4)],
  ])('%s: rolled volume × packed density is its mass', (_name, shape) => {
    fc.assert(
      fc.property(fc.double({ min: 1.2, max: 14, noNaN: true }), (q) => {
        const core = solid(shape);
        const massG = (core.volumeMm3 / 1000) * 0.15;
        const rolled = rollUpSize(core, massG, { packing: 'tight', gPerCm3: 0.15 / q, q });
        if (rolled.kind !== 'rolled') throw new Error('rolled');
        expect((rolled.solid.volumeMm3 / 1000) * (0.15 / q)).toBeCloseTo(massG, 8);
      }),
      { numRuns: 40 },
    );
  });
});
