import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../../src/engine/index.ts';
import { formOfCut, pointsOfForm } from '../../../src/figure/together/cutForms.ts';
import { supportOf } from '../../../src/figure/together/feet.ts';
import { drawnFigure, FRONT, putTogether, SIDE, whatItTells } from '../../../src/figure/index.ts';
import {
  blankCut,
  blankPart,
  blankPattern,
  type Cut,
  type Pattern,
  straightOut,
} from '../../../src/pattern/index.ts';
import type { Vec3 } from '../../../src/placing/index.ts';

const mm = (value: number) => ({ value, unit: 'mm' as const });
const NO_FINDINGS = new Map<string, never>();
const WOOL = { fibres: new Map(), findings: NO_FINDINGS, needles: new Map() } as never;

/** A ball of 60 mm with one thing set on it. */
function ballWith(cut: Cut): Pattern {
  const ball = blankPart('ball', 'Ball');
  return {
    ...blankPattern('Ball'),
    parts: [{ ...ball, shape: { kind: 'ball', diameter: mm(60) } }],
    cuts: [cut],
  };
}

const seat = (
  runs: 'out' | 'down' | 'up',
  aroundDeg: number,
  heightFraction: number,
  hangByMm: number | null = null,
) => ({
  partId: 'ball',
  runs,
  hangBy: hangByMm === null ? null : mm(hangByMm),
  placement: {
    rule: 'each' as const,
    spanDeg: 360,
    heldBy: 'base' as const,
    places: [straightOut(aroundDeg, heightFraction)],
  },
});

const together = (cut: Cut) => {
  const build = ballWith(cut);
  const estimate = estimatePattern(build, WOOL);
  const put = putTogether(build, estimate, NO_FINDINGS);
  return { build, estimate, put, tells: whatItTells(put, build, estimate, NO_FINDINGS) };
};

/** What of a cut on the ball is drawn, as bodies of points. */
function formOn(cut: Cut) {
  const { put } = together(cut);
  const [detail] = put.details;
  const [spot] = detail?.spots ?? [];
  if (!detail || !spot || detail.of.kind !== 'cut') throw new Error('it is not set on');
  return { spot, form: formOfCut(detail.of.cut, detail.of.seat, spot, detail.host) };
}

