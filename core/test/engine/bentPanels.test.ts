import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Length } from '../../src/base/index.ts';
import {
  conePanelOutline,
  cutSizeOf,
  cutToSize,
  type Frustum,
  frustumOf,
  handleAcrossMm,
  handleLengthMm,
  pouchBaseMm,
  pouchSideMm,
  pouchWallMm,
  rolledAcrossMm,
  rolledWidthMm,
  sectorOf,
  tubeAcrossMm,
  tubePanelMm,
} from '../../src/engine/index.ts';
import { blankCut, type Cut, type CutKind } from '../../src/pattern/index.ts';
import { resizePattern } from '../../src/resize/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import { WOOL } from '../support/engine.ts';
import { mm, pattern } from '../support/make.ts';

const size = fc.double({ min: 1, max: 500, noNaN: true });

describe('check values', () => {
  test('a panel 65 long, 2 over one another, is a tube 20.05 across', () => {
    expect(tubeAcrossMm(65, 2)).toBeCloseTo(20.05, 2);
  });
  test('30 below, 40 above, 25 high: slant 25.50, arcs of 76.49 and 101.98, 70.60°', () => {
    const sector = sectorOf({ bottomMm: 30, topMm: 40, heightMm: 25 });
    expect(sector?.slantMm).toBeCloseTo(25.5, 2);
    expect(sector?.innerMm).toBeCloseTo(76.49, 2);
    expect(sector?.outerMm).toBeCloseTo(101.98, 2);
    expect(sector?.angleDeg).toBeCloseTo(70.6, 2);
  });
  test('a half-round handle of 80 with 10 tucked in twice; a square of 143 with notches of 30; a strip rolled up', () => {
    expect(handleLengthMm(80, 10)).toBeCloseTo(40 * Math.PI + 20, 9);
    expect(pouchBaseMm(143, 30)).toBe(83);
    expect(rolledAcrossMm(120, 2)).toBeCloseTo(2 * Math.sqrt((120 * 2 * 1.15) / Math.PI), 9);
  });
});

describe('there and back', () => {
  const back = (a: fc.Arbitrary<number>, there: (x: number, y: number) => number, again: (x: number, y: number) => number | null) =>
    fc.assert(fc.property(a, size, (x, y) => expect((again(there(x, y), y) ?? NaN) / x).toBeCloseTo(1, 9))); // prettier-ignore
  test('tube', () => back(size, tubePanelMm, tubeAcrossMm));
  test('handle', () => back(size, handleLengthMm, handleAcrossMm));
  test('pouch by its base', () => back(size, pouchSideMm, pouchBaseMm));
  test('pouch by its wall', () =>
    back(
      size,
      (wall, base) => pouchSideMm(base, wall),
      (side, base) => pouchWallMm(side, base),
    ));
  test('rolled sheet', () => back(size, rolledWidthMm, rolledAcrossMm));
  test('cone', () => {
    fc.assert(
      fc.property(size, size, size, (a, b, heightMm) => {
        fc.pre(Math.abs(a - b) > 0.01 * Math.max(a, b));
        const [bottomMm, topMm] = [Math.min(a, b), Math.max(a, b)];
        const sector = sectorOf({ bottomMm, topMm, heightMm });
        const again = sector && frustumOf(sector);
        expect((again?.bottomMm ?? NaN) / bottomMm).toBeCloseTo(1, 6);
        expect((again?.topMm ?? NaN) / topMm).toBeCloseTo(1, 6);
        expect((again?.heightMm ?? NaN) / heightMm).toBeCloseTo(1, 6);
      }),
    );
  });
});

/** The shoelace formula, and lengths of what is drawn: measured on the points, not on the formulas. */
const areaOf = (points: readonly (readonly [number, number])[]) =>
  Math.abs(points.reduce((sum, [x, y], at) => {
    const [x2, y2] = points[(at + 1) % points.length] ?? [0, 0];
    return sum + (x * y2 - x2 * y) / 2;
  }, 0)); // prettier-ignore

describe('the panel of a cone', () => {
  test('its face is the side of the cone it comes to, and the strip under the edge', () => {
    fc.assert(
      fc.property(size, size, size, fc.double({ min: 0, max: 20, noNaN: true }), (bottomMm, topMm, heightMm, overlapMm) => {
        // Bent more than all round a page it would lie over itself.
        const sector = sectorOf({ bottomMm, topMm, heightMm });
        fc.pre(sector === null || sector.angleDeg < 300);
        // Source: the side of a frustum, π (r + R) s.
        const slant = Math.hypot(heightMm, (topMm - bottomMm) / 2);
        const side = (Math.PI * (bottomMm + topMm) * slant) / 2;
        const face = areaOf(conePanelOutline({ bottomMm, topMm, heightMm }, overlapMm));
        expect(face / (side + slant * overlapMm)).toBeCloseTo(1, 2);
      }),
      { numRuns: 60 },
    );
  }); // prettier-ignore
  test('as wide at both ends it is a tube’s', () => {
    const tube: Frustum = { bottomMm: 30, topMm: 30, heightMm: 40 };
    expect(sectorOf(tube)).toBeNull();
    expect(areaOf(conePanelOutline(tube, 6))).toBeCloseTo((30 * Math.PI + 6) * 40, 9);
  });
  test.each([
    [
      'its arcs are no longer than they are apart: it does not close',
      { innerMm: 10, outerMm: 100, angleDeg: 359 * 3 },
    ],
    ['no ring at all', { innerMm: 50, outerMm: 50, angleDeg: 90 }],
  ])('%s', (_name, sector) => {
    expect(frustumOf(sector)).toBeNull();
  });
});

