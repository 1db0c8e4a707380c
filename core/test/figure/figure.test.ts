import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { decorationsOf, layoutTray, rulerTicks, type TraySpace } from '../../src/figure/index.ts';
import type { Use } from '../../src/pattern/index.ts';
import { solidOf } from '../../src/shapes/index.ts';
import { mm, part, shapes, use } from '../support/make.ts';

const space: TraySpace = {
  widthPx: 360,
  heightPx: 500,
  gapPx: 12,
  labelHeightPx: 40,
  labelWidthPx: 104,
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
        const cells = tray.pieces.map((placed, i) => {
          const box = named[i];
          const width = Math.max(space.labelWidthPx, (box?.widthMm ?? 0) * tray.pxPerMm);
          return {
            left: placed.centreXPx - width / 2,
            right: placed.centreXPx + width / 2,
            top: placed.topPx,
            bottom: placed.labelTopPx + space.labelHeightPx,
          };
        });
        cells.forEach((a, i) =>
          cells.slice(i + 1).forEach((b) => {
            const isApart =
              a.right <= b.left + 1e-6 || b.right <= a.left + 1e-6 || a.bottom <= b.top || b.bottom <= a.top;
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
