import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { decorationsOf, layoutTray, rulerTicks, type TraySpace } from '../../src/figure/index.ts';
import type { Use } from '../../src/pattern/index.ts';
import { solidOf } from '../../src/shapes/index.ts';
import { mm, part, shapes, use } from '../support/make.ts';

const space: TraySpace = {
  widthPx: 400,
  heightPx: 500,
  gapPx: 12,
  labels: [
    { widthPx: 104, heightPx: 40 },
    { widthPx: 24, heightPx: 20 },
  ],
  minPxPerMm: 0.5,
  maxPxPerMm: 4,
};

const pieces = fc.array(
  fc.record({
    widthMm: fc.double({ min: 2, max: 200, noNaN: true }),
    heightMm: fc.double({ min: 2, max: 200, noNaN: true }),
  }),
  { minLength: 1, maxLength: 30 },
);

describe('the tray', () => {
  test('no piece with its label lies over another, at any scale', () => {
    fc.assert(
      fc.property(pieces, (boxes) => {
        const named = boxes.map((box, i) => ({ id: String(i), ...box }));
        const tray = layoutTray(named, space);
        const label = space.labels[tray.label];
        const cells = tray.pieces.map((placed, i) => {
          const box = named[i];
          const width = Math.max(label?.widthPx ?? NaN, (box?.widthMm ?? 0) * tray.pxPerMm);
          return {
            left: placed.centreXPx - width / 2,
            right: placed.centreXPx + width / 2,
            top: placed.topPx,
            bottom: placed.labelTopPx + (label?.heightPx ?? NaN),
          };
        });
        cells.forEach((a, i) =>
          cells.slice(i + 1).forEach((b) => {
            const isApart =
              a.right <= b.left + 1e-6 ||
              b.right <= a.left + 1e-6 ||
              a.bottom <= b.top + 1e-6 ||
              b.bottom <= a.top + 1e-6;
            expect(isApart).toBe(true);
          }),
        );
      }),
    );
  });
  test('uses the space when there is little to lay, and grows in height when there is much', () => {
    const few = layoutTray([{ id: 'a', widthMm: 20, heightMm: 20 }], space);
    expect(few.pxPerMm).toBeCloseTo(4, 3);
    const many = Array.from({ length: 60 }, (_, i) => ({ id: String(i), widthMm: 90, heightMm: 90 }));
    const tray = layoutTray(many, space);
    expect(tray.pxPerMm).toBe(0.5);
    expect(tray.heightPx).toBeGreaterThan(space.heightPx);
  });
  /** The largest scale at which they go in rows, one after another, by trying. */
  const scaleInRows = (boxes: readonly { widthMm: number; heightMm: number }[], label: number): number => {
    const { widthPx, heightPx } = space.labels[label] ?? { widthPx: NaN, heightPx: NaN };
    for (let scale = space.maxPxPerMm; scale >= space.minPxPerMm; scale -= 0.01) {
      let [across, row, down] = [0, 0, 0];
      for (const box of boxes) {
        const cell = Math.max(widthPx, box.widthMm * scale) + space.gapPx;
        if (across + cell > space.widthPx + space.gapPx) [across, down, row] = [0, down + row, 0];
        across += cell;
        row = Math.max(row, box.heightMm * scale + space.gapPx / 3 + heightPx + space.gapPx);
      }
      const isWide = boxes.some((box) => box.widthMm * scale > space.widthPx);
      if (!isWide && down + row <= space.heightPx + space.gapPx) return scale;
    }
    return 0;
  };
  test.each([
    [
      'one large and three small',
      [
        [100, 75],
        [22, 8],
        [40, 22],
        [28, 20],
      ],
    ],
    [
      'a puffin',
      [
        [111, 80],
        [60, 55],
        [58, 26],
        [36, 10],
        [28, 22],
        [30, 22],
        [20, 18],
      ],
    ],
    [
      'a long one and a flat one',
      [
        [200, 12],
        [12, 160],
        [50, 50],
      ],
    ],
  ] as const)('packed tight: %s is no smaller than in rows', (_, sizes) => {
    const boxes = sizes.map(([heightMm, widthMm], at) => ({ id: String(at), widthMm, heightMm }));
    const tray = layoutTray(boxes, space);
    expect(tray.heightPx).toBeLessThanOrEqual(space.heightPx + 1e-6);
    expect(tray.pxPerMm).toBeGreaterThanOrEqual(scaleInRows(boxes, tray.label) - 0.02);
  });
  test('what pieces are called is cut short where it would make them much smaller', () => {
    const boxes = Array.from({ length: 12 }, (_, at) => ({ id: String(at), widthMm: 10, heightMm: 10 }));
    const tight = { ...space, widthPx: 150, heightPx: 200 };
    expect(layoutTray(boxes, tight).label).toBe(1);
    expect(layoutTray(boxes, { ...space, widthPx: 900, heightPx: 900 }).label).toBe(0);
  });
  test('keeps the order it is given', () => {
    const ids = ['c', 'a', 'b'];
    const tray = layoutTray(
      ids.map((id) => ({ id, widthMm: 30, heightMm: 30 })),
      space,
    );
    expect(tray.pieces.map(({ id }) => id)).toEqual(ids);
  });
  test('an empty tray is empty', () => {
    expect(layoutTray([], space)).toMatchObject({ pieces: [], heightPx: 0 });
  });
});

