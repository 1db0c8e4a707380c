import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, type Wool } from '../../../src/engine/index.ts';
import { bodyOf } from '../../../src/placing/index.ts';
import { aroundForGap, chordMm, type Fit, fitsOf, isFitting } from '../../../src/figure/together/fits.ts';
import { putTogether } from '../../../src/figure/together/together.ts';
import { type Placement, straightOut, type Use } from '../../../src/pattern/index.ts';
import { type Shape, solidOf } from '../../../src/shapes/index.ts';
import { wireEnds } from '../../../src/figure/index.ts';
import { fitWords, wireEndWords } from '../../../src/words/index.ts';
import { finding, WOOL } from '../../support/engine.ts';
import { mm, part, pattern, shapes, use } from '../../support/make.ts';

const bodyFor = (shape: Shape) => {
  const result = solidOf(shape);
  if (result.kind !== 'solid') throw new Error(result.kind);
  return bodyOf(result.solid);
};
const wool: Wool = {
  ...WOOL,
  findings: new Map([
    ['eye', finding('eye', { outerMm: { length: 8, width: 8, height: 5 } })],
    ['pin', finding('pin', { sort: 'pin-back', outerMm: { length: 25, width: 5, height: 6 } })],
    ['bare', finding('bare', {})],
    ['posted', finding('posted', { outerMm: { length: 8, width: 8, height: 5 }, postMm: 12 })],
  ]),
};
const placement = (
  rule: Placement['rule'],
  around: number,
  height: number,
  more: Partial<Placement> = {},
): Placement => ({ rule, spanDeg: 360, heldBy: 'middle', places: [straightOut(around, height)], ...more });
const fitOn = (
  shape: Shape,
  findingId: string,
  told: Placement,
  count = 2,
  uses: Use[] = [],
): Fit | undefined => {
  const host = part('host', shape);
  const build = pattern([{ ...host, uses: [...host.uses, ...uses] }], {
    findings: [{ id: 'f', findingId, partId: 'host', count, placement: told }],
  });
  return fitsOf(putTogether(build, estimatePattern(build, wool), wool.findings).details)[0];
};

