import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type Amount,
  BLANK_FINDING,
  blankJoin,
  blankMeasure,
  countRange,
  DENSEST_FELT_G_PER_CM3,
  duplicatePart,
  estimatePart,
  estimatePattern,
  type Finding,
  type FindingMeasure,
  forMakes,
  HAIR_G_PER_M2,
  hairMass,
  type KnownUse,
  type Part,
  type Pattern,
  sizeLedger,
  type UseEstimate,
  warningsOf,
  type Wool,
  handsMeasures,
  upgradePattern,
  withoutPart,
  checkPattern,
} from '../src/index.ts';
import { unknownWords, warningWords } from '../src/words/index.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from './support/make.ts';
import { gaussian } from './support/random.ts';

const finding = (id: string, measure: Partial<FindingMeasure>): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  onHand: null,
  peak: 0,
  measure: { ...blankMeasure('count'), ...measure } as FindingMeasure,
});

const SHELF = shelf(
  fibre('core', { colour: '#e6e0d2', preparation: 'core-batt', arealGPerM2: 340 }),
  fibre('coat', { colour: '#777777', linearGPerM: 14, stapleMm: 60 }),
  fibre('dark', { colour: '#1d1c1e' }),
  fibre('tops', { preparation: 'tops', linearGPerM: 24, stapleMm: 75 }),
  fibre('yarn', { preparation: 'yarn', linearGPerM: 2 }),
  fibre('bare', { preparation: 'tops', linearGPerM: null }),
);
const WOOL: Wool = {
  ...SHELF,
  findings: new Map([
    ['bead', finding('bead', { outerMm: { length: 12, width: 12, height: 11 }, innerMm: 3 })],
    ['shell', finding('shell', { innerMm: 26 })],
    ['odd', finding('odd', {})],
  ]),
  handMeasures: [{ name: 'pinch', massG: 0.1, lowG: 0.08, highG: 0.125, weighedAt: '2026-01-01' }],
};

const known = (one: UseEstimate | undefined): KnownUse => {
  if (one?.kind !== 'known') throw new Error(`expected a known amount, got ${JSON.stringify(one)}`);
  return one;
};
const usesOf = (own: Part, wool: Wool = WOOL) => estimatePart(own, wool).uses;
const gramsOf = (own: Part, at: number, wool: Wool = WOOL) => known(usesOf(own, wool)[at]).pieceG;
const stated = (amount: Amount, fibreId = 'core') =>
  part('p', shapes.ball(60), { uses: [use('core', 'c', fibreId, { amount })] });