const made = (kind: Cut['kind'], more: object): Cut => Object.assign(blankCut('c', kind), more);
const apart = (a: Vec3, b: Vec3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

describe('what is cut and set on a ball of 60 mm', () => {
  test.each([
    // [what, cut, across, high, deep]: by hand from the ball’s 60 and the sizes typed
    [
      'a cord of 45 that hangs from its foot',
      made('cord', { drop: mm(45), seat: seat('down', 0, 0) }),
      60,
      105,
      60,
    ],
    [
      'a feeler of 20 straight to the left',
      made('length', { length: mm(20), seat: seat('out', 90, 0.5) }),
      80,
      60,
      60,
    ],
    [
      'a hanger is no part of its height',
      made('cord', { drop: mm(300), seat: seat('up', 0, 1) }),
      60,
      60,
      60,
    ],
    [
      'a basket of 26 that hangs 40 below',
      made('tube-panel', { height: mm(26), diameter: mm(30), seat: seat('down', 0, 0, 40) }),
      60,
      126,
      60,
    ],
    [
      'a wider basket tells the width',
      made('tube-panel', { height: mm(26), diameter: mm(90), seat: seat('down', 0, 0) }),
      90,
      86,
      90,
    ],
    [
      'a handle of 40 over its top',
      made('handle', { diameter: mm(40), seat: seat('out', 0, 1) }),
      60,
      80,
      60,
    ],
    [
      'a pouch of 30, walls 12, under it',
      made('pouch-square', { base: mm(30), wall: mm(12), seat: seat('down', 0, 0) }),
      60,
      72,
      60,
    ],
    [
      'a rolled strip of 25 in front',
      made('rolled-strip', { length: mm(25), diameter: mm(6), seat: seat('out', 0, 0.5) }),
      60,
      60,
      85,
    ],
    [
      'a wire with 18 free and the rest within',
      made('wire', {
        segments: [
          { name: '', partId: 'ball', length: null, strands: 1, isTwisted: false },
          { name: '', partId: null, length: mm(18), strands: 1, isTwisted: false },
        ],
        seat: seat('out', 180, 0.5),
      }),
      60,
      60,
      78,
    ],
  ] as const)('%s', (_what, cut, widthMm, heightMm, depthMm) => {
    const { tells } = together(cut);
    expect(tells.size?.widthMm).toBeCloseTo(widthMm, 1);
    expect(tells.size?.heightMm).toBeCloseTo(heightMm, 1);
    expect(tells.size?.depthMm).toBeCloseTo(depthMm, 1);
  });

  test('stands on the ground by what is lowest, however low that hangs', () => {
    const { put } = together(made('cord', { drop: mm(45), seat: seat('down', 0, 0) }));
    expect(Math.min(...put.figure.beyond.map(([, y]) => y))).toBeCloseTo(0, 9);
    expect(put.figure.pieces[0]?.frame.origin[1]).toBeCloseTo(45, 9);
  });

  test('stands on the rim of a basket as wide as it is', () => {
    const { put } = together(
      made('tube-panel', { height: mm(26), diameter: mm(30), seat: seat('down', 0, 0) }),
    );
    const far = supportOf(put.figure, null).map(([x, z]) => Math.hypot(x, z));
    expect(Math.max(...far)).toBeCloseTo(15, 6);
  });

  test.each([
    [
      'both halves of a whisker of 30 are 15 long',
      made('whisker', { span: mm(30), margin: mm(0), seat: seat('out', 0, 0.5) }),
      15,
    ],
  ])('%s', (_what, cut, halfMm) => {
    const { form, spot } = formOn(cut);
    const [strand = []] = form?.strands ?? [];
    const ends = [strand[0], strand.at(-1)].map((end) => apart(end ?? [0, 0, 0], spot.point));
    for (const end of ends) expect(end).toBeCloseTo(halfMm, 9);
    // Out of the wool on both sides, not through it.
    for (const end of [strand[0], strand.at(-1)]) expect((end ?? [0, 0, 0])[2]).toBeGreaterThan(30);
  });

  test('a thread wound round lies on the surface', () => {
    const { form } = formOn(made('binding', { turns: 2, girth: mm(180), seat: seat('out', 0, 0.5) }));
    for (const [x, y, z] of form?.strands.flat() ?? []) expect(Math.hypot(x, y - 30, z)).toBeCloseTo(30, 6);
  });

  test.each([
    ['tube-panel', { height: mm(20), diameter: mm(30) }],
    ['cone-panel', { bottomDiameter: mm(20), topDiameter: mm(40), height: mm(25) }],
    ['cone-panel', { bottomDiameter: mm(0), topDiameter: mm(40), height: mm(25) }],
  ] as const)('the middle of a %s is that of its wall, counted strip by strip', (kind, sizes) => {
    const { form } = formOn(made(kind, { ...sizes, seat: seat('down', 0, 0, 10) }));
    const [near = [], far = []] = form?.shell?.rings ?? [];
    const radius = (ring: readonly Vec3[]) => (ring[0] && ring[12] ? apart(ring[0], ring[12]) / 2 : 0);
    const heights = [near, far].map((ring) => ring[0]?.[1] ?? 0);
    let [moment, weight] = [0, 0];
    const steps = 20_000;
    for (let at = 0; at < steps; at++) {
      const share = (at + 0.5) / steps;
      const round = radius(near) + (radius(far) - radius(near)) * share;
      moment += round * ((heights[0] ?? 0) + ((heights[1] ?? 0) - (heights[0] ?? 0)) * share);
      weight += round;
    }
    expect(form?.middle[1]).toBeCloseTo(moment / weight, 4);
  });

  test('is not drawn while a size of it is not said', () => {
    for (const kind of [
      'length',
      'cord',
      'covering',
      'whisker',
      'handle',
      'panel',
      'tube-panel',
      'cone-panel',
      'rolled-strip',
      'pouch-square',
    ] as const)
      expect(formOn(made(kind, { seat: seat('out', 0, 0.5) })).form).toBeNull();
  });

  test('on the far side is drawn before its host, on the near side after it', () => {
    const feeler = (aroundDeg: number) =>
      drawnFigure(
        together(made('length', { length: mm(20), seat: seat('out', aroundDeg, 0.5) })).put,
        [],
        FRONT,
      ).pieces[0];
    expect(feeler(0)?.behind).toHaveLength(0);
    expect(feeler(0)?.marks).toHaveLength(1);
    expect(feeler(180)?.behind).toHaveLength(1);
    expect(feeler(180)?.marks).toHaveLength(0);
  });

  test('is within the box of the drawing, from every side', () => {
    const { put } = together(made('length', { length: mm(20), seat: seat('out', 90, 0.5) }));
    expect(drawnFigure(put, [], FRONT).box.rightMm).toBeCloseTo(50, 1);
    expect(drawnFigure(put, [], SIDE).box.rightMm).toBeCloseTo(30, 1);
  });

  test('reaches by all of its points', () => {
    const { form } = formOn(made('handle', { diameter: mm(40), seat: seat('out', 0, 1) }));
    expect(form && Math.max(...pointsOfForm(form).map(([, y]) => y))).toBeCloseTo(80, 6);
  });
});
