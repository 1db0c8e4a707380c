import { describe, expect, test } from '@jest/globals';
import { CUT_STEP, estimatePattern, type Wool } from '../../src/engine/index.ts';
import {
  type Amount,
  BLANK_STEP,
  blankCut,
  type Cut,
  CUT_KINDS,
  NO_CHOICES,
} from '../../src/pattern/index.ts';
import { compareBuilds, previewResize, resizePattern } from '../../src/resize/index.ts';
import { BLANK_FINDING, blankMeasure, type Finding, type FindingMeasure } from '../../src/shelf/index.ts';
import fc from 'fast-check';
import { fibre, mm, part, pattern, shapes, shelf, use } from '../support/make.ts';

const thing = (id: string, measure: FindingMeasure): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  onHand: null,
  peak: 0,
  measure,
});
const eye = (id: string, sizeMm: number): Finding =>
  thing(id, {
    ...blankMeasure('count'),
    outerMm: { length: sizeMm, width: sizeMm, height: sizeMm },
  } as FindingMeasure);

const WOOL: Wool = {
  ...shelf(
    fibre('core'),
    fibre('coat', { colour: '#1d1c1e' }),
    fibre('tops', { preparation: 'tops', linearGPerM: 24 }),
  ),
  findings: new Map([
    [
      'wire',
      thing('wire', { by: 'length', sort: 'wire', diameterMm: 1.2, linearGPerM: 8.9, metresPerPack: 25 }),
    ],
    [
      'cord',
      thing('cord', { by: 'length', sort: 'cord', diameterMm: 1, linearGPerM: 1.1, metresPerPack: 25 }),
    ],
    [
      'linen',
      thing('linen', {
        by: 'area',
        sort: 'fabric',
        thicknessMm: 0.5,
        arealGPerM2: 190,
        nap: 'none',
        sheetLengthMm: 500,
        sheetWidthMm: 700,
      }),
    ],
    ['eye3', eye('eye3', 3)],
    ['eye4', eye('eye4', 4)],
    ['eye6', eye('eye6', 6)],
  ]),
  handMeasures: [],
};

const cut = <K extends Cut['kind']>(kind: K, more: Partial<Extract<Cut, { kind: K }>>): Cut => ({
  ...blankCut('c', kind),
  ...more,
});
const estimateOf = (measured: Cut, parts = [part('leg', shapes.limb(50, 12), { count: 2 })]) => {
  const [cutEstimate] = estimatePattern(pattern(parts, { cuts: [measured] }), WOOL).cuts;
  if (!cutEstimate) throw new Error('one cut');
  return cutEstimate;
};
const segment = (lengthMm: number | null, more = {}) => ({
  name: '',
  partId: null,
  length: lengthMm === null ? null : mm(lengthMm),
  strands: 1,
  isTwisted: false,
  ...more,
});

