import { describe, expect, test } from '@jest/globals';
import { estimatePart, estimatePattern, sizeLedger } from '../../src/engine/index.ts';
import { blankJoin, checkPattern, type Part, type Pattern } from '../../src/pattern/index.ts';
import { finding, WOOL, known } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';

describe('joins', () => {
  const two = (more: Partial<ReturnType<typeof blankJoin>>): Pattern =>
    pattern(
      [part('body', shapes.ball(60), { coat: 'dark' }), part('leg', shapes.limb(50, 12), { count: 4 })],
      {
        joins: [{ ...blankJoin('j', 'leg', 'body'), acrossBy: 'thickness', ...more }],
      },
    );
  test('a loose end is the rolled section × its length × packed density, and is rolled with its part', () => {
    const estimate = estimatePattern(
      two({ looseEnd: { partId: 'leg', length: mm(12), ends: 1, amount: null } }),
      WOOL,
    );
    const leg = estimate.parts[1];
    if (leg?.rollUp?.kind !== 'rolled') throw new Error('rolled');
    const tailG = ((Math.PI / 4) * leg.rollUp.solid.widthMm ** 2 * 12 * 0.055) / 1000;
    expect(known(leg.uses.at(-1)).pieceG).toBeCloseTo(tailG, 9);
    expect(leg.total.likelyG).toBeCloseTo(4 * (known(leg.uses[0]).pieceG + tailG), 9);
    expect(sizeLedger(leg).map(({ stage, tailMm }) => [stage, tailMm])).toEqual([
      ['rolled', 12],
      ['felted', 12],
      ['joined', 0],
    ]);
  });
  test.each([
    ['a thin roll: at least 10 mm', 6, 10],
    ['its own diameter', 18, 18],
    ['a thick one: at most 30 mm', 44, 30],
  ])('%s', (_name, diameter, tailMm) => {
    // Long enough that 15 % of it is no bound.
    const figure = pattern([part('a', shapes.ball(60)), part('b', shapes.limb(900, diameter))], {
      joins: [{ ...blankJoin('j', 'b', 'a'), acrossBy: 'thickness' }],
    });
    expect(estimatePattern(figure, WOOL).joins[0]?.tailMm).toBe(tailMm);
  });
  test('a cover is perimeter × band × 2, thick enough for the harder of the two colours', () => {
    const estimate = estimatePattern(
      two({ cover: { fibreId: 'coat', band: null, words: '', wordsSizeFraction: 1, isIfNeeded: false } }),
      WOOL,
    );
    const [join] = estimate.joins;
    const cover = known(join?.cover ?? undefined);
    expect(join?.bandMm).toBe(8);
    expect(cover.pieceG).toBeCloseTo((Math.PI * 12 * 8 * 2 * (join?.coat?.arealGPerM2 ?? 0)) / 1e6, 12);
    // The pale leg is nearer in colour to the grey cover than the dark body is: the body decides.
    expect(join?.coat?.deltaE).toBeGreaterThan(20);
    expect(cover.all.likelyG).toBeCloseTo(4 * cover.pieceG, 9);
    expect(estimate.roles.find(({ role }) => role === 'join-cover')?.total.likelyG).toBeCloseTo(
      4 * cover.pieceG,
      9,
    );
  });
  test('a cover belongs to no part: parts and covers add up to the whole', () => {
    const estimate = estimatePattern(
      two({ cover: { fibreId: 'coat', band: mm(9), words: '', wordsSizeFraction: 1, isIfNeeded: false } }),
      WOOL,
    );
    const parts = estimate.parts.reduce((sum, { total }) => sum + total.likelyG, 0);
    expect(parts + known(estimate.joins[0]?.cover ?? undefined).all.likelyG).toBeCloseTo(
      estimate.total.likelyG,
      9,
    );
  });
  test.each([
    ['a part onto itself', { ontoId: 'leg' }, 'join_to_itself'],
    ['a part that is gone', { ontoId: 'wing' }, 'part_not_found'],
    [
      'a loose end of a third',
      { looseEnd: { partId: 'x', length: null, ends: 1, amount: null } },
      'loose_end_of_neither',
    ],
  ])('may not be: %s', (_name, more, code) => {
    expect(checkPattern(two(more)).map((problem) => problem.code)).toContain(code);
  });
  test('a part inside itself, the long way round', () => {
    const figure = pattern(
      ['a', 'b', 'c'].map((id) => part(id, shapes.ball(20))),
      {
        joins: [blankJoin('1', 'a', 'b'), blankJoin('2', 'b', 'c'), blankJoin('3', 'c', 'a')],
      },
    );
    expect(checkPattern(figure)).toMatchObject([{ code: 'join_circular', names: ['a', 'b', 'c', 'a'] }]);
  });
});

describe('sizes that follow from others', () => {
  const derived = (from: Part['derived'][number]) =>
    part('plug', { kind: 'dome', diameter: null, rise: mm(8) }, { derived: [from] });
  test('the inside of a shell less its clearance, and a ratio of another part', () => {
    const plug = derived({ from: 'finding', size: 'diameter', findingId: 'shell', clearance: mm(2) });
    expect(estimatePart(plug, WOOL).solid?.widthMm).toBe(24);
    // Of shells of which no two are alike the widest: what is too large can be felted smaller.
    const findings = new Map([['shell', finding('shell', { innerMm: 23, innerHighMm: 26 })]]);
    expect(estimatePart(plug, { ...WOOL, findings }).solid?.widthMm).toBe(24);
    const half = derived({ from: 'part', size: 'diameter', partId: 'body', ofSize: 'diameter', ratio: 0.5 });
    expect(
      estimatePattern(pattern([half, part('body', shapes.ball(60))]), WOOL).parts[0]?.solid?.widthMm,
    ).toBe(30);
  });
  test.each([
    [
      'a shell nobody has measured',
      { from: 'finding', size: 'diameter', findingId: 'odd', clearance: mm(2) },
      'derived_unknown',
    ],
    [
      'itself',
      { from: 'part', size: 'diameter', partId: 'plug', ofSize: 'diameter', ratio: 2 },
      'derived_circular',
    ],
    [
      'nothing',
      { from: 'part', size: 'diameter', partId: null, ofSize: 'diameter', ratio: 2 },
      'derived_unknown',
    ],
    [
      'a clearance larger than the hollow',
      { from: 'finding', size: 'diameter', findingId: 'shell', clearance: mm(30) },
      'part_impossible',
    ],
  ] as const)('unknown, following from %s', (_name, from, reason) => {
    expect(estimatePart(derived(from), WOOL).uses[0]).toMatchObject({ kind: 'unknown', reason });
  });
});
