import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  drawingOfTrace,
  type GreyPhoto,
  inkThreshold,
  readOutline,
  tracePhoto,
} from '../../src/shapes/outline/index.ts';
import { seededRandom } from '../../src/base/index.ts';

/** A sheet of paper with ink where `isInk` says, each point the mean of sixteen, a little noise over it. */
function sheet(
  widthPx: number,
  heightPx: number,
  isInk: (x: number, y: number) => boolean,
  noise = 0.04,
  seed = 7,
): GreyPhoto {
  const random = seededRandom(seed);
  const brightness = Array.from({ length: widthPx * heightPx }, (_each, at) => {
    const [x, y] = [at % widthPx, Math.floor(at / widthPx)];
    let ink = 0;
    for (let step = 0; step < 16; step++)
      if (isInk(x + ((step % 4) + 0.5) / 4, y + (Math.floor(step / 4) + 0.5) / 4)) ink += 1 / 16;
    return 0.88 - 0.7 * ink + (random() - 0.5) * noise;
  });
  return { widthPx, heightPx, brightness };
}
const traced = (photo: GreyPhoto) => tracePhoto(photo, inkThreshold(photo));

describe('a drawing on a photograph', () => {
  test('of any ellipse, drawn with a pen or filled, the outer edge is found to a point', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 70 }), fc.integer({ min: 20, max: 70 }), fc.boolean(), fc.integer({ min: 2, max: 6 }), (a, b, isFilled, pen) => {
        const isInk = (x: number, y: number) => {
          const r = Math.hypot((x - 90) / a, (y - 90) / b);
          return r <= 1 && (isFilled || r >= 1 - pen / Math.min(a, b));
        };
        const found = traced(sheet(180, 180, isInk));
        expect(found.ok).toBe(true);
        if (!found.ok) return;
        expect(Math.abs(found.heightPx - 2 * b)).toBeLessThan(1.5);
        const off = found.points.map(([x, y]) => Math.abs(Math.hypot((x - 90) / a, (y - 90) / b) - 1) * Math.min(a, b));
        expect(Math.max(...off)).toBeLessThan(1.5);
      }),
      { numRuns: 12 },
    );
  });
  test('a speck, a letter and the edge of the table are not taken for it', () => {
    const isInk = (x: number, y: number) => x < 6 || Math.hypot(x - 30, y - 30) < 4 || (x > 60 && x < 140 && y > 50 && y < 130);
    const found = traced(sheet(180, 160, isInk));
    expect(found.ok && [found.heightPx, Math.min(...found.points.map(([x]) => x))]).toEqual([expect.closeTo(80, 0), expect.closeTo(60, 0)]);
  });
  test.each<[string, (x: number, y: number) => boolean, string]>([
    ['nothing drawn', () => false, 'nothing-dark'],
    ['a speck alone', (x, y) => Math.hypot(x - 50, y - 50) < 2, 'nothing-dark'],
    ['what runs out of the picture', (x, y) => Math.hypot(x - 60, y) < 50, 'leaves-the-picture'],
  ])('%s is told', (_what, isInk, why) => {
    expect(tracePhoto(sheet(120, 120, isInk, 0), 0.5)).toEqual({ ok: false, why });
  });
  test('with one real length it is an outline as large as that, and without one it asks for it', () => {
    const found = traced(sheet(160, 160, (x, y) => Math.hypot(x - 80, (y - 80) / 1.5) < 40));
    if (!found.ok) throw new Error('not found');
    const real = readOutline(drawingOfTrace(found, 72));
    expect(real.ok && real.outline.heightMm).toBeCloseTo(72, 1);
    const unknown = readOutline(drawingOfTrace(found, null));
    expect(unknown.ok && unknown.outline.heightMm).toBeNull();
  });
  test('the threshold lies between ink and paper', () => {
    for (const [ink, paper] of [[0.1, 0.9], [0.3, 0.5], [0, 1]] as const) {
      const threshold = inkThreshold({ brightness: [...Array<number>(300).fill(ink), ...Array<number>(900).fill(paper)] });
      expect([threshold > ink, threshold < paper]).toEqual([true, true]);
    }
  });
}); // prettier-ignore
