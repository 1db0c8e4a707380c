import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { type Amount, BLANK_STEP, NO_CHOICES } from '../../src/pattern/index.ts';
import { compareBuilds, previewResize, resizePattern } from '../../src/resize/index.ts';
import fc from 'fast-check';
import { mm, part, pattern, shapes, use } from '../support/make.ts';
import { cut, segment, WOOL } from '../support/cutWool.ts';

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
