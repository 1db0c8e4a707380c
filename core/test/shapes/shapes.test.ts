import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  carlsonRG,
  checkShape,
  reshape,
  type Shape,
  SHAPE_KINDS,
  sizesOf,
  type Solid,
  solidOf,
  viewOutline,
  VIEWS,
} from '../../src/shapes/index.ts';
import { mm, shapes } from '../support/make.ts';
import { revolve } from '../support/revolve.ts';

const solid = (shape: Shape): Solid => {
  const result = solidOf(shape);
  if (result.kind !== 'solid') throw new Error('sizes missing');
  return result.solid;
};

describe('volume, area and centroid against the reference table', () => {
  const rows: [name: string, shape: Shape, volumeCm3: number, areaCm2: number, centroidMm: number][] = [
    ['ball 60', shapes.ball(60), 113.097, 113.097, 30],
    ['ellipsoid 90 × 60 × 50', shapes.ellipsoid(90, 60, 50), 141.372, 137.287, 45],
    ['egg 80 × 60, widest at 0.40', shapes.egg(80, 60), 150.796, 139.258, 38],
    ['limb 70 × 14', shapes.limb(70, 14), 10.057, 30.788, 35],
    ['taper 80, 20 → 6', shapes.taper(80, 20, 6), 11.645, 36.222, 26.906],
    ['flat ellipse 40 × 18 × 3', shapes.flat(40, 18, 3), 1.696, 14.142, 20],
    ['drop 90 × 50', shapes.drop(90, 50), 75.267, 93.967, 30.109],
    ['dome 50 × 20', shapes.dome(50, 20), 26.18, 53.787, 7.5],
    ['ring 60, rope 12', shapes.ring(60, 12), 17.055, 56.849, 30],
    ['cone 40 × 30', shapes.cone(40, 30), 9.425, 27.2, 10],
    ['box 30 × 20 × 10', shapes.box(30, 20, 10), 6, 22, 15],
    ['sleeve 120 × 16 on wire 1.6', shapes.sleeve(120, 16, 1.6), 23.886, 60.319, 60],
    ['coil: the volume of its taper, no ends', shapes.coil(80, 20, 6), 11.645, 32.797, 26.906],
  ];
  test.each(rows)('%s', (_name, shape, volumeCm3, areaCm2, centroidMm) => {
    const made = solid(shape);
    expect(made.volumeMm3 / 1000).toBeCloseTo(volumeCm3, 3);
    expect(made.areaMm2 / 100).toBeCloseTo(areaCm2, 3);
    expect(made.centroidMm).toBeCloseTo(centroidMm, 3);
  });
});

describe('turned pieces against numeric revolution of their own drawn outline', () => {
  const size = fc.double({ min: 5, max: 200, noNaN: true });
  const fraction = fc.double({ min: 0.15, max: 0.85, noNaN: true });
  test.each([
    ['ball', fc.record({ d: size }).map(({ d }) => shapes.ball(d))],
    ['ellipsoid of revolution', fc.record({ l: size, d: size }).map(({ l, d }) => shapes.ellipsoid(l, d, d))],
    ['egg', fc.record({ l: size, d: size, f: fraction }).map(({ l, d, f }) => shapes.egg(l, d, f))],
    ['limb', fc.record({ d: size, more: size }).map(({ d, more }) => shapes.limb(d + more, d))],
    ['drop', fc.record({ d: size, more: size }).map(({ d, more }) => shapes.drop(d / 2 + more, d))],
    ['dome', fc.record({ d: size, h: size }).map(({ d, h }) => shapes.dome(d, h))],
    ['cone', fc.record({ d: size, h: size }).map(({ d, h }) => shapes.cone(h, d))],
    [
      'taper',
      fc
        .record({ l: size, thin: size, more: size })
        .map(({ l, thin, more }) => shapes.taper(l, thin + more, thin)),
    ],
  ])('%s', (_name, shape) => {
    fc.assert(
      fc.property(shape, (made) => {
        const { volumeMm3, areaMm2, outline } = solid(made);
        const judged = revolve(outline());
        // The outline is a polygon inscribed in the curve: a little small, never by more than its chords.
        expect(judged.volumeMm3 / volumeMm3).toBeGreaterThan(0.99);
        expect(judged.volumeMm3 / volumeMm3).toBeLessThan(1.0001);
        expect(judged.areaMm2 / areaMm2).toBeGreaterThan(0.99);
        expect(judged.areaMm2 / areaMm2).toBeLessThan(1.0001);
      }),
      { numRuns: 60 },
    );
  });
});

test('the area of an ellipsoid with three axes agrees with a sum over its surface', () => {
  const axis = fc.double({ min: 3, max: 100, noNaN: true });
  fc.assert(
    fc.property(axis, axis, axis, (l, w, h) => {
      expect(solid(shapes.ellipsoid(l, w, h)).areaMm2 / ellipsoidAreaBySum(l / 2, w / 2, h / 2)).toBeCloseTo(
        1,
        2,
      );
    }),
    { numRuns: 20 },
  );
});

