import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { hullOf, type Point2 } from '../../../src/figure/together/hull.ts';

const turn = (a: Point2, b: Point2, c: Point2) =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

describe('the hull of points', () => {
  const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
  test.each([3, 40, 199, 201, 900])('of %d: nothing lies outside, and it bends nowhere inward', (count) => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(coordinate, coordinate), { minLength: count, maxLength: count }),
        (points) => {
          const hull = hullOf(points);
          hull.forEach((corner, at) => {
            const next = hull[(at + 1) % hull.length] ?? corner;
            // Brute force: every point against every edge.
            const most = points.reduce(
              (least, point) => Math.min(least, turn(corner, next, point)),
              Infinity,
            );
            expect(most).toBeGreaterThan(-1e-6);
            expect(points).toContainEqual(corner);
          });
        },
      ),
      { numRuns: 12 },
    );
  });
  test('of many on one round all are corners', () => {
    const round = Array.from({ length: 600 }, (_, at): Point2 => {
      const angle = (2 * Math.PI * at) / 600;
      return [Math.cos(angle), Math.sin(angle)];
    });
    const within = round.map(([x, y]): Point2 => [x * 0.9, y * 0.9]);
    expect(hullOf([...within, ...round])).toHaveLength(600);
  });
});