describe('cut lengths', () => {
  test.each<[string, Cut, number]>([
    [
      'one wire through several parts',
      cut('wire', { findingId: 'wire', segments: [segment(30), segment(40)], endCurls: 0 }),
      70,
    ],
    [
      'a stretch as long as its part',
      cut('wire', { findingId: 'wire', segments: [segment(null, { partId: 'leg' })], endCurls: 0 }),
      50,
    ],
    ['doubled', cut('wire', { findingId: 'wire', segments: [segment(40, { strands: 2 })], endCurls: 0 }), 80],
    [
      'doubled and twisted: 8 % more',
      cut('wire', {
        findingId: 'wire',
        segments: [segment(40, { strands: 2, isTwisted: true })],
        endCurls: 0,
      }),
      86.4,
    ],
    [
      'one strand is not twisted',
      cut('wire', { findingId: 'wire', segments: [segment(40, { isTwisted: true })], endCurls: 0 }),
      40,
    ],
    [
      'ends curled back, 8 mm each',
      cut('wire', { findingId: 'wire', segments: [segment(40)], endCurls: 2 }),
      56,
    ],
    [
      'curls of their own length',
      cut('wire', { findingId: 'wire', segments: [segment(40)], endCurls: 3, curlLength: mm(10) }),
      70,
    ],
    [
      'turns round another wire',
      cut('wire', {
        findingId: 'wire',
        segments: [segment(40)],
        windings: [{ turns: 4, aroundDiameter: mm(2), count: 2 }],
        endCurls: 0,
      }),
      40 + 4 * Math.PI * 3.2 * 2,
    ],
    [
      'a cord that hangs double',
      cut('cord', { drop: mm(100), fold: mm(6), knots: 2, knotLength: mm(15), handling: mm(80) }),
      200 + 6 + 30 + 80,
    ],
    ['a winding', cut('binding', { girth: mm(40), turns: 5, seam: null, handling: mm(150) }), 350],
    ['a seam', cut('binding', { girth: null, turns: 0, seam: mm(60), handling: mm(150) }), 210],
    ['a whisker', cut('whisker', { span: mm(52), margin: mm(20) }), 72],
  ])('%s', (_name, measured, lengthMm) => {
    const { exact, cut: rounded } = estimateOf(measured);
    expect(exact?.lengthMm).toBeCloseTo(lengthMm, 9);
    expect(rounded?.lengthMm).toBe(Math.ceil(lengthMm / CUT_STEP.mm - 1e-9) * CUT_STEP.mm);
  });
  test('a covering stem is the length of its helix, measured along it step by step', () => {
    const [overMm, pitchMm, aroundMm] = [60, 6, 2.4];
    const covering = cut('covering', {
      over: mm(overMm),
      pitch: mm(pitchMm),
      aroundDiameter: mm(aroundMm),
      folds: 2,
      foldLength: mm(8),
    });
    const at = (t: number) =>
      [(aroundMm / 2) * Math.cos(t), (aroundMm / 2) * Math.sin(t), (pitchMm * t) / (2 * Math.PI)] as const;
    const turns = overMm / pitchMm;
    let walked = 0;
    for (let i = 1; i <= 20_000; i++) {
      const [a, b] = [at((2 * Math.PI * turns * (i - 1)) / 20_000), at((2 * Math.PI * turns * i) / 20_000)];
      walked += Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
    }
    expect(estimateOf(covering).exact?.lengthMm).toBeCloseTo(walked + 16, 3);
  });
  test('a strip rolled to a limb: rolled up turn by turn it reaches the diameter, pressed by 1.15', () => {
    const strip = cut('rolled-strip', { length: mm(70), diameter: mm(12), sheetThickness: mm(1.2) });
    const { exact } = estimateOf(strip);
    if (exact?.kind !== 'piece') throw new Error('a piece');
    // Wind the strip on itself in small steps: each adds its own pressed section to the disc.
    let area = 0;
    for (let wound = 0; wound < exact.widthMm; wound += 0.01) area += 0.01 * 1.2 * 1.15;
    expect(2 * Math.sqrt(area / Math.PI)).toBeCloseTo(12, 1);
  });
  test('a panel goes round its tube and over itself', () => {
    const { exact, stockAmount, massG } = estimateOf(
      cut('tube-panel', { findingId: 'linen', height: mm(26), diameter: mm(30), overlap: mm(6), count: 2 }),
    );
    expect(exact).toEqual({ kind: 'piece', lengthMm: Math.PI * 30 + 6, widthMm: 26 });
    // Round the tube is computed, and rounded up; its height stays as it was typed.
    expect(stockAmount).toBe((2 * 105 * 26) / 100);
    expect(massG).toBeCloseTo((54.6 * 190) / 10_000, 9);
  });
  test.each(CUT_KINDS)('%s: unknown while a size is missing, never nought', (kind) => {
    const sizes = { segments: [segment(null)], endCurls: 0, seam: null, turns: 1 };
    const estimate = estimateOf({
      ...blankCut('c', kind),
      ...(kind === 'wire' || kind === 'binding' ? sizes : {}),
    });
    expect(estimate).toMatchObject({ exact: null, cut: null, stockAmount: null, massG: null });
  });
  test('turns need to know how thick the wire is', () => {
    expect(
      estimateOf(
        cut('wire', { segments: [segment(40)], windings: [{ turns: 4, aroundDiameter: mm(2), count: 1 }] }),
      ).exact,
    ).toBeNull();
  });
  test('wire through a part takes its wool’s room', () => {
    const parts = [part('leg', shapes.limb(50, 12))];
    const bare = estimatePattern(pattern(parts), WOOL).total.likelyG;
    const wired = estimatePattern(
      pattern(parts, {
        cuts: [cut('wire', { findingId: 'wire', segments: [segment(null, { partId: 'leg', strands: 2 })] })],
      }),
      WOOL,
    ).total.likelyG;
    expect(bare - wired).toBeCloseTo(((Math.PI / 4) * 1.44 * 50 * 2 * 0.15) / 1000, 9);
  });
});

