import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { nudgeLength, toMm } from '../../src/base/index.ts';
import { estimatePart, rollUpSize, shareVolume } from '../../src/engine/index.ts';
import {
  checkShape,
  reshape,
  type Shape,
  SHAPE_KINDS,
  SHAPE_SIZES,
  type ShapeKind,
  type Solid,
  solidOf,
  withSize,
} from '../../src/shapes/index.ts';
import { drawerOf, FIRMNESSES, lightness, measure, mixColours } from '../../src/shelf/index.ts';
import { coatOf } from '../support/layers.ts';
import { fibre, mm, part, shapes, shelf } from '../support/make.ts';

const solid = (shape: Shape): Solid => {
  const result = solidOf(shape);
  if (result.kind !== 'solid') throw new Error('sizes missing');
  return result.solid;
};

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Any possible shape of a kind. */
const ANY: Readonly<Record<ShapeKind, fc.Arbitrary<Shape>>> = {
  ball: size(5, 200).map(shapes.ball),
  ellipsoid: fc
    .tuple(size(10, 120), size(10, 120), size(10, 120))
    .map(([l, w, h]) => shapes.ellipsoid(l, w, h)),
  egg: fc.tuple(size(10, 150), size(10, 120), size(0.2, 0.8)).map(([l, d, f]) => shapes.egg(l, d, f)),
  limb: fc.tuple(size(5, 40), size(1, 150)).map(([d, more]) => shapes.limb(d + more, d)),
  taper: fc
    .tuple(size(10, 150), size(3, 20), size(0.5, 30))
    .map(([l, thin, more]) => shapes.taper(l, thin + more, thin)),
  'flat-ellipse': fc.tuple(size(10, 120), size(10, 90), size(2, 12)).map(([l, w, t]) => shapes.flat(l, w, t)),
  plate: fc
    .tuple(size(10, 120), size(10, 90), size(2, 12), size(0, 0.5))
    .map(([l, w, t, share]) => shapes.plate(l, w, t, Math.min(l, w) * share)),
  drop: fc.tuple(size(8, 80), size(4, 120)).map(([d, more]) => shapes.drop(d / 2 + more, d)),
  dome: fc.tuple(size(8, 120), size(6, 90)).map(([d, h]) => shapes.dome(d, h)),
  cone: fc.tuple(size(8, 120), size(8, 90)).map(([h, d]) => shapes.cone(h, d)),
  ring: fc.tuple(size(20, 200), size(0.05, 0.45)).map(([outer, share]) => shapes.ring(outer, outer * share)),
  box: fc.tuple(size(8, 120), size(8, 90), size(8, 60)).map(([l, w, h]) => shapes.box(l, w, h)),
  coil: fc
    .tuple(size(40, 300), size(3, 12), size(0.5, 8))
    .map(([l, thin, more]) => shapes.coil(l, thin + more, thin)),
  sleeve: fc
    .tuple(size(20, 200), size(0.5, 4), size(2, 20))
    .map(([l, wire, more]) => shapes.sleeve(l, wire + more, wire)),
  'flat-outline': fc
    .tuple(size(20, 150), size(2, 12))
    .map(([l, t]) => shapes.outline('M0 0L40 0L60 30L30 80L5 60ZM20 20L30 20L25 30Z', l, t)),
  patch: fc.tuple(size(5, 90), size(5, 90)).map(([l, w]) => shapes.patch(l, w)),
  fringe: fc.tuple(size(5, 90), size(5, 90)).map(([line, drop]) => shapes.fringe(line, drop)),
  'by-count': fc.constant(shapes.byCount()),
  'by-grams': size(0.1, 90).map(shapes.byGrams),
};

const STRETCH = 1.05;

/** What has a body of its own; the others are only as large as their wool. */
const BODIES = SHAPE_KINDS.filter((kind) => !['patch', 'fringe', 'by-count', 'by-grams'].includes(kind));