describe('roles', () => {
  test('a sleeve weighs its tube without the wire: the reference 23.886 cm³', () => {
    expect(gramsOf(part('p', shapes.sleeve(120, 16, 1.6)), 0)).toBeCloseTo(23.886 * 0.15, 3);
    const rolled = estimatePart(part('p', shapes.sleeve(120, 16, 1.6)), WOOL).rollUp;
    if (rolled?.kind !== 'rolled') throw new Error('rolled');
    // √(w² + q(D² − w²)), and the length stays.
    expect(rolled.solid.sizesMm[0]).toBe(120);
    expect(rolled.solid.sizesMm[1]).toBeCloseTo(
      Math.sqrt(1.6 ** 2 + (0.15 / 0.055) * (16 ** 2 - 1.6 ** 2)),
      9,
    );
  });
  test('what lies inside is no wool: a bead by its outer size, a cup by its hollow', () => {
    const plain = gramsOf(part('p', shapes.ball(60)), 0);
    const withBead = (space: 'whole' | 'hollow', findingId: string) =>
      usesOf(
        part('p', shapes.ball(60), {
          uses: [use('core', 'c', 'core'), use('insert', 'i', null, { findingId, count: 2, space })],
        }),
      );
    expect(plain - known(withBead('whole', 'bead')[0]).pieceG).toBeCloseTo(
      (2 * (Math.PI / 6) * 12 * 12 * 11 * 0.15) / 1000,
      9,
    );
    expect(plain - known(withBead('hollow', 'shell')[0]).pieceG).toBeCloseTo(
      (2 * (Math.PI / 12) * 26 ** 3 * 0.15) / 1000,
      9,
    );
    expect(withBead('whole', 'odd')[0]).toMatchObject({ kind: 'unknown', reason: 'insert_unknown' });
    expect(withBead('whole', 'gone')[0]).toMatchObject({ kind: 'unknown', reason: 'insert_unknown' });
  });
  test('a line, a dot and a patch by their own formulas', () => {
    const own = part('p', shapes.ball(60), {
      uses: [
        use('core', 'c', 'core'),
        use('line', 'l', 'dark', { length: mm(34), count: 2 }),
        use('dot', 'd', 'dark', { diameter: mm(4), count: 3 }),
        use('patch', 'a', 'coat', { length: mm(30), width: mm(20), count: 1 }),
      ],
    });
    expect(gramsOf(own, 1)).toBeCloseTo(2 * 0.034 * 1.15 * 0.05, 12);
    expect(gramsOf(own, 2)).toBeCloseTo((3 * (Math.PI / 6) * 64 * 1.4 * 0.15) / 1000, 12);
    const coat = estimatePart(own, WOOL).working.uses[3]?.coat;
    expect(gramsOf(own, 3)).toBeCloseTo(((coat?.arealGPerM2 ?? 0) * (Math.PI / 4) * 30 * 20) / 1e6, 12);
  });
  test('a second coat over a patch is laid against what is beneath it, not against the core', () => {
    const twice = (first: string) =>
      estimatePart(
        part('p', shapes.ball(60), {
          uses: [
            use('core', 'c', 'core'),
            use('coat', 'a', first),
            use('coat', 'b', 'tops', { cover: { kind: 'patch', length: mm(30), width: mm(20) } }),
          ],
        }),
        WOOL,
      ).working.uses[2]?.coat?.deltaE;
    expect(twice('dark')).toBeGreaterThan(twice('coat') ?? Infinity);
  });
  test('a coat over a share takes that share; a veil takes 15 g/m² a pass; one that is said takes what is said', () => {
    const coated = (more: object) =>
      gramsOf(
        part('p', shapes.ball(60), { uses: [use('core', 'c', 'core'), use('coat', 'a', 'dark', more)] }),
        1,
      );
    const all = coated({});
    expect(coated({ cover: { kind: 'share', fraction: 0.3 } })).toBeCloseTo(0.3 * all, 9);
    expect(coated({ thickness: { by: 'shading', passes: 2 } })).toBeCloseTo((30 * Math.PI * 3600) / 1e6, 9);
    expect(coated({ thickness: { by: 'said', gPerM2: 250 } })).toBeCloseTo(2.827, 3);
  });
  test.each([
    ['folded', 'middle', (2 * 40 + 10) / 0.85],
    ['held by one end', 'end', (40 + 15) / 0.85],
  ] as const)('hair %s: line × strip × g/m² and what is trimmed', (_name, fixed, stripMm) => {
    const hair = hairMass({ lineMm: 50, dropMm: 40, weight: 'medium', fixed, trimFraction: 0.15 });
    expect(hair.stripMm).toBeCloseTo(stripMm, 9);
    expect(hair.massG).toBeCloseTo((50 * stripMm * HAIR_G_PER_M2.medium) / 1e6, 9);
    expect(hair.trimmingsG).toBeCloseTo(hair.massG * 0.15, 9);
  });
  test('hair longer than its staple is said', () => {
    const own = part('p', shapes.ball(60), {
      uses: [use('core', 'c', 'core'), use('hair', 'h', 'tops', { line: mm(20), drop: mm(60) })],
    });
    expect(warningsOf(estimatePattern(pattern([own]), WOOL), WOOL.fibres, pattern([own]))).toMatchObject([
      { code: 'hair_beyond_staple', stapleMm: 75 },
    ]);
  });
  test('trimmings take none, and are said to be short where they are', () => {
    const hairy = part('hairy', shapes.fringe(60, 14), { core: 'tops' });
    const fed = part('fed', shapes.ball(20), {
      uses: [
        use('core', 'f', 'core'),
        use('coat', 'g', 'tops', { amount: { form: 'trimmings', ofUseId: 'hairy-core' } }),
      ],
    });
    const estimate = estimatePattern(pattern([hairy, fed]), WOOL);
    expect(known(estimate.parts[1]?.uses[1])).toMatchObject({ pieceG: 0, source: 'stated' });
    expect(warningsOf(estimate, WOOL.fibres, pattern([hairy, fed])).map(({ code }) => code)).toContain(
      'trimmings_short',
    );
  });
  test('a patch and a fringe have the body of their wool; by weight is the ball that it would be', () => {
    const patch = estimatePart(part('p', shapes.patch(30, 20)), WOOL);
    expect(patch.solid?.volumeMm3).toBeCloseTo((patch.pieceG / 0.15) * 1000, 6);
    const bag = estimatePart(part('p', shapes.byGrams(2.4), { firmness: 'solid' }), WOOL);
    expect(bag.pieceG).toBeCloseTo(2.4, 9);
    expect(bag.solid?.volumeMm3).toBeCloseTo(12_000, 6);
  });
});

