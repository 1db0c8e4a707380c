import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  betweenMarksMm,
  markMm,
  photoBehind,
  photoMarked,
  photoMoved,
  photoScaled,
} from '../../../src/figure/index.ts';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const photo = fc
  .tuple(
    fc.double({ min: 0.3, max: 3, noNaN: true }),
    fc.double({ min: 20, max: 400, noNaN: true }),
    fc.tuple(share, share),
    fc.tuple(share, share),
    fc.tuple(
      fc.double({ min: -200, max: 200, noNaN: true }),
      fc.double({ min: -200, max: 200, noNaN: true }),
    ),
  )
  .map(([aspect, heightMm, a, b, by]) => photoMoved({ ...photoBehind(aspect, heightMm), marks: [a, b] }, by));

describe('a photo behind the figure', () => {
  test('begins as high as the figure, marked from head to foot, its middle under the figure’s', () => {
    const begun = photoBehind(1.5, 120);
    expect(betweenMarksMm(begun)).toBeCloseTo(120, 9);
    expect(begun.widthMm).toBeCloseTo(80, 9);
    expect([markMm(begun, begun.marks[0]), markMm(begun, begun.marks[1])]).toEqual([
      [0, 120],
      [0, 0],
    ]);
  });
  test('scaled by one length its marks are so far apart, the first where it was, its sides as they were', () => {
    fc.assert(
      fc.property(photo, fc.double({ min: 1, max: 500, noNaN: true }), (before, lengthMm) => {
        fc.pre(betweenMarksMm(before) > 1);
        const scaled = photoScaled(before, lengthMm);
        if (!scaled) throw new Error('its marks are apart');
        expect(betweenMarksMm(scaled) / lengthMm).toBeCloseTo(1, 9);
        expect(scaled.aspect).toBe(before.aspect);
        const [was, is] = [markMm(before, before.marks[0]), markMm(scaled, scaled.marks[0])];
        expect(Math.hypot(was[0] - is[0], was[1] - is[1])).toBeLessThan(1e-6);
        // Laid out by hand: the same point of the photo as far from the first mark as the photo has grown.
        const corner = markMm(scaled, [1, 1]);
        const cornerBefore = markMm(before, [1, 1]);
        const grown = scaled.widthMm / before.widthMm;
        expect(corner[0] - is[0]).toBeCloseTo((cornerBefore[0] - was[0]) * grown, 6);
      }),
    );
  });
  test('two marks on one spot tell no size', () => {
    expect(photoScaled({ ...photoBehind(1, 100), marks: [[0.4, 0.4], [0.4, 0.4]] }, 50)).toBeNull();
  });
  test('a mark that is set lies where it is set, and never off the photo', () => {
    fc.assert(
      fc.property(photo, fc.constantFrom(0 as const, 1 as const), share, share, (before, which, u, v) => {
        const wanted = markMm(before, [u, v]);
        const set = photoMarked(before, which, wanted);
        const is = markMm(set, set.marks[which]);
        expect(Math.hypot(wanted[0] - is[0], wanted[1] - is[1])).toBeLessThan(1e-6 * before.widthMm);
        const off = photoMarked(before, which, [wanted[0] + 9999, wanted[1] + 9999]).marks[which];
        expect(off).toEqual([1, 0]);
        // The other stays.
        expect(set.marks[which === 0 ? 1 : 0]).toEqual(before.marks[which === 0 ? 1 : 0]);
      }),
    );
  });
}); // prettier-ignore