describe.each(BODIES)('%s', (kind) => {
  test('is possible, whatever its sizes within reason', () => {
    fc.assert(fc.property(ANY[kind], (shape) => expect(checkShape(shape, '')).toEqual([])));
  });
  // A longer rope of one outer size is no more ring; every other size adds volume where it is let grow.
  const growing = SHAPE_SIZES[kind].filter((name) => name !== 'rope' && name !== 'wire');
  test.each(growing)('a part of it weighs more the larger its %s', (name) => {
    fc.assert(
      fc.property(ANY[kind], (shape) => {
        const solidResult = solidOf(shape);
        const before = (shape as unknown as Record<string, { value: number }>)[name]?.value ?? 0;
        const larger = withSize(shape, name, mm(before * STRETCH));
        if (solidResult.kind !== 'solid' || checkShape(larger, '').length > 0) return;
        expect(solid(larger).volumeMm3).toBeGreaterThan(solidResult.solid.volumeMm3);
      }),
    );
  });
  test('twice the size: eight times the volume, four times the surface, twice as far to the centroid', () => {
    fc.assert(
      fc.property(ANY[kind], (shape) => {
        const doubled = SHAPE_SIZES[kind].reduce<Shape>((bigger, name) => {
          const sizeMm = (shape as unknown as Record<string, { value: number }>)[name]?.value ?? 0;
          return withSize(bigger, name, mm(sizeMm * 2));
        }, shape);
        const corner = shape.kind === 'plate' && shape.corner ? mm(shape.corner.value * 2) : null;
        const rounded = doubled.kind === 'plate' ? { ...doubled, corner } : doubled;
        const [once, twice] = [solid(shape), solid(rounded)];
        expect(twice.volumeMm3 / once.volumeMm3).toBeCloseTo(8, 6);
        expect(twice.areaMm2 / once.areaMm2).toBeCloseTo(4, 6);
        expect(twice.centroidMm / once.centroidMm).toBeCloseTo(2, 6);
      }),
    );
  });
  test('the ball of the same surface holds no less: no shape beats it', () => {
    fc.assert(
      fc.property(ANY[kind], (shape) => {
        const { volumeMm3, areaMm2 } = solid(shape);
        // A coil’s hidden ends, and a sleeve’s, are no surface.
        if (kind === 'coil' || kind === 'sleeve') return;
        expect(volumeMm3).toBeLessThanOrEqual((areaMm2 ** 1.5 / (6 * Math.sqrt(Math.PI))) * (1 + 1e-9));
      }),
    );
  });
  test('core and coat fill it, whatever the coat, and neither is under nothing', () => {
    fc.assert(
      fc.property(ANY[kind], size(10, 1500), (shape, arealGPerM2) => {
        const made = solid(shape);
        const layers = shareVolume(made, 0.15, 0, [coatOf(arealGPerM2)]);
        const coatG = layers.shares[0]?.massG ?? NaN;
        expect(layers.coreG + coatG).toBeCloseTo((made.volumeMm3 / 1000) * 0.15, 8);
        expect(Math.min(layers.coreG, coatG)).toBeGreaterThanOrEqual(0);
        if (layers.coreSolid) expect(layers.coreSolid.volumeMm3 / 1000).toBeCloseTo(layers.coreVolumeCm3, 5);
      }),
    );
  });
  test('rolled up, it is never smaller than felted', () => {
    fc.assert(
      fc.property(ANY[kind], (shape) => {
        const made = solid(shape);
        const massG = (made.volumeMm3 / 1000) * 0.15;
        const flat = made.family === 'flat';
        const gPerCm3 = flat ? 0.028 : 0.055;
        const rolled = rollUpSize(made, massG, {
          packing: flat ? 'loose' : 'tight',
          gPerCm3,
          q: 0.15 / gPerCm3,
        });
        const volumeMm3 =
          rolled.kind === 'rolled' ? rolled.solid.volumeMm3 : (massG / rolled.packedGPerCm3) * 1000;
        expect(volumeMm3).toBeGreaterThan(made.volumeMm3);
      }),
    );
  });
  test('more firmly felted, it weighs more', () => {
    fc.assert(
      fc.property(ANY[kind], (shape) => {
        const wool = shelf(fibre('core'));
        const masses = FIRMNESSES.map(
          (firmness) => estimatePart(part('p', shape, { firmness }), wool).total.likelyG,
        );
        expect(masses).toEqual([...masses].sort((a, b) => a - b));
        expect(new Set(masses).size).toBe(FIRMNESSES.length);
      }),
      { numRuns: 30 },
    );
  });
  test('made from a ball of known size, only what a ball has not is unknown', () => {
    const shape = reshape(shapes.ball(40), kind);
    const result = solidOf(shape);
    if (result.kind === 'sizes-missing') expect(result.missing.length).toBeLessThan(SHAPE_SIZES[kind].length);
  });
});