describe('amounts as they are stated', () => {
  test.each<[string, Amount, string, number]>([
    ['grams', { form: 'grams', massG: 3, highG: null, isWeighed: false }, 'core', 3],
    ['a range: its middle', { form: 'grams', massG: 2, highG: 8, isWeighed: false }, 'core', 4],
    ['tops split in 4', { form: 'tops', length: mm(250), highLength: null, ways: 4 }, 'tops', 1.5],
    [
      'inches of tops',
      { form: 'tops', length: { value: 10, unit: 'in' }, highLength: null, ways: 1 },
      'tops',
      0.254 * 24,
    ],
    [
      'a strip by its loft',
      { form: 'strip', length: mm(200), width: mm(100), depth: mm(20), highLength: null, highWidth: null },
      'core',
      400 * 0.011,
    ],
    ['a piece by its g/m²', { form: 'sheet', length: mm(200), width: mm(100) }, 'core', 6.8],
    ['pinches of mine', { form: 'hand', measure: 'pinch', count: 3 }, 'core', 0.3],
    ['an equal part', { form: 'equal-part', lotG: 10, parts: 4 }, 'core', 2.5],
    ['turns of yarn on a girth', { form: 'turns', turns: 5, girth: mm(60) }, 'yarn', 0.6],
    [
      'turns round the part itself',
      { form: 'turns', turns: 5, girth: null },
      'yarn',
      (5 * Math.PI * 60 * 2) / 1000,
    ],
    ['tufts', { form: 'tufts', count: 6, ways: 3 }, 'tops', (6 * 75 * 24) / 3000],
    ['locks', { form: 'locks', grades: [{ name: '', count: 7, eachG: 0.2 }] }, 'core', 1.4],
    ['at most, and less is needed', { form: 'at-most', massG: 99 }, 'core', (Math.PI / 6) * 216 * 0.15],
    ['at most, and more would be needed', { form: 'at-most', massG: 5 }, 'core', 5],
    ['until it covers: calculated', { form: 'until', what: 'cover' }, 'core', (Math.PI / 6) * 216 * 0.15],
  ])('%s', (_name, amount, fibreId, massG) => {
    expect(gramsOf(stated(amount, fibreId), 0)).toBeCloseTo(massG, 9);
  });
  test.each<[string, Amount, string, string]>([
    [
      'grams not said',
      { form: 'grams', massG: null, highG: null, isWeighed: true },
      'core',
      'amount_incomplete',
    ],
    [
      'a strip without its depth',
      { form: 'strip', length: mm(200), width: mm(100), depth: null, highLength: null, highWidth: null },
      'core',
      'amount_incomplete',
    ],
    [
      'tops nobody has weighed',
      { form: 'tops', length: mm(250), highLength: null, ways: 1 },
      'bare',
      'linear_unknown',
    ],
    ['a sheet nobody has weighed', { form: 'sheet', length: mm(20), width: mm(10) }, 'coat', 'areal_unknown'],
    ['wisps nobody has weighed', { form: 'hand', measure: 'wisp', count: 3 }, 'core', 'hand_unweighed'],
    ['tufts of what has no staple', { form: 'tufts', count: 3, ways: 1 }, 'yarn', 'staple_unknown'],
    ['a share of nothing', { form: 'shared', sharedId: null }, 'core', 'amount_incomplete'],
    ['a share of a weight that is gone', { form: 'shared', sharedId: 'gone' }, 'core', 'shared_unknown'],
    ['a part of what is gone', { form: 'relative', fraction: 0.5, ofUseId: 'gone' }, 'core', 'other_unknown'],
    ['half of itself', { form: 'relative', fraction: 0.5, ofUseId: 'c' }, 'core', 'other_circular'],
    [
      'of a fibre off the shelf',
      { form: 'grams', massG: 3, highG: null, isWeighed: true },
      'gone',
      'fibre_not_found',
    ],
  ])('unknown, never a number: %s', (_name, amount, fibreId, reason) => {
    const [own] = usesOf(stated(amount, fibreId));
    expect(own).toMatchObject({ kind: 'unknown', reason });
    expect(estimatePart(stated(amount, fibreId), WOOL).total).toMatchObject({ likelyG: 0, unknownCount: 1 });
    if (own?.kind === 'unknown') expect(unknownWords(own.reason)).toMatch(/^[a-z]/);
  });

  const sharing = (massG: number | null, third: Amount | null = null): Pattern =>
    pattern(
      [
        part('a', shapes.ball(40), {
          count: 2,
          uses: [use('core', 'a', 'core', { amount: { form: 'shared', sharedId: 's' } })],
        }),
        part('b', shapes.ball(20), {
          uses: [use('core', 'b', 'core', { amount: { form: 'shared', sharedId: 's' } })],
        }),
        ...(third
          ? [part('c', shapes.ball(30), { uses: [use('core', 'c', 'core', { amount: third })] })]
          : []),
      ],
      { shared: [{ id: 's', name: 'one weight', massG, highG: null, isWeighed: true }] },
    );
  test('one weight is shared by what the shapes come to, all of it', () => {
    const estimate = estimatePattern(sharing(20), WOOL);
    const [a, b] = [known(estimate.uses[0]), known(estimate.uses[1])];
    expect(2 * a.pieceG + b.pieceG).toBeCloseTo(20, 9);
    expect(a.pieceG / b.pieceG).toBeCloseTo(8, 9);
    expect(estimate.shared[0]?.calculatedG).toBeCloseTo((Math.PI / 6) * (2 * 64 + 8) * 0.15, 9);
  });
  test('all that share a weight are off together, by as much as it is', () => {
    const { total } = estimatePattern(sharing(20), WOOL);
    expect(Math.log(total.highG / total.likelyG) / 1.2815515655).toBeCloseTo(0.02, 6);
  });
  test('what is left of it: the others take what they come to', () => {
    const estimate = estimatePattern(sharing(20, { form: 'rest', sharedId: 's' }), WOOL);
    const taken = (Math.PI / 6) * (2 * 64 + 8) * 0.15;
    expect(known(estimate.uses[2]).pieceG).toBeCloseTo(20 - taken, 9);
    expect(estimate.total.likelyG).toBeCloseTo(20, 9);
  });
  test.each([
    ['a weight nobody has said', null, null, 0, 'shared_unknown'],
    ['nothing is left', 5, { form: 'rest', sharedId: 's' }, 2, 'shared_overdrawn'],
  ] as const)('unknown: %s', (_name, massG, third, at, reason) => {
    expect(estimatePattern(sharing(massG, third), WOOL).uses[at]).toMatchObject({ kind: 'unknown', reason });
  });
  test('half of the nose follows the nose', () => {
    const nose = part('nose', shapes.ball(12), {
      uses: [
        use('core', 'n', 'core', { amount: { form: 'grams', massG: 0.8, highG: null, isWeighed: true } }),
      ],
    });
    const other = part('other', shapes.byCount(), {
      uses: [use('core', 'o', 'coat', { amount: { form: 'relative', fraction: 0.5, ofUseId: 'n' } })],
    });
    expect(known(estimatePattern(pattern([other, nose]), WOOL).uses[0]).pieceG).toBeCloseTo(0.4, 9);
  });
  test.each([
    ['near what the shape comes to', 17, false],
    ['far over it', 34, true],
    ['far under it', 9, true],
  ])('stated is compared: %s', (_name, massG, isOff) => {
    const own = known(usesOf(stated({ form: 'grams', massG, highG: null, isWeighed: true }))[0]);
    expect(own.comparison?.calculatedG).toBeCloseTo((Math.PI / 6) * 216 * 0.15, 6);
    expect(own.comparison?.isOff).toBe(isOff);
  });
  test('a stated coat takes its own room, and the core what is left', () => {
    const own = part('p', shapes.ball(60), {
      uses: [
        use('core', 'c', 'core'),
        use('coat', 'a', 'coat', { amount: { form: 'grams', massG: 5, highG: null, isWeighed: true } }),
      ],
    });
    expect(gramsOf(own, 0) + 5).toBeCloseTo((Math.PI / 6) * 216 * 0.15, 9);
  });
  test('only if needed is in no total, and takes no room', () => {
    const more = use('coat', 'a', 'coat', { isIfNeeded: true });
    const bare = estimatePart(part('p', shapes.ball(60)), WOOL);
    const estimate = estimatePattern(
      pattern([part('p', shapes.ball(60), { uses: [use('core', 'c', 'core'), more] })]),
      WOOL,
    );
    expect(estimate.total.likelyG).toBeCloseTo(bare.total.likelyG, 9);
    expect(estimate.ifNeeded).toMatchObject([{ fibreId: 'coat' }]);
    expect(estimate.fibres.map(({ fibreId }) => fibreId)).toEqual(['core']);
  });
});