describe('how features go on a host', () => {
  test('check values: a ball 35 is 33.54 wide 5 above its middle; two eyes of 8 with 6 between sit at 23.6°', () => {
    const ball = bodyFor(shapes.ball(35));
    expect(chordMm(ball, (17.5 + 5) / 35)).toBeCloseTo(33.54, 2);
    expect(aroundForGap(ball, 0.5, 8, 6)).toBeCloseTo(23.6, 1);
  });
  test('on a host that is narrower, no such place is made up', () => {
    expect(aroundForGap(bodyFor(shapes.ball(12)), 0.5, 8, 6)).toBeNull();
  });
  test('set where it says, two things have what is between them, on any host', () => {
    const shape = fc.constantFrom(shapes.ball(40), shapes.egg(60, 44), shapes.ellipsoid(50, 40, 30));
    fc.assert(
      fc.property(shape, fc.double({ min: 0, max: 12, noNaN: true }), fc.double({ min: 0.35, max: 0.7, noNaN: true }), (host, gap, height) => {
        const around = aroundForGap(bodyFor(host), height, 8, gap);
        if (around === null) return;
        const fit = fitOn(host, 'eye', placement('mirror', around, height));
        expect(fit?.kind === 'pair' && fit.gapMm).toBeCloseTo(gap, 3);
      }),
      { numRuns: 40 },
    );
  });
  test('eyes too near one another, or over the edge, do not fit and say so', () => {
    const near = fitOn(shapes.ball(35), 'eye', placement('mirror', 8, 0.5));
    expect(near && isFitting(near)).toBe(false);
    expect(near && fitWords(near, 'Eyes', 'mm')).toBe('Eyes: they lie 3.1 mm over one another');
    const wide = fitOn(shapes.ball(35), 'eye', placement('mirror', 70, 0.5));
    expect(wide && isFitting(wide)).toBe(false);
    expect(wide && fitWords(wide, 'Eyes', 'mm')).toMatch(/^Eyes: 25 mm between them, 2\.9 mm over the edge$/);
  });
  test('felted dots fit as beads do; what has no size, or is not two, is not judged', () => {
    const dots = use('dot', 'd', 'dark', { diameter: mm(4), count: 2, placement: placement('mirror', 30, 0.5) });
    const build = pattern([part('host', shapes.ball(40), { uses: [use('core', 'c', 'core'), dots] as never })]);
    const [fit] = fitsOf(putTogether(build, estimatePattern(build, wool), wool.findings).details);
    // Twice 20·sin 30°, less one of them.
    expect(fit?.kind === 'pair' && fit.gapMm).toBeCloseTo(16, 6);
    expect(fitOn(shapes.ball(40), 'bare', placement('mirror', 30, 0.5))).toBeUndefined();
    expect(fitOn(shapes.ball(40), 'eye', placement('each', 0, 0.5), 1)).toBeUndefined();
  });
  test.each([30, 60, 85, 90, 112])('a felted dot %s° round lies flat there: however far, it does not stand over', (around) => {
    const dots = use('dot', 'd', 'dark', { diameter: mm(4), count: 2, placement: placement('mirror', around, 0.5) });
    const build = pattern([part('host', shapes.ball(40), { uses: [use('core', 'c', 'core'), dots] as never })]);
    const [fit] = fitsOf(putTogether(build, estimatePattern(build, wool), wool.findings).details);
    // From the front a flat dot reaches from its middle by its half, seen so far askew.
    const [sin, cos] = [Math.sin((around * Math.PI) / 180), Math.abs(Math.cos((around * Math.PI) / 180))];
    expect(fit?.kind === 'pair' && fit.edgeMm).toBeCloseTo(20 - 20 * sin - 2 * cos, 1);
    expect(fit && isFitting(fit)).toBe(20 - 20 * sin - 2 * cos >= -0.2);
  }); // prettier-ignore
  test('a pin’s bar against the flat there is: of a plate its face, of a ball the chord where felt still gives', () => {
    const onPlate = fitOn(shapes.flat(36, 26, 7), 'pin', placement('each', 180, 0.5, { heldBy: 'side' }), 1);
    if (onPlate?.kind !== 'bar') throw new Error('a bar');
    expect(onPlate.flatMm).toBeGreaterThan(35);
    expect(onPlate.flatMm).toBeLessThanOrEqual(36);
    expect(isFitting(onPlate)).toBe(true);
    const onBall = fitOn(shapes.ball(60), 'pin', placement('each', 180, 0.5, { heldBy: 'side' }), 1);
    if (onBall?.kind !== 'bar') throw new Error('a bar');
    // 1.5 mm under the top of a ball: 2·√(2·30·1.5 − 1.5²).
    expect(onBall.flatMm).toBeGreaterThan(2 * Math.sqrt(2 * 30 * 1.5 - 1.5 ** 2) - 0.6);
    expect(onBall.flatMm).toBeLessThanOrEqual(2 * Math.sqrt(2 * 30 * 1.5 - 1.5 ** 2));
    expect(isFitting(onBall)).toBe(false);
    expect(fitWords(onBall, 'Pin', 'mm')).toMatch(/^Pin: 25 mm long, the flat there is 1[89] mm$/);
  });
  test.each([
    // Straight in through a ball there is as much wool as it is wide; a plate, as it is thick.
    ['a ball wide enough', shapes.ball(35), 35, true],
    ['a ball just not wide enough for what holds it beyond its end', shapes.ball(13.5), 13.5, false],
    ['a thin plate', shapes.flat(60, 40, 7), 7, false],
  ])('the post of an eye in its depth: %s', (_name, host, depthMm, isHeld) => {
    const build = pattern([part('host', host)], { findings: [{ id: 'f', findingId: 'posted', partId: 'host', count: 1, placement: placement('each', 0, 0.5) }] });
    const fit = fitsOf(putTogether(build, estimatePattern(build, wool), wool.findings).details).find(({ kind }) => kind === 'post');
    if (fit?.kind !== 'post') throw new Error('a post');
    expect(Math.abs(fit.depthMm - depthMm)).toBeLessThanOrEqual(0.26);
    expect(isFitting(fit)).toBe(isHeld);
    expect(fitWords(fit, 'Eye', 'mm')).toMatch(/^Eye: its post goes 12 mm in, and there are \d+(\.\d)? mm of wool$/);
  });
  test('what has no post is not judged by one', () => {
    expect(fitOn(shapes.ball(35), 'eye', placement('mirror', 20, 0.5))?.kind).toBe('pair');
  });
}); // prettier-ignore

describe('ends of a wire', () => {
  const wireOf = (segments: readonly (readonly [string | null, number | null])[]) => ({
    id: 'w',
    name: 'leg wire',
    findingId: null,
    count: 1,
    kind: 'wire' as const,
    segments: segments.map(([partId, length]) => ({
      name: '',
      partId,
      length: length === null ? null : mm(length),
      strands: 1,
      isTwisted: false,
    })),
    seat: null,
    windings: [],
    endCurls: 2,
    curlLength: null,
  });
  const endsOf = (segments: readonly (readonly [string | null, number | null])[]) => {
    const build = pattern([part('body', shapes.ball(60)), part('leg', shapes.limb(40, 10)), part('ring', shapes.ring(40, 6))], { cuts: [wireOf(segments)] });
    const estimate = estimatePattern(build, WOOL);
    return wireEnds(build, estimate).map((end) => ({ ...end, words: wireEndWords(end, build, 'mm') }));
  }; // prettier-ignore
  test.each([
    ['as long as its part, for nobody has said', [['leg', null]], [0]],
    ['shorter than its part', [['leg', 30]], [-10]],
    ['longer than its part', [['leg', 46]], [6]],
    [
      'from one part into another',
      [
        ['leg', 50],
        ['body', 20],
        ['leg', 38],
      ],
      [10, -2],
    ],
    ['round a ring it is bent', [['ring', Math.PI * 34]], [0]],
  ] as const)('%s', (_name, segments, out) => {
    endsOf(segments).forEach(({ outMm }, at) => expect(outMm).toBeCloseTo(out[at] ?? NaN, 6));
    expect(endsOf(segments)).toHaveLength(out.length);
  });
  test('through nothing that is named is told; a wire through no part at all is none of ours', () => {
    const [, last] = endsOf([
      ['leg', 40],
      [null, 12],
    ]);
    expect(last?.words).toContain('an end of 12 mm runs through no part');
    expect(endsOf([[null, 100]])).toEqual([]);
  });
});