describe('a thicker rope of a ring', () => {
  test('weighs more until its hole is a third of it, as geometry has it', () => {
    // V = 2π²(R − r)r² with R half the outer size: it grows while r < 2R/3.
    fc.assert(
      fc.property(size(20, 200), size(0.05, 0.3), (outer, share) => {
        const [thin, thick] = [share, share * 1.05].map(
          (part_) => solid(shapes.ring(outer, outer * part_)).volumeMm3,
        );
        expect(thick).toBeGreaterThan(thin ?? 0);
      }),
    );
  });
});

describe('blending', () => {
  test('the more of the darker fibre, the darker', () => {
    const pale = fc.integer({ min: 150, max: 240 }).map((c) => `#${c.toString(16).repeat(3)}`);
    const dark = fc.integer({ min: 24, max: 90 }).map((c) => `#${c.toString(16).padStart(2, '0').repeat(3)}`);
    fc.assert(
      fc.property(pale, dark, (light, deep) => {
        const steps = [0, 0.2, 0.4, 0.6, 0.8, 1].map((share) =>
          lightness(mixColours([{ colour: light, fraction: 1 - share }, { colour: deep, fraction: share }])),
        ); // prettier-ignore
        expect(steps).toEqual([...steps].sort((a, b) => b - a));
      }),
      { numRuns: 60 },
    );
  });
});

describe('a drawer', () => {
  test('what is free less what is short is what is there less what is promised', () => {
    fc.assert(
      fc.property(size(0, 1000), size(0, 1000), size(0, 1000), (onHand, more, promised) => {
        const drawer = drawerOf(onHand, onHand + more, promised);
        if (!drawer) throw new Error('it was counted');
        expect(drawer.free - drawer.short).toBeCloseTo(onHand - promised, 9);
        expect(Math.min(drawer.free, drawer.short)).toBe(0);
        for (const fraction of [drawer.fillFraction, drawer.promisedFraction]) {
          expect(fraction).toBeGreaterThanOrEqual(0);
          expect(fraction).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});

describe('a weighing', () => {
  const errors = { scaleStepG: 0.1, cutFraction: 0.01 };
  test('of twice as many pieces says the same, and is surer of it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        size(0.05, 1),
        size(1, 60),
        (pieces, eachAmount, perUnit) => {
          const weigh = (count: number) =>
            measure([{ pieces: count, eachAmount, massG: count * eachAmount * perUnit }], errors);
          const [once, twice] = [weigh(pieces), weigh(2 * pieces)];
          if (!once || !twice) throw new Error('something was weighed');
          expect(twice.value).toBeCloseTo(once.value, 9);
          expect(twice.high / twice.value).toBeLessThan(once.high / once.value);
          expect(once.low).toBeLessThan(once.value);
        },
      ),
    );
  });
});

describe('a size nudged', () => {
  test('up and down again, from a whole step, is where it was; and never less than nothing', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1990 }),
        fc.integer({ min: 1, max: 9 }),
        fc.constantFrom('mm' as const, 'in' as const),
        (steps, by, unit) => {
          const length = { value: unit === 'mm' ? steps : steps / 32, unit };
          const onStep = unit === 'mm' || Number.isInteger(length.value * 16);
          if (!onStep || toMm(length) > 1980) return;
          const up = nudgeLength(length, by);
          expect(toMm(up)).toBeGreaterThan(toMm(length));
          expect(nudgeLength(up, -by)).toEqual(length);
          expect(toMm(nudgeLength(length, -by))).toBeGreaterThan(0);
        },
      ),
    );
  });
});