describe('a ruler', () => {
  test.each([
    [2, 'mm', 10],
    [0.7, 'mm', 10],
    [3, 'in', 25.4],
  ] as const)('at %d px per mm measures in %s', (scale, unit, majorMm) => {
    for (const tick of rulerTicks(500, scale, unit)) {
      if (tick.label !== null) expect(tick.at / scale).toBeCloseTo(Number(tick.label) * majorMm, 9);
      expect(tick.at).toBeLessThanOrEqual(500);
    }
  });
  test('labels never run together', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.constantFrom('mm' as const, 'in' as const),
        (scale, unit) => {
          const labels = rulerTicks(600, scale, unit).filter(({ label }) => label !== null);
          labels
            .slice(1)
            .forEach((tick, i) => expect(tick.at - (labels[i]?.at ?? 0)).toBeGreaterThanOrEqual(20));
        },
      ),
    );
  });
});

describe('what is drawn on a piece', () => {
  const draw = (uses: Use[], insertsCm3 = 0) => {
    const ownPart = part('p', shapes.ball(60), { uses });
    const result = solidOf(ownPart.shape);
    if (result.kind !== 'solid') throw new Error('a ball');
    return decorationsOf(ownPart, result.solid, insertsCm3);
  };
  test('a patch at its true size, a line across or, where it is too long for that, down', () => {
    expect(draw([use('patch', 'a', 'f', { length: mm(30), width: mm(20) })])).toMatchObject([
      { kind: 'ellipse', xMm: 30, rxMm: 10, ryMm: 15 },
    ]);
    const [across] = draw([use('line', 'l', 'f', { length: mm(34) })]);
    expect(across).toMatchObject({ kind: 'line', lengthMm: 34, isUpright: false });
  });
  test('dots beside one another, as many as can be told apart', () => {
    const dots = draw([use('dot', 'd', 'f', { diameter: mm(3), count: 40 })]);
    expect(dots).toHaveLength(9);
    expect(new Set(dots.map((dot) => 'xMm' in dot && dot.xMm)).size).toBe(9);
  });
  test('what lies inside, as balls of its volume', () => {
    const beads = draw([use('insert', 'i', null, { count: 3 })], 3 * (Math.PI / 6) * 1.728);
    expect(beads).toHaveLength(3);
    expect(beads[0]).toMatchObject({ kind: 'insert', xMm: 30 });
    for (const bead of beads) if (bead.kind === 'insert') expect(bead.diameterMm).toBeCloseTo(12, 9);
  });
  test('nothing while a size is unknown', () => {
    expect(
      draw([
        use('patch', 'a', 'f'),
        use('line', 'l', 'f'),
        use('dot', 'd', 'f'),
        use('hair', 'h', 'f'),
        use('core', 'c', 'f'),
      ]),
    ).toEqual([]);
  });
});
