import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import jsQrModule from 'jsqr';
import { fittedLabels, type PaperLabel, qrSvg } from '../../src/papers/index.ts';
import { labelCode, LABEL_SHEET } from '../../src/run/index.ts';

// It is CommonJS: Node gives its default inside the default.
type Reader = typeof jsQrModule;
const jsQr = (jsQrModule as unknown as { default?: Reader }).default ?? jsQrModule;

const [PIXELS, QUIET] = [4, 4];

/** The picture of it as pixels, with its quiet margin: what a camera sees. */
function pixelsOf(svg: string): { data: Uint8ClampedArray; side: number } {
  const size = Number(/viewBox="0 0 (\d+)/.exec(svg)?.[1]);
  const side = (size + 2 * QUIET) * PIXELS;
  const data = new Uint8ClampedArray(side * side * 4).fill(255);
  for (const [, x, y, length] of svg.matchAll(/M(\d+) (\d+)h(\d+)v1h-\d+z/g))
    for (let down = 0; down < PIXELS; down++)
      for (let across = 0; across < Number(length) * PIXELS; across++) {
        const at = ((Number(y) + QUIET) * PIXELS + down) * side + (Number(x) + QUIET) * PIXELS + across;
        data.set([0, 0, 0], at * 4);
      }
  return { data, side };
}

describe('the QR of a label', () => {
  test('reads as its code with a reader that is not ours', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 9 }), fc.nat(9999), (runId, seat) => {
        const code = labelCode({ runId, packId: `seat ${seat}`, bagKey: 'figure' });
        const { data, side } = pixelsOf(qrSvg(code));
        expect(jsQr(data, side, side)?.data).toBe(code);
      }),
      { numRuns: 25 },
    );
  });
  test('is of the smallest size there is: 21 modules', () => {
    expect(qrSvg(labelCode({ runId: 'r', packId: 'seat 1', bagKey: null }))).toContain('viewBox="0 0 21 21"');
  });
});

const label = (lines: number): PaperLabel => ({
  title: 'Seat 1',
  bag: '',
  code: '23456789ABCD',
  lines: Array.from({ length: lines }, (_, at) => ({
    swatch: null,
    text: `wool number ${at}`,
    grams: { kind: 'grams', massG: 1, scaleStepG: 0.1, isAtLeast: false } as const,
    note: '',
    parts: [],
  })),
  parts: '',
  keepBack: '',
  foot: '',
  figureKey: null,
});
const fitted = (widthMm: number, heightMm: number, lines = 3) =>
  fittedLabels({ labels: [label(lines)], figures: {} }, { ...LABEL_SHEET, widthMm, heightMm });

describe('a code on a label', () => {
  test.each([
    ['large: its signs under it', 64, 38, { sideMm: 10, hasSigns: true }],
    ['low: it alone', 63, 25.4, { sideMm: 10, hasSigns: false }],
    ['lower: smaller', 64, 22, { sideMm: 7.5 - 0.5, hasSigns: false }],
    ['so low that nothing could read it: none', 64, 18, null],
    ['so narrow that words had no room: none', 40, 38, null],
  ])('%s', (_, widthMm, heightMm, codeMm) => {
    expect(fitted(widthMm, heightMm)[0]?.codeMm).toEqual(codeMm);
  });
  test('takes its room from the words: every fibre stands on some label, beside it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 }), fc.integer({ min: 25, max: 110 }), fc.integer({ min: 12, max: 90 }), (lines, widthMm, heightMm) => {
        const all = fitted(widthMm, heightMm, lines);
        const set = all.flatMap((each) => each.lines.map(({ text }) => text));
        const whole = label(lines).lines.map(({ text }) => text);
        // A name ends early only where a label has not the width for its 13 letters beside "1.0 g", a swatch and a code.
        const hasRoom = widthMm - 5 - 12 - 8 >= 19 * 1.4;
        expect(set.map((text, at) => (hasRoom || !text.endsWith(' …') || !whole[at]?.startsWith(text.slice(0, -2)) ? text : whole[at]))).toEqual(whole);
        for (const { codeMm, columns } of all) {
          if (!codeMm) continue;
          // 26 mm for words; half of it, less two, for each of two columns of at least a swatch, 13 letters and "1.0 g".
          expect(widthMm - 5 - codeMm.sideMm - 2).toBeGreaterThanOrEqual(columns === 2 ? 2 * (8 + 19 * 1.4) : 26);
          // Title and bag line above it, the foot below.
          expect(codeMm.sideMm + 3 + 6.5).toBeLessThanOrEqual(heightMm - 5);
        }
      }),
    );
  }); // prettier-ignore
});
