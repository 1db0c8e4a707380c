import { describe, expect, test } from '@jest/globals';
import { CUT_STEP, estimatePattern } from '../../src/engine/index.ts';
import { blankCut, type Cut, CUT_KINDS } from '../../src/pattern/index.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { cut, segment, WOOL } from '../support/cutWool.ts';

const estimateOf = (measured: Cut, parts = [part('leg', shapes.limb(50, 12), { count: 2 })]) => {
  const [cutEstimate] = estimatePattern(pattern(parts, { cuts: [measured] }), WOOL).cuts;
  if (!cutEstimate) throw new Error('one cut');
  return cutEstimate;
};

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
