import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import {
  CUTTING_TERMS,
  type CutStock,
  planSheets,
  type SheetTask,
  stockOfSheet,
  wasteOfStock,
} from '../../src/cutting/index.ts';

type Points = readonly (readonly [number, number])[];

const TRIANGLE: Points = [
  [0, 86],
  [50, 0],
  [100, 86],
];
/** A piece of a ring, as a cone is cut: nested arcs lie close one behind the other. */
const ARC: Points = [
  ...Array.from({ length: 25 }, (_, at): [number, number] => arcAt(80, at)),
  ...Array.from({ length: 25 }, (_, at): [number, number] => arcAt(55, 24 - at)),
];
function arcAt(radius: number, at: number): [number, number] {
  const angle = ((at - 12) / 24) * (Math.PI / 2);
  return [radius * Math.sin(angle) + 80 * Math.SQRT1_2, 80 - radius * Math.cos(angle)];
}

const sizeOf = (points: Points) => ({
  lengthMm: Math.max(...points.map(([x]) => x)),
  widthMm: Math.max(...points.map(([, y]) => y)),
});

const task = (
  outline: Points,
  count: number,
  sheet: readonly [number, number],
  more: Partial<SheetTask> = {},
): SheetTask => ({
  pieces: [{ key: 'p', ...sizeOf(outline), count, outline }],
  stocks: [{ key: 'bought', lengthMm: sheet[0], widthMm: sheet[1], count: null }],
  mayTurn: true,
  kerfMm: 0,
  marginMm: 0,
  offcutFromMm: 1e9,
  ...more,
});

const withoutOutline = (given: SheetTask): SheetTask => ({
  ...given,
  pieces: given.pieces.map(({ outline: _outline, ...piece }) => piece),
});

/** As they are drawn and cut. */
function cutOf(given: SheetTask): { plan: ReturnType<typeof planSheets>; stocks: CutStock[] } {
  const plan = planSheets(given);
  const stocks = plan.sheets.map((sheet) =>
    stockOfSheet(sheet, { source: 'bought', offcutId: null }, CUTTING_TERMS, {
      ...plan,
      pieces: given.pieces,
    }),
  );
  return { plan, stocks };
}

const areaMm2 = (points: Points): number => {
  let twice = 0;
  for (let at = 0; at < points.length; at++) {
    const [[x0, y0], [x1, y1]] = [points[at] ?? [0, 0], points[(at + 1) % points.length] ?? [0, 0]];
    twice += x0 * y1 - x1 * y0;
  }
  return Math.abs(twice) / 2;
};

/** By a polygon library that the planner does not use: nothing overlaps, nothing lies outside, nothing is lost or bent. */
function expectSound(given: SheetTask, { plan, stocks }: ReturnType<typeof cutOf>): void {
  const [piece] = given.pieces;
  const outlines = stocks.map(({ parts }) =>
    parts.flatMap(({ kind, outline }) => (kind === 'piece' && outline ? [outline] : [])),
  );
  const left = plan.notCut.reduce((sum, { count }) => sum + count, 0);
  expect(outlines.flat()).toHaveLength((piece?.count ?? 0) - left);
  stocks.forEach(({ lengthMm, widthMm }, at) => {
    const on = outlines[at] ?? [];
    for (const points of on) {
      expect(areaMm2(points)).toBeCloseTo(areaMm2(piece?.outline ?? []), 4);
      for (const [x, y] of points) {
        expect(x).toBeGreaterThanOrEqual(given.marginMm - 1e-6);
        expect(y).toBeGreaterThanOrEqual(given.marginMm - 1e-6);
        expect(x).toBeLessThanOrEqual(lengthMm - given.marginMm + 1e-6);
        expect(y).toBeLessThanOrEqual(widthMm - given.marginMm + 1e-6);
      }
    }
    on.forEach((a, first) =>
      on.slice(first + 1).forEach((b) => {
        const both = polygonClipping.intersection([a], [b]);
        const overlap = both.reduce((sum, polygon) => sum + areaMm2((polygon[0] ?? []).slice(0, -1)), 0);
        expect(overlap).toBeLessThan(0.05);
      }),
    );
  });
}

describe('templates that are the same many times', () => {
  test.each([
    // 300 × 172: three boxes to a row, two rows; every other on its head five to a row.
    ['triangles, every other on its head', task(TRIANGLE, 10, [300, 172]), 1, 2],
    ['with nap none stands on its head', task(TRIANGLE, 10, [300, 172], { mayTurn: false }), 2, 2],
    ['what is over of a row lies in its box', task(TRIANGLE, 11, [300, 172]), 2, 2],
    ['one alone is its box', task(TRIANGLE, 1, [300, 172]), 1, 1],
    ['arcs one behind the other', task(ARC, 6, [230, 104]), 1, 2],
    ['each cut takes 2 mm', task(TRIANGLE, 10, [300, 172], { kerfMm: 2 }), 2, 4],
  ])('%s', (_what, given, bought, inBoxes) => {
    const cut = cutOf(given);
    expect(cut.plan.bought).toBe(bought);
    expect(planSheets(withoutOutline(given)).bought).toBe(inBoxes);
    expect(cut.plan.atLeastBought).toBeLessThanOrEqual(bought);
    expectSound(given, cut);
  });

  test('that no fewer will do is only said by the area, for templates could lie otherwise', () => {
    // Ten of 43 cm² are 430 cm², and a sheet is 516.
    const plan = planSheets(task(TRIANGLE, 10, [300, 172], { mayTurn: false }));
    expect([plan.bought, plan.atLeastBought]).toEqual([2, 1]);
  });

  test('a rectangle is not laid closer than it is', () => {
    const box: Points = [
      [0, 0],
      [80, 0],
      [80, 40],
      [0, 40],
    ];
    expect(planSheets(task(box, 9, [200, 120])).blocks.size).toBe(0);
  });

  test('what is wasted is all that no template is', () => {
    const given = task(TRIANGLE, 10, [300, 172]);
    const { stocks } = cutOf(given);
    const [stock] = stocks;
    expect(stock && wasteOfStock(stock)).toBeCloseTo((300 * 172 - 10 * areaMm2(TRIANGLE)) / 100, 6);
  });

  test('however it is shaped, it lies on nothing else, and never takes more than its boxes', () => {
    const star = fc
      .array(fc.double({ min: 12, max: 60, noNaN: true }), { minLength: 5, maxLength: 11 })
      .map((radii): Points => {
        const raw = radii.map((radius, at): [number, number] => {
          const angle = (2 * Math.PI * at) / radii.length;
          return [radius * Math.cos(angle), radius * Math.sin(angle)];
        });
        const [left, top] = [Math.min(...raw.map(([x]) => x)), Math.min(...raw.map(([, y]) => y))];
        return raw.map(([x, y]) => [x - left, y - top]);
      });
    fc.assert(
      fc.property(
        star,
        fc.integer({ min: 2, max: 14 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 3 }),
        (outline, count, mayTurn, kerfMm) => {
          const given = task(outline, count, [320, 210], { mayTurn, kerfMm, marginMm: 4 });
          const cut = cutOf(given);
          expectSound(given, cut);
          expect(cut.plan.bought).toBeLessThanOrEqual(planSheets(withoutOutline(given)).bought);
          expect(cut.plan.bought).toBeGreaterThanOrEqual(cut.plan.atLeastBought);
        },
      ),
      { numRuns: 30 },
    );
  });
});
