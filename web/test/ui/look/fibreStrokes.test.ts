import { describe, expect, test } from '@jest/globals';
import { PREPARATIONS } from '@lanakit/core/shelf';
import fc from 'fast-check';
import { fibreStrokes, TILE_PX, tileShiftPx } from '../../../src/ui/look/fibreStrokes.ts';

type Point = readonly [number, number];

/** Points along a stroke’s quadratic curves, each of its copies by itself. */
function copiesOf(stroke: string): Point[][] {
  return stroke
    .split('M')
    .slice(1)
    .map((copy) => {
      const [start = '', ...curves] = copy.split('q');
      let [x = 0, y = 0] = start.split(' ').map(Number);
      return curves.flatMap((curve) => {
        const [cx = 0, cy = 0, dx = 0, dy = 0] = curve.split(' ').map(Number);
        const points = Array.from({ length: 9 }, (_, i): Point => {
          const t = i / 8;
          return [x + 2 * t * (1 - t) * cx + t * t * dx, y + 2 * t * (1 - t) * cy + t * t * dy];
        });
        [x, y] = [x + dx, y + dy];
        return points;
      });
    });
}

/** Into the tile, as it is seen where the tile is laid again and again. */
const wrapped = (value: number): number => ((value % TILE_PX) + TILE_PX) % TILE_PX;
/** Coordinates are written to a tenth of a pixel, and add up along a curve. */
const SAME_PX = 0.9;
const isNear = ([x, y]: Point, [a, b]: Point) => Math.abs(x - a) < SAME_PX && Math.abs(y - b) < SAME_PX;

/** On the very edge either side will do. */
const isOnEdge = (place: Point) => place.some((value) => value < SAME_PX || value > TILE_PX - SAME_PX);

describe('the strokes of a preparation', () => {
  test.each(PREPARATIONS)(
    '%s: what runs over an edge comes in at the other, so that no seam shows',
    (preparation) => {
      const torn = fibreStrokes(preparation).strokes.filter((stroke) => {
        const copies = copiesOf(stroke);
        const all = copies.flat();
        const seen = (copies[0] ?? []).map(([x, y]): Point => [wrapped(x), wrapped(y)]);
        return !seen.every((place) => isOnEdge(place) || all.some((point) => isNear(point, place)));
      });
      expect(torn).toEqual([]);
    },
  );
  test.each(PREPARATIONS)('%s: the same every time, half of it pale and half dark', (preparation) => {
    const { strokes, pale, dark } = fibreStrokes(preparation);
    expect(fibreStrokes(preparation).strokes).toEqual(strokes);
    const starts = (path: string) => path.split('M').length - 1;
    expect(starts(pale) + starts(dark)).toBe(strokes.reduce((sum, stroke) => sum + starts(stroke), 0));
    expect(strokes.join('')).not.toMatch(/NaN|Infinity/);
  });
  test('two preparations never look alike', () => {
    expect(new Set(PREPARATIONS.map((preparation) => fibreStrokes(preparation).pale)).size).toBe(
      PREPARATIONS.length,
    );
  });
  test('a piece’s place in the tile is in it, and its own', () => {
    fc.assert(
      fc.property(fc.string(), (seed) => {
        const [x, y] = tileShiftPx(seed);
        for (const coordinate of [x, y]) {
          expect(Number.isInteger(coordinate)).toBe(true);
          expect(coordinate).toBeGreaterThanOrEqual(0);
          expect(coordinate).toBeLessThan(TILE_PX);
        }
        expect(tileShiftPx(seed)).toEqual([x, y]);
      }),
    );
    expect(tileShiftPx('body')).not.toEqual(tileShiftPx('leg'));
  });
});