const TOPS: Amount = { form: 'tops', length: mm(70), highLength: null, ways: 2 };

const figure = (amount: Amount = TOPS) =>
  pattern(
    [
      part('body', shapes.egg(82, 60), {
        uses: [
          use('core', 'c', 'core', { amount: { form: 'grams', massG: 20, highG: 24, isWeighed: false } }),
          use('coat', 'a', 'coat', {
            cover: { kind: 'patch', length: mm(30), width: mm(20) },
            amount,
          }),
          use('line', 'l', 'tops', { length: mm(30) }),
        ],
        sample: { rolled: mm(110), felted: mm(80), massG: 22, sizeFraction: 1 },
      }),
      part('bag', shapes.byGrams(1.3), { count: 4 }),
      part('leg', shapes.sleeve(40, 9, 1.2), { count: 2 }),
    ],
    {
      finishedHeight: mm(118),
      joins: [
        {
          id: 'j',
          partId: 'leg',
          ontoId: 'body',
          method: 'wired',
          count: null,
          looseEnd: { partId: 'leg', length: mm(12), ends: 1, amount: null },
          across: null,
          sink: mm(5),
          slot: null,
          acrossBy: 'thickness',
          placement: null,
          cover: { fibreId: 'coat', band: mm(9), words: '', wordsSizeFraction: 1, isIfNeeded: false },
        },
      ],
      cuts: [
        cut('cord', { drop: mm(300), findingId: 'cord' }),
        { ...cut('wire', { findingId: 'wire', segments: [segment(60)] }), id: 'w' },
      ],
      findings: [{ id: 'e', findingId: 'eye4', partId: 'body', count: 2, placement: null }],
      shared: [{ id: 's', name: 's', massG: 12, highG: null, isWeighed: true }],
      steps: [
        {
          ...BLANK_STEP,
          id: '1',
          text: 'Roll',
          partIds: ['body'],
          stage: 'core',
          needle: { by: 'none' },
          minutes: 20,
        },
        {
          ...BLANK_STEP,
          id: '2',
          text: 'Join',
          partIds: ['leg'],
          stage: 'join',
          needle: { by: 'none' },
          minutes: 10,
        },
      ],
    },
  );

