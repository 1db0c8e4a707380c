import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { flow, type Room } from '../../../src/papers/booklet/flow.ts';
import { together, type Unit, withoutWidows } from '../../../src/papers/booklet/units.ts';

const COLUMN_PT = 100;

/** Columns as they fill: which unit stands in which. */
function set(units: readonly Unit[]) {
  const columns: { readonly unit: Unit; readonly isRepeat: boolean }[][] = [[]];
  let usedPt = 0;
  const room: Room = {
    leftPt: () => COLUMN_PT - usedPt,
    columnPt: COLUMN_PT,
    isAtTop: () => usedPt === 0,
    nextColumn: () => {
      columns.push([]);
      usedPt = 0;
    },
    nextPage: () => {
      columns.push([]);
      usedPt = 0;
    },
    place: (unit, isRepeat) => {
      usedPt += (usedPt === 0 ? 0 : unit.abovePt) + unit.heightPt;
      columns.at(-1)?.push({ unit, isRepeat });
    },
  };
  flow(units, room);
  return columns;
}

const unit = (heightPt: number, more: Partial<Unit> = {}): Unit => ({
  heightPt,
  keepsNext: false,
  abovePt: 0,
  draw: () => undefined,
  ...more,
});

describe('units in columns', () => {
  const anyUnit = fc.record({
    heightPt: fc.integer({ min: 1, max: 60 }),
    keepsNext: fc.boolean(),
    abovePt: fc.integer({ min: 0, max: 8 }),
  });
  test('nothing is lost, nothing changes its place, and no column is too full', () => {
    fc.assert(
      fc.property(fc.array(anyUnit, { maxLength: 40 }), (given) => {
        const units = given.map((each) => unit(each.heightPt, each));
        const columns = set(units);
        expect(columns.flat().map((each) => each.unit)).toEqual(units);
        for (const column of columns)
          expect(column.reduce((sum, each, at) => sum + each.unit.heightPt + (at === 0 ? 0 : each.unit.abovePt), 0)).toBeLessThanOrEqual(COLUMN_PT);
      }),
    );
  }); // prettier-ignore
  test('what keeps together is in one column wherever a column can hold it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 90 }), { maxLength: 8 }),
        fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 2, maxLength: 5 }),
        (before, heights) => {
          fc.pre(heights.reduce((a, b) => a + b, 0) <= COLUMN_PT);
          const group = together(heights.map((height) => unit(height)));
          const columns = set([...before.map((height) => unit(height)), ...group]);
          const holding = columns.filter((column) => column.some((each) => group.includes(each.unit)));
          expect(holding).toHaveLength(1);
        },
      ),
    );
  });
  test.each([2, 3, 4, 7, 12])(
    'of a paragraph of %i lines neither the first nor the last stands alone',
    (count) => {
      for (let usedPt = 0; usedPt <= 90; usedPt += 10) {
        const lines = withoutWidows(Array.from({ length: count }, () => unit(10)));
        const columns = set([...(usedPt > 0 ? [unit(usedPt)] : []), ...lines]);
        for (const column of columns) {
          const here = column.filter((each) => lines.includes(each.unit)).length;
          if (here > 0) expect(here).toBeGreaterThanOrEqual(Math.min(2, count));
        }
      }
    },
  );
  test('the head of a table stands once more where its rows go on', () => {
    const head = unit(10, { keepsNext: true });
    const rows = Array.from({ length: 14 }, () => unit(10, { repeated: head }));
    const [first, second] = set([head, ...rows]);
    expect(first?.[0]).toEqual({ unit: head, isRepeat: false });
    expect(second?.[0]).toEqual({ unit: head, isRepeat: true });
  });
  test('what is higher than a column is set all the same', () => {
    expect(set([unit(30), unit(140), unit(10)]).map((column) => column.length)).toEqual([1, 1, 1]);
  });
  test('a step a page: each begins one, and none is left empty', () => {
    const steps = [
      unit(20, { isNewPage: true }),
      unit(20, { isNewPage: true }),
      unit(20, { isNewPage: true }),
    ];
    expect(set(steps).map((column) => column.length)).toEqual([1, 1, 1]);
  });
});
