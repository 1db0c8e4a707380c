import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  bodyOf,
  boxReachOf,
  cross,
  dot,
  plus,
  reachOf,
  reachOfAll,
  RIGHT,
  times,
  unit,
  UP,
  type Vec3,
} from '../../src/placing/index.ts';
import { type Shape, solidOf } from '../../src/shapes/index.ts';
import { shapes } from '../support/make.ts';
import { countedBody } from '../support/voxels.ts';

const LEAN_WING =
  'M30 0C46 2 58 18 60 40C62 66 52 96 30 130C26 134 22 132 21 127C8 98 0 70 2 42C4 18 14 -2 30 0Z';
const SHAPES: readonly (readonly [string, Shape])[] = [
  ['ball', shapes.ball(60)],
  ['ellipsoid', shapes.ellipsoid(90, 60, 40)],
  ['egg', shapes.egg(82, 60, 0.35)],
  ['limb', shapes.limb(70, 14)],
  ['taper', shapes.taper(80, 20, 6)],
  ['taper to a point', shapes.taper(80, 20, 0)],
  ['drop', shapes.drop(70, 40)],
  ['dome', shapes.dome(50, 30)],
  ['cone', shapes.cone(60, 40)],
  ['sleeve', shapes.sleeve(30, 8, 0)],
  ['box', shapes.box(60, 40, 30)],
  ['plate', shapes.plate(60, 40, 5, 8)],
  ['flat', shapes.flat(50, 30, 6)],
  ['outline', shapes.outline(LEAN_WING, 52, 5)],
  ['ring', shapes.ring(60, 9)],
];
const solidFor = (shape: Shape) => {
  const result = solidOf(shape);
  if (result.kind !== 'solid') throw new Error(result.kind);
  return result.solid;
};

describe('bodies', () => {
  test.each(SHAPES)('%s: as large as its solid, its middle where its solid has it', (_name, shape) => {
    const solid = solidFor(shape);
    const body = bodyOf(solid);
    const counted = countedBody(body, 44);
    expect(counted.volumeMm3 / solid.volumeMm3).toBeCloseTo(1, 1.6);
    for (const axis of [0, 1, 2] as const)
      expect(Math.abs(counted.centroid[axis] - body.centroid[axis])).toBeLessThan(0.012 * body.heightMm);
  });
  test.each(SHAPES)('%s: a spot lies on the surface, and straight out leads out of it', (_name, shape) => {
    const body = bodyOf(solidFor(shape));
    fc.assert(
      fc.property(fc.double({ min: -180, max: 180, noNaN: true }), fc.double({ min: 0.02, max: 0.98, noNaN: true }), (around, height) => {
        // At an edge, straight out is of one side or the other.
        fc.pre(Math.abs(Math.abs(Math.abs(around) - 90) - 6) > 0.5);
        const { point, normal } = body.spotAt(around, height);
        const away = (byMm: number): Vec3 => plus(point, times(normal, byMm));
        expect(Math.hypot(...normal)).toBeCloseTo(1, 9);
        expect(body.contains(away(0.05))).toBe(false);
        if (body.halfDepthMm > 1) expect(body.contains(away(-0.05))).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  test.each(SHAPES)('%s: reaches as far as the furthest of its points', (_name, shape) => {
    const body = bodyOf(solidFor(shape));
    const points = body.finerRings().flat();
    fc.assert(
      fc.property(fc.tuple(...[0, 1, 2].map(() => fc.double({ min: -1, max: 1, noNaN: true }))), ([x = 0, y = 0, z = 0]) => {
        fc.pre(Math.hypot(x, y, z) > 0.1);
        const way = unit([x, y, z]);
        const furthest = Math.max(...points.map((point) => dot(point, way)));
        expect(body.reach(way)).toBeGreaterThanOrEqual(furthest - 1e-6);
        // Between two points of a ring lies a little more than either; of the ring's rope, a twelfth of a turn.
        expect(body.reach(way) - furthest).toBeLessThan(body.rope ? 0.4 : 0.12);
      }),
      { numRuns: 60 },
    );
  });
  test('what tapers stands on its thick end, what is pointed points up', () => {
    const across = (shape: Shape, fraction: number) => bodyOf(solidFor(shape)).spotAt(90, fraction).point[0];
    expect(across(shapes.taper(80, 20, 6), 0.01)).toBeGreaterThan(across(shapes.taper(80, 20, 6), 0.99));
    expect(across(shapes.cone(60, 40), 0.01)).toBeGreaterThan(across(shapes.cone(60, 40), 0.99));
    expect(across(shapes.drop(70, 40), 0.2)).toBeGreaterThan(across(shapes.drop(70, 40), 0.9));
  });
}); // prettier-ignore

describe('how far pieces reach', () => {
  const direction = fc
    .tuple(...[0, 1, 2].map(() => fc.double({ min: -1, max: 1, noNaN: true })))
    .filter((a) => Math.hypot(...a) > 0.1)
    .map((a) => unit(a as unknown as Vec3));
  const turned = (way: Vec3, at: Vec3) => {
    const x = unit(Math.abs(way[1]) < 0.9 ? cross(way, UP) : cross(way, RIGHT));
    return { x, y: way, z: cross(x, way), origin: at };
  };
  test.each(SHAPES)('%s never reaches over the box about it', (_name, shape) => {
    const body = bodyOf(solidFor(shape));
    fc.assert(
      fc.property(direction, direction, (way, toward) => {
        const piece = { body, frame: turned(way, [3, -2, 5]) };
        expect(reachOf(piece, toward)).toBeLessThanOrEqual(boxReachOf(piece, toward) + 1e-9);
      }),
      { numRuns: 30 },
    );
  });
  test('of all of them the farthest, as if each were asked', () => {
    fc.assert(
      fc.property(direction, fc.array(fc.tuple(fc.nat(SHAPES.length - 1), direction), { minLength: 1, maxLength: 12 }), (toward, all) => {
        const pieces = all.map(([at, way], index) => ({ body: bodyOf(solidFor(SHAPES[at]?.[1] ?? shapes.ball(9))), frame: turned(way, [index * 3, -index, index * 2]) }));
        expect(reachOfAll(pieces, toward)).toBe(Math.max(...pieces.map((piece) => reachOf(piece, toward))));
      }),
      { numRuns: 40 },
    );
    expect(reachOfAll([], [0, 1, 0])).toBe(-Infinity);
  }); // prettier-ignore
});
