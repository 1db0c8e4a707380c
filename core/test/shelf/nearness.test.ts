import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixerOf } from '../../src/shelf/blend/mixer.ts';
import { nearestGroups } from '../../src/shelf/blend/nearestGroups.ts';
import { solveLinear } from '../../src/shelf/blend/solveLinear.ts';
import { colourDifference, mixColours } from '../../src/shelf/index.ts';
import { uniform } from '../support/random.ts';

describe('a small dense system', () => {
  const value = fc.double({ min: -10, max: 10, noNaN: true });
  test('solved, it gives its right side back', () => {
    fc.assert(
      fc.property(
        fc.array(value, { minLength: 16, maxLength: 16 }),
        fc.array(value, { minLength: 4, maxLength: 4 }),
        (cells, right) => {
          // Heavier on the diagonal than beside it: never singular.
          const matrix = Float64Array.from(cells, (cell, i) => (i % 5 === 0 ? cell + 50 : cell));
          const solution = Float64Array.from(right);
          expect(solveLinear(Float64Array.from(matrix), solution)).toBe(true);
          for (let row = 0; row < 4; row++) {
            const sum = solution.reduce((all, x, column) => all + (matrix[row * 4 + column] ?? 0) * x, 0);
            expect(sum).toBeCloseTo(right[row] ?? 0, 8);
          }
        },
      ),
    );
  });
  test('rows are changed about where the first has nothing in its column', () => {
    const right = Float64Array.from([2, 3]);
    expect(solveLinear(Float64Array.from([0, 1, 1, 0]), right)).toBe(true);
    expect([...right]).toEqual([3, 2]);
  });
  test('a singular one is said', () => {
    expect(solveLinear(Float64Array.from([1, 2, 2, 4]), Float64Array.from([1, 2]))).toBe(false);
  });
});

describe('which lines and triangles pass nearest', () => {
  /** The least distance from the origin to any weighted mean of the points, by a fine net of weights. */
  function byNet(points: readonly (readonly number[])[]): number {
    const steps = 60;
    let best = Infinity;
    for (let i = 0; i <= steps; i++)
      for (let j = 0; i + j <= steps; j++) {
        const weights = [i / steps, j / steps, (steps - i - j) / steps];
        if (points.length === 2 && i + j < steps) continue;
        const at = [0, 1, 2].map((axis) =>
          points.reduce((sum, point, k) => sum + (weights[k] ?? 0) * (point[axis] ?? 0), 0),
        );
        best = Math.min(best, Math.hypot(...at));
      }
    return best;
  }
  test('the first of the list is the one a fine net finds, to the net’s mesh', () => {
    const random = uniform(11);
    for (let round = 0; round < 12; round++) {
      const points = Array.from(
        { length: 7 },
        () => [0, 1, 2].map(() => random() * 20 - 10) as [number, number, number],
      );
      const all = nearestGroups(points, 1000, () => undefined);
      expect(all.nearest).toHaveLength(all.possible);
      const [first] = nearestGroups(points, 1, () => undefined).nearest;
      const of = (indices: readonly number[]) =>
        byNet(indices.map((index) => points[index] as [number, number, number]));
      const least = Math.min(...all.nearest.map(of));
      expect(of(first ?? [])).toBeLessThan(least + 0.35);
    }
  });
  test('counts every pair and trio, and none of one', () => {
    const points = Array.from({ length: 6 }, (_, i) => [i, 1, 0] as const);
    expect(nearestGroups(points, 100, () => undefined).possible).toBe(15 + 20);
    expect(nearestGroups(points.slice(0, 1), 100, () => undefined)).toEqual({ nearest: [], possible: 0 });
  });
  test('points in one place, or on one line, are no trouble', () => {
    const same = Array.from({ length: 4 }, () => [1, 1, 1] as const);
    const { nearest } = nearestGroups(same, 100, () => undefined);
    expect(nearest).toHaveLength(10);
  });
});

describe('the quick way of mixing', () => {
  const woolColour = fc
    .tuple(...[1, 2, 3].map(() => fc.integer({ min: 24, max: 240 })))
    .map((channels) => `#${channels.map((c) => c.toString(16).padStart(2, '0')).join('')}`);
  test('mixes what the plain way mixes', () => {
    fc.assert(
      fc.property(
        woolColour,
        woolColour,
        woolColour,
        fc.integer({ min: 1, max: 7 }),
        (wanted, a, b, parts) => {
          const mixer = mixerOf(wanted, [{ colour: a }, { colour: b }]);
          const plain = mixColours([{ colour: a, fraction: parts / 8 }, { colour: b, fraction: 1 - parts / 8 }]); // prettier-ignore
          expect(mixer.colourOf([0, 1], [parts, 8 - parts])).toBe(plain);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('its rough difference goes with CIEDE2000 where the two are near', () => {
    const random = uniform(5);
    const near = (channel: number) =>
      Math.round(channel + (random() - 0.5) * 14)
        .toString(16)
        .padStart(2, '0');
    for (let i = 0; i < 200; i++) {
      const channels = [0, 1, 2].map(() => 60 + random() * 120);
      const [wanted, other] = [0, 1].map(() => `#${channels.map(near).join('')}`);
      const rough = mixerOf(wanted ?? '', [{ colour: other ?? '' }]).roughDeltaE([0], [1]);
      const exact = colourDifference(wanted ?? '', other ?? '');
      expect(Math.abs(rough - exact)).toBeLessThan(0.6 + 0.45 * exact);
    }
  });
});