const cutOf = (kind: CutKind, more: Record<string, Length | null>): Cut =>
  Object.assign(blankCut('c', kind), more);
const shaped = [
  ['a tube', cutOf('tube-panel', { height: mm(40), diameter: mm(30), overlap: mm(6) }), 'diameter'],
  ['a rolled strip', cutOf('rolled-strip', { length: mm(50), diameter: mm(9), sheetThickness: mm(2) }), 'diameter'],
  ['a cone', cutOf('cone-panel', { bottomDiameter: mm(30), topDiameter: mm(44), height: mm(25), overlap: mm(5) }), 'height'],
  ['a pouch', cutOf('pouch-square', { base: mm(80), wall: mm(30) }), 'base'],
  ['a handle', cutOf('handle', { diameter: mm(80), tuck: mm(12) }), 'diameter'],
] as const; // prettier-ignore

describe('a cut begun with what is cut', () => {
  test.each(shaped)('%s: typed as it is cut, its shape is the one it came from', (_name, cut, key) => {
    const found = cutSizeOf(cut, 'mm');
    if (!found?.size) throw new Error('a size');
    const again = cutToSize(cut, found.size) as unknown as Record<string, Length>;
    expect(again[key]?.value).toBeCloseTo((cut as unknown as Record<string, Length>)[key]?.value ?? NaN, 1);
    // Larger cut, larger shape.
    const larger = cutToSize(cut, { ...found.size, value: found.size.value * 1.5 }) as unknown as Record<
      string,
      Length
    >;
    expect(larger[key]?.value).toBeGreaterThan(again[key]?.value ?? NaN);
  });
  test.each([
    ['a tube no longer than its overlap', cutOf('tube-panel', { overlap: mm(10) }), 8, 'too_small'],
    ['a cone less steep than flat', cutOf('cone-panel', { bottomDiameter: mm(10), topDiameter: mm(60) }), 20, 'too_small'],
    ['a pouch with nothing between its walls', cutOf('pouch-square', { wall: mm(30) }), 50, 'too_small'],
    ['a handle that is all tucked in', cutOf('handle', { tuck: mm(10) }), 15, 'too_small'],
    ['a cone of which nothing is said', cutOf('cone-panel', {}), 20, 'sizes_missing'],
    ['a strip of unknown sheet', cutOf('rolled-strip', {}), 20, 'sizes_missing'],
  ] as const)('%s: %s', (_name, cut, size, problem) => {
    expect(cutToSize(cut, mm(size))).toBe(problem);
  }); // prettier-ignore
  test('in inches as in millimetres', () => {
    const cut = cutOf('tube-panel', { height: mm(40), diameter: null, overlap: mm(6.35) });
    const inches = cutToSize(cut, { value: 3, unit: 'in' }) as Extract<Cut, { kind: 'tube-panel' }>;
    expect(inches.diameter?.unit).toBe('in');
    expect((inches.diameter?.value ?? NaN) * 25.4).toBeCloseTo((3 * 25.4 - 6.35) / Math.PI, 2);
  });
  test.each(shaped)('%s grows with the figure', (_name, cut, key) => {
    const [grown] = resizePattern(pattern([], { cuts: [cut] }), 2).cuts as unknown as Record<
      string,
      Length
    >[];
    expect(grown?.[key]?.value).toBeCloseTo(
      2 * ((cut as unknown as Record<string, Length>)[key]?.value ?? NaN),
      9,
    );
  });
  test('of a cone so much sheet is wanted as the box that holds its panel, rounded up', () => {
    const cone = cutOf('cone-panel', { bottomDiameter: mm(30), topDiameter: mm(40), height: mm(25), overlap: mm(0) });
    const [estimate] = estimatePattern(pattern([], { cuts: [cone] }), WOOL).cuts;
    // Across the outer arc, and from its lowest point to the ends of the inner one.
    const half = (70.6 * Math.PI) / 360;
    expect(estimate?.exact?.lengthMm).toBeCloseTo(2 * 101.98 * Math.sin(half), 1);
    expect(estimate?.exact?.kind === 'piece' && estimate.exact.widthMm).toBeCloseTo(101.98 - 76.49 * Math.cos(half), 1);
    expect(estimate?.cut).toEqual({ kind: 'piece', lengthMm: 120, widthMm: 40 });
  }); // prettier-ignore
});