describe('another size', () => {
  test('k and then 1/k brings everything back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (k) => {
        // A length of tops under the staple becomes a split one: that is a decision, and stays.
        const plain = figure({ form: 'grams', massG: 3, highG: 4, isWeighed: false });
        const back = resizePattern(resizePattern(plain, k), 1 / k);
        const flat = (value: unknown): number[] =>
          typeof value === 'number'
            ? [value]
            : value !== null && typeof value === 'object'
              ? Object.values(value).flatMap(flat)
              : [];
        const [was, is] = [flat(plain), flat(back)];
        expect(is.length).toBe(was.length);
        is.forEach((value, i) => expect(value).toBeCloseTo(was[i] ?? NaN, 8));
      }),
    );
  });
  test('sizes k, grams of cores k³, minutes of making k^1.5 and of joining k; wire, knots and cord stay', () => {
    const twice = resizePattern(figure(), 2);
    expect(twice.finishedHeight).toEqual(mm(236));
    expect(twice.parts[0]?.shape).toMatchObject({ length: mm(164), diameter: mm(120) });
    expect(twice.parts[0]?.uses[0]).toMatchObject({ amount: { massG: 160, highG: 192 } });
    expect(twice.parts[0]?.uses[1]).toMatchObject({
      amount: { length: mm(280), ways: 2 },
      cover: { length: mm(60) },
    });
    expect(twice.parts[1]?.shape).toEqual(shapes.byGrams(10.4));
    expect(twice.parts[2]?.shape).toEqual(shapes.sleeve(80, 18, 1.2));
    expect(twice.steps.map(({ minutes }) => minutes)).toEqual([Number((20 * 2 ** 1.5).toPrecision(12)), 20]);
    expect(twice.cuts[0]).toMatchObject({ drop: mm(300), knotLength: mm(15) });
    expect(twice.cuts[1]).toMatchObject({ segments: [{ length: mm(120) }] });
  });
  test('a coat grows as a surface does: it is worked out anew, not multiplied', () => {
    const coated = pattern([part('p', shapes.ball(40), { coat: 'coat' })]);
    const { before, after } = previewResize(coated, 2, WOOL);
    const role = (estimate: typeof before) =>
      estimate.roles.find(({ role: woolRole }) => woolRole === 'coat')?.total.likelyG ?? NaN;
    expect(role(after) / role(before)).toBeCloseTo(4, 9);
    expect(after.total.likelyG / before.total.likelyG).toBeCloseTo(8, 9);
  });
  test('what does not grow by itself is to be decided: eyes with the nearest there are, wire, cord', () => {
    const { decisions } = previewResize(figure(), 0.75, WOOL);
    expect(decisions).toEqual(
      expect.arrayContaining([
        { kind: 'finding', findingId: 'eye4', wantedMm: 3, insteadIds: ['eye3'] },
        { kind: 'wire', findingId: 'wire' },
        { kind: 'cord', cutId: 'c' },
      ]),
    );
    expect(previewResize(figure(), 1, WOOL).decisions).toEqual([]);
  });
  test('one make is told as it is chosen: what is written for another choice is in no sum of it', () => {
    const tuft = part('tuft', shapes.ball(20));
    const both = {
      ...pattern([part('p', shapes.ball(40)), tuft]),
      steps: [{ ...BLANK_STEP, id: 'roll', minutes: 10 }, { ...BLANK_STEP, id: 'tuft', minutes: 5 }],
      options: [
        {
          id: 'o',
          name: 'a tuft',
          kind: 'one-of' as const,
          values: [
            { id: 'yes', name: 'yes', things: [{ kind: 'part' as const, id: 'tuft' }, { kind: 'step' as const, id: 'tuft' }] },
            { id: 'no', name: 'no', things: [] },
          ],
          defaultValueId: 'no',
        },
      ],
    };
    const sums = (values: Record<string, string>) =>
      previewResize(both, 2, WOOL, new Map(), { ...NO_CHOICES, values }).oneMake;
    const alone = estimatePattern(pattern([part('p', shapes.ball(40))]), WOOL).total.likelyG;
    const whole = estimatePattern(both, WOOL).total.likelyG;
    expect(sums({}).before.total.likelyG).toBeCloseTo(alone, 9);
    expect(sums({}).before.minutes.known).toBe(10);
    expect(sums({}).after.total.likelyG).toBeCloseTo(8 * alone, 9);
    expect(sums({ o: 'yes' }).before.total.likelyG).toBeCloseTo(whole, 9);
    expect(sums({ o: 'yes' }).before.minutes.known).toBe(15);
  }); // prettier-ignore
  test('a swap is taken, and what is too small then is said', () => {
    const { pattern: small, warnings } = previewResize(figure(), 0.15, WOOL, new Map([['eye4', 'eye3']]));
    expect(small.findings[0]?.findingId).toBe('eye3');
    expect(warnings.map(({ code }) => code)).toContain('part_tiny');
  });
});

test('two builds side by side: parts by id, else by name, and what only one has', () => {
  const [a, b] = [
    pattern([part('x', shapes.ball(20)), part('y', shapes.ball(30))]),
    pattern([part('x', shapes.ball(25)), part('z', shapes.ball(9))]),
  ];
  const renamed = { ...b, parts: [...b.parts, { ...part('w', shapes.ball(30)), name: 'y' }] };
  const build = (figured: typeof a) => ({ pattern: figured, estimate: estimatePattern(figured, WOOL) });
  const { parts, fibres } = compareBuilds(build(a), build(renamed));
  expect(parts.map(({ a: part, b: two }) => [part?.part.id, two?.part.id])).toEqual([
    ['x', 'x'],
    ['y', 'w'],
    [undefined, 'z'],
  ]);
  expect(fibres).toHaveLength(1);
});