describe('counts', () => {
  test('a range costs its middle, packs its high end, and widens what it is off', () => {
    const own = part('p', shapes.ball(20), { count: { low: 24, high: 32 } });
    const one = known(usesOf(own)[0]);
    expect(one.all.likelyG).toBeCloseTo(28 * one.pieceG, 9);
    expect(one.packG).toBeCloseTo(32 * one.pieceG, 9);
    const sure = known(usesOf({ ...own, count: 28 })[0]);
    expect(one.all.highG).toBeGreaterThan(sure.all.highG);
  });
  test('nobody has said how many: unknown', () => {
    expect(usesOf(part('p', shapes.ball(20), { count: null }))[0]).toMatchObject({
      kind: 'unknown',
      reason: 'count_missing',
    });
    expect(countRange(null)).toBeNull();
  });
});

describe('joins', () => {
  const two = (more: Partial<ReturnType<typeof blankJoin>>): Pattern =>
    pattern(
      [part('body', shapes.ball(60), { coat: 'dark' }), part('leg', shapes.limb(50, 12), { count: 4 })],
      {
        joins: [{ ...blankJoin('j', 'leg', 'body'), ...more }],
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
      joins: [blankJoin('j', 'b', 'a')],
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

describe('what is worth looking at', () => {
  test.each([
    ['a coat thicker than the part', part('p', shapes.flat(20, 10, 1), { coat: 'dark' }), 'all_coat'],
    [
      'beads that fill it',
      part('p', shapes.ball(12), {
        uses: [use('core', 'c', 'core'), use('insert', 'i', null, { findingId: 'bead', count: 3 })],
      }),
      'inserts_overfull',
    ],
    ['a tenth of a millimetre', part('p', shapes.ball(0.1)), 'part_tiny'],
    ['a coarse fibre on a small part', part('p', shapes.ball(6)), 'fibre_coarse'],
  ] as const)('%s: a number, and a word about it', (_name, own, code) => {
    const estimate = estimatePattern(pattern([own]), WOOL);
    const warning = warningsOf(estimate, WOOL.fibres, pattern([own])).find((one) => one.code === code);
    if (!warning) throw new Error(`no ${code}`);
    expect(warningWords(warning, () => 'Chalk')).toMatch(/^[A-Z0-9].*\.$/);
    expect(Number.isFinite(estimate.total.likelyG)).toBe(true);
  });
  test('two metres across is a number too, and over that is refused', () => {
    expect(gramsOf(part('p', shapes.ball(2000)), 0)).toBeGreaterThan(600_000);
    expect(checkPattern(pattern([part('p', shapes.ball(2001))]))).toMatchObject([{ code: 'size_too_large' }]);
  });
  test('felt that nothing could be: unknown', () => {
    const heavy = shelf(fibre('core', { densityFactor: (DENSEST_FELT_G_PER_CM3 / 0.15) * 1.01 }));
    expect(usesOf(part('p', shapes.ball(60)), heavy)[0]).toMatchObject({
      kind: 'unknown',
      reason: 'density_impossible',
    });
  });
});

describe('samples teach', () => {
  test('one that was weighed bare moves the felted density toward what it was, and makes it surer', () => {
    const sample = { rolled: null, felted: null, massG: 1.3 * 0.15 * (Math.PI / 6) * 27, sizeFraction: 1 };
    const taught = part('p', shapes.ball(30), { sample });
    const [before, after] = [gramsOf(part('p', shapes.ball(30)), 0), gramsOf(taught, 0)];
    // Log-normal update: prior variance 0.15² + 0.12², one sample of 0.10².
    const [prior, sampled] = [0.15 ** 2 + 0.12 ** 2, 0.1 ** 2];
    expect(after / before).toBeCloseTo(1.3 ** (prior / (prior + sampled)), 9);
    const { commonSigma = 0, sharedSigma } = known(usesOf(taught)[0]).term;
    expect(Math.hypot(commonSigma, sharedSigma)).toBeCloseTo(Math.sqrt(1 / (1 / prior + 1 / sampled)), 9);
  });
  test('sizes before and after move the roll-up, not the grams; other fibres learn nothing', () => {
    const sample = { rolled: mm(70), felted: mm(60), massG: null, sizeFraction: 1 };
    const [plain, taught] = [part('p', shapes.ball(60)), part('p', shapes.ball(60), { sample })];
    const width = (own: Part) => {
      const { rollUp } = estimatePart(own, WOOL);
      return rollUp?.kind === 'rolled' ? rollUp.solid.widthMm : NaN;
    };
    expect(width(taught)).toBeLessThan(width(plain));
    expect(width(taught)).toBeGreaterThan(70);
    expect(gramsOf(taught, 0)).toBe(gramsOf(plain, 0));
    const both = estimatePattern(pattern([taught, part('q', shapes.ball(60), { core: 'tops' })]), WOOL)
      .parts[1]?.rollUp;
    expect(both?.kind === 'rolled' && both.solid.widthMm).toBeCloseTo(
      width(part('q', shapes.ball(60), { core: 'tops' })),
      9,
    );
  });
});

describe('the order of layers', () => {
  test('decides thickness and mass of what lies inside, never the whole', () => {
    const layered = (first: string, second: string) =>
      estimatePart(
        part('p', shapes.ball(40), {
          uses: [use('core', 'c', 'core'), use('coat', 'a', first), use('coat', 'b', second)],
        }),
        WOOL,
      );
    const [one, two] = [layered('dark', 'coat'), layered('coat', 'dark')];
    for (const { working, pieceG } of [one, two]) {
      const { layers } = working;
      const volume =
        (layers?.coreVolumeCm3 ?? 0) +
        (layers?.shares ?? []).reduce((sum, share) => sum + share.volumeCm3, 0);
      expect(volume).toBeCloseTo((Math.PI / 6) * 64, 9);
      expect(pieceG).toBeCloseTo((Math.PI / 6) * 64 * 0.15, 9);
    }
    expect(known(one.uses[1]).pieceG).not.toBeCloseTo(known(two.uses[2]).pieceG, 3);
  });
  test('the size ledger grows from felted to finished, and says the finished size at the end', () => {
    const own = estimatePart(
      part('p', shapes.egg(82, 60), {
        uses: [
          use('core', 'c', 'core'),
          use('coat', 'a', 'dark'),
          use('patch', 'b', 'tops', { length: mm(30), width: mm(20) }),
        ],
      }),
      WOOL,
    );
    const stages = sizeLedger(own);
    expect(stages.map(({ stage }) => stage)).toEqual(['rolled', 'felted', 'coated', 'detailed']);
    const lengths = stages.slice(1).map(({ sizesMm }) => sizesMm[0] ?? 0);
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    expect(stages.at(-1)?.sizesMm).toEqual([82, 60]);
  });
});

describe('properties of a whole figure', () => {
  const anyPart = fc
    .record({
      diameter: fc.integer({ min: 12, max: 80 }),
      count: fc.integer({ min: 1, max: 6 }),
      coat: fc.constantFrom<(string | undefined)[]>(undefined, 'coat', 'dark', 'tops'),
      isLimb: fc.boolean(),
    })
    .map(({ diameter, count, coat, isLimb }) => ({
      count,
      shape: isLimb ? shapes.limb(diameter * 2, diameter) : shapes.ball(diameter),
      ...(coat !== undefined && { coat }),
    }));
  type Row = NonNullable<Parameters<typeof part>[2]> & { shape: Part['shape'] };
  const figureOf = (made: readonly Row[]) => made.map((row, index) => part(`p${index}`, row.shape, row));
  const rows = fc.array(anyPart, { minLength: 1, maxLength: 6 });

  test('totals do not depend on order', () => {
    fc.assert(
      fc.property(rows, (made) => {
        const parts = figureOf(made);
        const there = estimatePattern(pattern(parts), WOOL);
        const back = estimatePattern(pattern([...parts].reverse()), WOOL);
        expect(back.total.likelyG).toBeCloseTo(there.total.likelyG, 9);
        expect(back.total.highG).toBeCloseTo(there.total.highG, 9);
      }),
    );
  });
  test('two parts of one each weigh what one part of two does, with the same range', () => {
    fc.assert(
      fc.property(rows, (made) => {
        const parts = figureOf(made);
        const split = parts.flatMap((own) =>
          Array.from(
            { length: own.count as number },
            (_, i) => ({ ...duplicatePart([own], own.id, `${own.id}x${i}`)[1], count: 1 }) as Part,
          ),
        );
        const [once, often] = [estimatePattern(pattern(parts), WOOL), estimatePattern(pattern(split), WOOL)];
        expect(often.total.likelyG).toBeCloseTo(once.total.likelyG, 9);
        expect(often.total.highG).toBeCloseTo(once.total.highG, 6);
      }),
    );
  });
  test('fibres, uses and parts with joins each add up to the whole; doubts to one', () => {
    fc.assert(
      fc.property(rows, (made) => {
        const estimate = estimatePattern(pattern(figureOf(made)), WOOL);
        for (const lines of [estimate.fibres, estimate.roles, estimate.parts]) {
          expect(lines.reduce((sum, { total }) => sum + total.likelyG, 0)).toBeCloseTo(
            estimate.total.likelyG,
            9,
          );
        }
        expect(estimate.doubts.reduce((sum, { fraction }) => sum + fraction, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
  test('coat grows with contrast: over a paler core a dark coat is never less', () => {
    const grey = fc.integer({ min: 40, max: 250 });
    fc.assert(
      fc.property(grey, grey, (a, b) => {
        const coatG = (level: number) => {
          const colour = `#${level.toString(16).padStart(2, '0').repeat(3)}`;
          return gramsOf(
            part('p', shapes.ball(60), { coat: 'dark' }),
            1,
            shelf(fibre('core', { colour }), fibre('dark', { colour: '#1d1c1e' })),
          );
        };
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(coatG(high)).toBeGreaterThanOrEqual(coatG(low) - 1e-9);
      }),
    );
  });
  test('so many makes take so many times as much, and are no surer of a fibre than one is', () => {
    fc.assert(
      fc.property(rows, fc.integer({ min: 2, max: 40 }), (made, makes) => {
        const one = estimatePattern(pattern(figureOf(made)), WOOL);
        const many = forMakes(one, makes);
        expect(many.total.likelyG).toBeCloseTo(one.total.likelyG * makes, 6);
        const spread = ({ total }: typeof one) => total.highG / total.likelyG;
        expect(spread(many)).toBeLessThanOrEqual(spread(one) + 1e-9);
      }),
      { numRuns: 40 },
    );
  });
});

test('a part taken out is out of everything that named it', () => {
  const figure = pattern(
    [
      part('a', shapes.ball(20)),
      part('b', shapes.patch(9, 9, 'a')),
      part('c', shapes.ball(9), {
        derived: [{ from: 'part', size: 'diameter', partId: 'a', ofSize: 'diameter', ratio: 1 }],
      }),
    ],
    { joins: [blankJoin('j', 'b', 'a')], findings: [{ id: 'f', findingId: 'bead', partId: 'a', count: 2 }] },
  );
  const without = withoutPart(figure, 'a');
  expect(checkPattern(without)).toEqual([]);
  expect(without.joins).toEqual([]);
  expect(JSON.stringify(without)).not.toContain('"a"');
});

describe('unknown by its shape', () => {
  test.each<[string, Part, string]>([
    ['an outline nobody has drawn', part('p', shapes.outline('', 30, 4)), 'outline_missing'],
    ['a weight nobody has given', part('p', { kind: 'by-grams', massG: null }), 'weight_missing'],
    ['counted pieces of which nobody says how much', part('p', shapes.byCount()), 'amount_missing'],
    [
      'a patch without its width',
      part('p', { ...shapes.patch(20, 10), width: null } as Part['shape']),
      'sizes_missing',
    ],
    [
      'a fringe without its drop',
      part('p', { ...shapes.fringe(20, 10), drop: null } as Part['shape']),
      'sizes_missing',
    ],
    [
      'wool added by hand without an amount',
      part('p', shapes.ball(20), { uses: [use('added', 'w', 'core')] }),
      'amount_missing',
    ],
    [
      'a line without its length',
      part('p', shapes.ball(20), { uses: [use('line', 'l', 'core')] }),
      'sizes_missing',
    ],
    [
      'a dot without its size',
      part('p', shapes.ball(20), { uses: [use('dot', 'd', 'core')] }),
      'sizes_missing',
    ],
    [
      'hair without its drop',
      part('p', shapes.ball(20), { uses: [use('hair', 'h', 'core', { line: mm(9) })] }),
      'sizes_missing',
    ],
    [
      'a coat over a patch without its length',
      part('p', shapes.ball(20), {
        uses: [use('coat', 'a', 'dark', { cover: { kind: 'patch', length: null, width: mm(9) } })],
      }),
      'sizes_missing',
    ],
  ])('%s', (_name, own, reason) => {
    const [first] = usesOf(own);
    expect(first).toMatchObject({ kind: 'unknown', reason });
    const { total } = estimatePattern(pattern([own]), WOOL);
    expect(total.unknownCount).toBeGreaterThan(0);
    expect(Object.values(total).every(Number.isFinite)).toBe(true);
  });
  test('an unknown layer makes the core unknown too: it is what the layers leave', () => {
    const uses = usesOf(
      part('p', shapes.ball(40), { uses: [use('core', 'c', 'core'), use('patch', 'a', 'dark')] }),
    );
    expect(uses.map(({ kind }) => kind)).toEqual(['unknown', 'unknown']);
  });
  test('but a wisp of which nobody knows how much does not', () => {
    const wisp = use('added', 'w', 'dark', { amount: { form: 'hand', measure: 'wisp', count: 1 } });
    const uses = usesOf(part('p', shapes.ball(40), { uses: [use('core', 'c', 'core'), wisp] }));
    expect(uses.map(({ kind }) => kind)).toEqual(['known', 'unknown']);
  });
});

describe('what is laid grows with its sizes', () => {
  const size = fc.integer({ min: 5, max: 90 });
  test.each([
    ['a patch', (a: number, b: number) => shapes.patch(a, b)],
    ['a fringe', (a: number, b: number) => shapes.fringe(a, b)],
  ])('%s', (_name, of) => {
    fc.assert(
      fc.property(size, size, (a, b) => {
        const massG = (x: number, y: number) => gramsOf(part('p', of(x, y)), 0);
        expect(massG(a * 1.1, b)).toBeGreaterThan(massG(a, b));
        expect(massG(a, b * 1.1)).toBeGreaterThan(massG(a, b));
      }),
    );
  });
});

test('a document of the first format weighs what it weighed', () => {
  const first = {
    format: 'lanakit-pattern' as const,
    formatVersion: 1 as const,
    title: 'Ball',
    finishedHeight: null,
    level: 'first-timer' as const,
    lengthUnit: 'mm' as const,
    steps: [],
    parts: [
      {
        id: 'p',
        name: 'p',
        shape: shapes.ball(60),
        count: 2,
        firmness: 'firm' as const,
        core: { fibreId: 'core' },
        coat: { fibreId: 'coat' },
      },
    ],
  };
  const upgraded = upgradePattern(first);
  expect(checkPattern(upgraded)).toEqual([]);
  expect(upgradePattern(upgraded)).toBe(upgraded);
  expect(estimatePattern(upgraded, WOOL).total.likelyG).toBeCloseTo(2 * (Math.PI / 6) * 216 * 0.15, 9);
});

describe('hands', () => {
  const { calibration } = estimatePattern(pattern([]), WOOL);
  const ways = (massG: number, fibreId: string, rollMm: number | null = null) => {
    const wool = WOOL.fibres.get(fibreId);
    return wool ? handsMeasures(massG, wool, calibration, rollMm) : [];
  };
  test.each([
    ['tops: a length, to 5 mm', 2.4, 'tops', null, { kind: 'length' }],
    [
      'a strip of batt as wide as the roll is long',
      5.1,
      'core',
      100,
      { kind: 'strip', widthMm: 100, lengthMm: 150 },
    ],
    ['not rolled: a square', 3.4, 'core', null, { kind: 'square', sideMm: 100 }],
    ['a pinch of mine', 0.21, 'dark', null, { kind: 'hand', measure: 'pinch', count: 2 }],
    ['too little for the scale: halved by eye', 0.12, 'dark', null, { kind: 'halvings', times: 3 }],
  ])('%s', (_name, massG, fibreId, rollMm, expected) => {
    expect(ways(massG, fibreId, rollMm)).toEqual(expect.arrayContaining([expect.objectContaining(expected)]));
  });
  test('what is halved so often comes to what was wanted, and starts where a scale reads within a tenth', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.49, noNaN: true }), (massG) => {
        const halved = ways(massG, 'dark').find((way) => way.kind === 'halvings');
        if (halved?.kind !== 'halvings') throw new Error('halved');
        expect(halved.startG / 2 ** halved.times).toBeCloseTo(massG, 9);
        expect(halved.startG).toBeGreaterThanOrEqual(0.5 - 1e-9);
        expect(halved.errorFraction).toBeCloseTo(0.1 * Math.sqrt(halved.times), 9);
      }),
    );
  });
  test('rounding is said as what it does to the grams', () => {
    const strip = ways(5, 'core', 93).find((way) => way.kind === 'strip');
    if (strip?.kind !== 'strip') throw new Error('a strip');
    const gramsOfStrip = (strip.lengthMm * strip.widthMm * 340) / 1e6;
    expect(strip.roundingFraction).toBeCloseTo(gramsOfStrip / 5 - 1, 9);
  });
});

test('the largest doubt is found by simulation too', () => {
  const figure = pattern([
    part('a', shapes.ball(60), { count: 2 }),
    part('b', shapes.ball(30), { core: 'tops', count: 5 }),
  ]);
  const estimate = estimatePattern(figure, WOOL);
  const normal = gaussian(11);
  const terms = estimate.uses.map((own) => known(own).term);
  // Each cause is drawn alone, the others held still: its variance is its share.
  const varianceOf = (shared: string | null) => {
    const draws = Array.from({ length: 20_000 }, () => {
      const error = normal();
      return terms.reduce((sum, term) => {
        const common = term.group === shared ? error * term.sharedSigma * term.pieceG * term.count : 0;
        const own =
          shared === null
            ? Array.from({ length: term.count }, () => normal() * term.ownSigma * term.pieceG).reduce(
                (x, y) => x + y,
                0,
              )
            : 0;
        return sum + common + own;
      }, 0);
    });
    const mean = draws.reduce((x, y) => x + y, 0) / draws.length;
    return draws.reduce((sum, draw) => sum + (draw - mean) ** 2, 0) / draws.length;
  };
  const [core, tops, pieces] = [varianceOf('core'), varianceOf('tops'), varianceOf(null)];
  const common = terms.reduce((sum, own) => sum + (own.commonSigma ?? 0) * own.pieceG * own.count, 0) ** 2;
  const all = core + tops + pieces + common;
  const fraction = (group: string, cause: string) =>
    estimate.doubts.find((own) => own.group === group && own.cause === cause)?.fraction ?? 0;
  expect(fraction('core', 'density')).toBeCloseTo(core / all, 1);
  expect(fraction('tops', 'density')).toBeCloseTo(tops / all, 1);
  expect(fraction('core', 'piece') + fraction('tops', 'piece')).toBeCloseTo(pieces / all, 1);
  expect(fraction('', 'common')).toBeCloseTo(common / all, 1);
});