/** Midpoint sum of the surface element over the unit sphere. */
function ellipsoidAreaBySum(a: number, b: number, c: number): number {
  const steps = 100;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const u = (i + 0.5) / steps;
    for (let j = 0; j < steps; j++) {
      const phi = ((j + 0.5) / steps) * (Math.PI / 2);
      const across = (b * c * Math.cos(phi)) ** 2 + (a * c * Math.sin(phi)) ** 2;
      sum += Math.sqrt((1 - u * u) * across + (a * b * u) ** 2);
    }
  }
  return (8 * sum * (Math.PI / 2)) / steps ** 2;
}

test('a ring against the sum of its rope’s slices, whatever its proportions', () => {
  const ratio = fc.double({ min: 0.02, max: 0.48, noNaN: true });
  fc.assert(
    fc.property(fc.double({ min: 10, max: 300, noNaN: true }), ratio, (outer, part) => {
      const rope = outer * part;
      const made = solid(shapes.ring(outer, rope));
      const judged = ringBySlices(outer, rope);
      expect(made.volumeMm3 / judged.volumeMm3).toBeCloseTo(1, 4);
      expect(made.areaMm2 / judged.areaMm2).toBeCloseTo(1, 4);
    }),
    { numRuns: 40 },
  );
});

/** Midpoint sums over the angle round the rope’s section: each sliver is carried round at its own radius. */
function ringBySlices(outer: number, rope: number): { volumeMm3: number; areaMm2: number } {
  const [steps, r] = [2000, rope / 2];
  const middle = outer / 2 - r;
  let [volumeMm3, areaMm2] = [0, 0];
  for (let i = 0; i < steps; i++) {
    const angle = ((i + 0.5) / steps) * 2 * Math.PI;
    const step = (2 * Math.PI) / steps;
    areaMm2 += r * step * 2 * Math.PI * (middle + r * Math.cos(angle));
    // A sliver of the disc from its centre: its centroid lies two thirds out.
    volumeMm3 += ((r * r * step) / 2) * 2 * Math.PI * (middle + (2 / 3) * r * Math.cos(angle));
  }
  return { volumeMm3, areaMm2 };
}

test('the elliptic integral meets its known special values', () => {
  expect(carlsonRG(4, 4, 4)).toBeCloseTo(2, 12);
  expect(carlsonRG(0, 1, 1)).toBeCloseTo(Math.PI / 4, 10);
  // A flat disc: R_G(0, 0, z) = √z / 2, approached.
  expect(carlsonRG(1e-14, 1e-14, 1)).toBeCloseTo(0.5, 5);
});

