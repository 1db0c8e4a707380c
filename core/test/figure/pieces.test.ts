import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import type { Pattern } from '../../src/pattern/index.ts';
import { VIEWS } from '../../src/shapes/index.ts';
import fc from 'fast-check';
import { fibre, mm, part, pattern, shapes, shelf } from '../support/make.ts';
import { figureLook, type Outline, piecesOf } from '../../src/figure/index.ts';

const wool = shelf(fibre('core'), fibre('coat', { colour: '#2c3440' }), fibre('pale', { colour: '#e6e0d2' }));
const figure = (diameterMm = 60): Pattern =>
  pattern([
    part('Body', shapes.ellipsoid(diameterMm + 30, diameterMm, diameterMm - 10), { coat: 'coat' }),
    part('Leg', shapes.limb(40, 12), { count: 2 }),
    part('Unknown', { kind: 'ball', diameter: null }),
    part('Leaf', shapes.flat(50, 20, 4)),
  ]);
const draw = (pattern: Pattern, view: (typeof VIEWS)[number] = 'front') =>
  piecesOf(pattern, estimatePattern(pattern, wool), wool.fibres, view);

/** By the shoelace: what an outline encloses, mm². */
const areaOf = ({ points }: Outline): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nextX = 0, nextY = 0] = points[(at + 1) % points.length] ?? [];
      return sum + x * nextY - nextX * y;
    }, 0) / 2,
  );

describe('pieces as they are drawn', () => {
  test('one for each part, numbered as the author has them', () => {
    expect(draw(figure()).map(({ number, part: { name } }) => [number, name])).toEqual([
      [1, 'Body'],
      [2, 'Leg'],
      [3, 'Unknown'],
      [4, 'Leaf'],
    ]);
  });
  test('what is left out keeps no place, and the others keep their numbers', () => {
    const whole = figure();
    const build = { ...whole, parts: whole.parts.filter(({ name }) => name !== 'Leg') };
    const pieces = piecesOf(build, estimatePattern(build, wool), wool.fibres, 'front', whole);
    expect(pieces.map(({ number }) => number)).toEqual([1, 3, 4]);
  });
  test('as large as they are, from every side', () => {
    const sizes = Object.fromEntries(VIEWS.map((view) => [view, draw(figure(), view)[0]?.finished]));
    const ofView = (view: string) => [sizes[view]?.widthMm, sizes[view]?.heightMm].map((size) => Math.round(size ?? 0));
    expect(ofView('front')).toEqual([60, 90]);
    expect(ofView('side')).toEqual([50, 90]);
    expect(ofView('top')).toEqual([60, 50]);
  });
  test('within the box that holds them, rolled and finished', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 200 }), fc.constantFrom(...VIEWS), (diameterMm, view) => {
        for (const { widthMm, heightMm, finished, rolled } of draw(figure(diameterMm), view)) {
          for (const outline of [finished, rolled]) {
            if (!outline) continue;
            expect(outline.widthMm).toBeLessThanOrEqual(widthMm + 1e-9);
            expect(outline.heightMm).toBeLessThanOrEqual(heightMm + 1e-9);
            const xs = outline.points.map(([x]) => x);
            expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(outline.widthMm, 3);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
  test('rolled larger than finished: felting takes away', () => {
    const [body] = draw(figure());
    if (!body?.finished || !body.rolled) throw new Error('a body that is rolled');
    expect(areaOf(body.rolled)).toBeGreaterThan(areaOf(body.finished));
  });
  test('cut open: each layer within the one before, the core last', () => {
    const [body] = draw(figure());
    const layers = body?.layers() ?? [];
    expect(layers.map((layer) => layer.fibre?.id)).toEqual(['coat', 'core']);
    layers.slice(1).forEach((layer, at) => {
      const outer = layers[at];
      if (!outer) throw new Error('a layer outside it');
      expect(areaOf(layer.outline)).toBeLessThan(areaOf(outer.outline));
    });
  });
  test('of unknown size a piece is a box of its own, with nothing made up', () => {
    const unknown = draw(figure())[2];
    expect(unknown).toMatchObject({ finished: null, rolled: null, widthMm: 24, heightMm: 24 });
    expect(unknown?.layers()).toEqual([]);
  });
  test('in the wool that shows', () => {
    expect(draw(figure()).map(({ fibre }) => fibre?.id)).toEqual(['coat', 'core', 'core', 'core']);
  });
  test('an edit of one draws no other anew', () => {
    const before = figure();
    const first = draw(before);
    const [body, ...others] = before.parts;
    if (!body) throw new Error('a body');
    const second = draw({ ...before, parts: [{ ...body, shape: shapes.ball(80) }, ...others] });
    expect(second[0]).not.toBe(first[0]);
    expect(second.slice(1).every((piece, at) => piece === first[at + 1])).toBe(true);
    // The very same again: nothing is drawn anew.
    expect(draw(before).every((piece, at) => at === 0 || piece === first[at])).toBe(true);
  });
  test('a pattern nobody has estimated yet is drawn as it usually is', () => {
    const optional: Pattern = {
      ...figure(),
      options: [{ id: 'o', name: 'a leaf', kind: 'extra', defaultValueId: 'no', values: [{ id: 'yes', name: 'yes', things: [{ kind: 'part', id: 'Leaf' }] }, { id: 'no', name: 'no', things: [] }] }],
    }; // prettier-ignore
    const look = figureLook(optional, wool);
    expect(look.kind === 'apart' && look.pieces.map(({ id }) => id)).toEqual(['Body', 'Leg', 'Unknown']);
  });
  test('sizes in inches are drawn in millimetres', () => {
    const inches = pattern([part('Ball', { kind: 'ball', diameter: { value: 2, unit: 'in' } })]);
    expect(draw(inches)[0]?.finished?.widthMm).toBeCloseTo(50.8, 6);
    expect(draw(pattern([part('Ball', { kind: 'ball', diameter: mm(50.8) })]))[0]?.finished?.widthMm).toBeCloseTo(50.8, 6);
  });
}); // prettier-ignore