describe('an inset solid', () => {
  const any = fc.constantFrom(
    shapes.ball(40), shapes.ellipsoid(50, 30, 20), shapes.egg(60, 40, 0.35), shapes.limb(50, 12), shapes.taper(60, 24, 5), shapes.taper(40, 20, 0), shapes.flat(40, 20, 4),
    shapes.drop(60, 30), shapes.dome(50, 20), shapes.cone(40, 30), shapes.ring(60, 12), shapes.box(30, 20, 12),
  ); // prettier-ignore
  test('shrinks steadily with depth until nothing is left', () => {
    fc.assert(
      fc.property(
        any,
        fc.double({ min: 0, max: 25, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (shape, depth, more) => {
          const at = solid(shape).inset(depth)?.volumeMm3 ?? 0;
          const deeper = solid(shape).inset(depth + more)?.volumeMm3 ?? 0;
          expect(deeper).toBeLessThanOrEqual(at);
        },
      ),
    );
  });
  test('taken off thinly, loses its surface times the depth', () => {
    fc.assert(
      fc.property(any, (shape) => {
        const made = solid(shape);
        const lost = made.volumeMm3 - (made.inset(0.001)?.volumeMm3 ?? 0);
        // Shortening an ellipsoid's axes is not quite its parallel surface; 6 % of a thin coat at these proportions.
        expect(lost / (made.areaMm2 * 0.001)).toBeGreaterThan(0.94);
        expect(lost / (made.areaMm2 * 0.001)).toBeLessThan(1.06);
      }),
    );
  });
});

describe('what cannot be a shape', () => {
  const rows: [name: string, shape: Shape, code: string, pointer: string][] = [
    ['nought', shapes.ball(0), 'size_not_positive', '/s/diameter'],
    ['negative', shapes.egg(-4, 3), 'size_not_positive', '/s/length'],
    ['not a number', shapes.ball(NaN), 'size_not_positive', '/s/diameter'],
    ['far too large', shapes.ball(1e9), 'size_too_large', '/s/diameter'],
    ['endless', shapes.limb(Infinity, 3), 'size_too_large', '/s/length'],
    ['a limb shorter than wide', shapes.limb(9, 14), 'limb_shorter_than_wide', '/s/length'],
    ['a drop with no point', shapes.drop(20, 50), 'drop_without_point', '/s/length'],
    ['a ring with no hole', shapes.ring(20, 12), 'ring_without_hole', '/s/rope'],
    ['a taper the wrong way round', shapes.taper(40, 6, 9), 'taper_ends_swapped', '/s/thinEnd'],
  ];
  test.each(rows)('%s', (_name, shape, code, pointer) => {
    expect(checkShape(shape, '/s')).toEqual([expect.objectContaining({ code, pointer })]);
  });
  test('a point at the thin end, a size not given, and inches are fine', () => {
    expect(checkShape(shapes.taper(40, 6, 0), '')).toEqual([]);
    expect(checkShape({ kind: 'limb', length: null, diameter: mm(4) }, '')).toEqual([]);
    expect(checkShape({ kind: 'ball', diameter: { value: 2.375, unit: 'in' } }, '')).toEqual([]);
  });
});

test('a size nobody has given is named, never nought', () => {
  expect(solidOf({ kind: 'egg', length: mm(60), diameter: null, widestAtFraction: 0.4 })).toEqual({
    kind: 'sizes-missing',
    missing: ['diameter'],
  });
});

test('a shape changed to another kind and back keeps what the two have in common', () => {
  for (const kind of SHAPE_KINDS) {
    const there = reshape(shapes.egg(80, 60), kind);
    expect(there.kind).toBe(kind);
    const length = sizesOf(reshape(there, 'egg')).get('length');
    if (sizesOf(there).has('length')) expect(length).toEqual(mm(80));
  }
  expect(sizesOf(reshape(shapes.ball(30), 'limb')).get('length')).toEqual(mm(30));
});

test('every outline stays in its box and touches all four sides', () => {
  for (const shape of [
    shapes.ball(40),
    shapes.egg(60, 40),
    shapes.limb(50, 12),
    shapes.taper(60, 24, 5),
    shapes.flat(40, 20, 4),
    shapes.drop(60, 30),
    shapes.dome(50, 20),
    shapes.cone(40, 30),
    shapes.ring(60, 12),
    shapes.box(30, 20, 10),
    shapes.coil(120, 12, 4),
    shapes.sleeve(60, 12, 1.2),
    shapes.outline('M0 0L40 0L60 30L30 80L5 60Z', 50, 4),
  ]) {
    const { outline, widthMm, heightMm } = solid(shape);
    const xs = outline().map(([x]) => x);
    const ys = outline().map(([, y]) => y);
    expect(
      [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)].map(
        (value) => Math.round(value * 100) / 100,
      ),
    ).toEqual([0, widthMm, 0, heightMm].map((value) => Math.round(value * 100) / 100));
  }
});

describe('the three views', () => {
  const every: [string, Shape, readonly [width: number, height: number, depth: number]][] = [
    ['ellipsoid', shapes.ellipsoid(90, 60, 50), [60, 90, 50]],
    ['egg', shapes.egg(80, 60), [60, 80, 60]],
    ['flat ellipse', shapes.flat(40, 18, 3), [18, 40, 3]],
    ['ring', shapes.ring(60, 12), [60, 60, 12]],
    ['box', shapes.box(30, 20, 10), [20, 30, 10]],
    ['taper', shapes.taper(80, 20, 6), [20, 80, 20]],
    ['outline', shapes.outline('M0 0h40v80h-40Z', 80, 5), [40, 80, 5]],
  ];
  test.each(every)(
    '%s: each shows two of its three widths, and its outline fills that box',
    (_name, shape, [width, height, depth]) => {
      const made = solid(shape);
      expect([made.widthMm, made.heightMm, made.depthMm]).toEqual([width, height, depth]);
      const boxes = { front: [width, height], side: [depth, height], top: [width, depth] } as const;
      for (const view of VIEWS) {
        const outline = viewOutline(made, view);
        expect([outline.widthMm, outline.heightMm]).toEqual(boxes[view]);
        const xs = outline.points.map(([x]) => x);
        const ys = outline.points.map(([, y]) => y);
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(boxes[view][0], 1);
        expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(boxes[view][1], 1);
      }
    },
  );
});

test('a sleeve is the tube between two turned cylinders', () => {
  const outer = revolve([
    [0, 0],
    [16, 0],
    [16, 120],
    [0, 120],
  ]).volumeMm3;
  const wire = revolve([
    [0, 0],
    [1.6, 0],
    [1.6, 120],
    [0, 120],
  ]).volumeMm3;
  expect(solid(shapes.sleeve(120, 16, 1.6)).volumeMm3).toBeCloseTo(outer - wire, 3);
});

test('a drawn ellipse is the flat ellipse, to a tenth of a percent', () => {
  const drawn = solid(shapes.outline('M0 20A9 20 0 1 0 18 20A9 20 0 1 0 0 20Z', 40, 3));
  const exact = solid(shapes.flat(40, 18, 3));
  expect(Math.abs(drawn.volumeMm3 / exact.volumeMm3 - 1)).toBeLessThan(0.001);
  expect(Math.abs(drawn.areaMm2 / exact.areaMm2 - 1)).toBeLessThan(0.001);
  expect(drawn.centroidMm).toBeCloseTo(20, 2);
});
