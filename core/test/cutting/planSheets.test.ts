import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type Area,
  type CutArea,
  planSheets,
  type SheetPlan,
  type SheetTask,
} from '../../src/cutting/index.ts';

const task = (
  pieces: readonly (readonly [number, number, number])[],
  stocks: readonly (readonly [number, number, number | null])[],
  more: Partial<SheetTask> = {},
): SheetTask => ({
  pieces: pieces.map(([lengthMm, widthMm, count], at) => ({ key: `p${at}`, lengthMm, widthMm, count })),
  stocks: stocks.map(([lengthMm, widthMm, count], at) => ({ key: `s${at}`, lengthMm, widthMm, count })),
  mayTurn: true,
  kerfMm: 0,
  marginMm: 0,
  offcutFromMm: 1e9,
  ...more,
});

/** Replays each cut: it goes straight through what is in hand then, and each part is what the plan says it is. */
function replayed(
  cut: CutArea,
  hand: Area,
  kerfMm: number,
  pieces: Map<string, number>,
  given: SheetTask,
): void {
  for (const side of ['xMm', 'yMm', 'lengthMm', 'widthMm'] as const)
    expect(cut.area[side]).toBeCloseTo(hand[side], 6);
  if (cut.kind === 'rest') return;
  if (cut.kind === 'piece') {
    const wanted = given.pieces.find(({ key }) => key === cut.key);
    const [l, w] = cut.isTurned ? [wanted?.widthMm, wanted?.lengthMm] : [wanted?.lengthMm, wanted?.widthMm];
    if (cut.isTurned) expect(given.mayTurn).toBe(true);
    expect(cut.area.lengthMm).toBeCloseTo(l ?? -1, 1);
    expect(cut.area.widthMm).toBeCloseTo(w ?? -1, 1);
    pieces.set(cut.key, (pieces.get(cut.key) ?? 0) + 1);
    return;
  }
  const { blade, atMm } = cut;
  const isAcross = blade === 'across';
  expect(atMm).toBeLessThan(isAcross ? hand.lengthMm : hand.widthMm);
  replayed(
    cut.first,
    isAcross ? { ...hand, lengthMm: atMm } : { ...hand, widthMm: atMm },
    kerfMm,
    pieces,
    given,
  );
  replayed(
    cut.second,
    isAcross
      ? { ...hand, xMm: hand.xMm + atMm + kerfMm, lengthMm: Math.max(0, hand.lengthMm - atMm - kerfMm) }
      : { ...hand, yMm: hand.yMm + atMm + kerfMm, widthMm: Math.max(0, hand.widthMm - atMm - kerfMm) },
    kerfMm,
    pieces,
    given,
  );
}

function expectSound(given: SheetTask, plan: SheetPlan): void {
  const pieces = new Map<string, number>();
  for (const { root, lengthMm, widthMm } of plan.sheets)
    replayed(
      root,
      {
        xMm: given.marginMm,
        yMm: given.marginMm,
        lengthMm: lengthMm - 2 * given.marginMm,
        widthMm: widthMm - 2 * given.marginMm,
      },
      given.kerfMm,
      pieces,
      given,
    );
  for (const { key, count } of given.stocks)
    if (count !== null)
      expect(plan.sheets.filter(({ stockKey }) => stockKey === key).length).toBeLessThanOrEqual(count);
  for (const { key, count } of given.pieces) {
    const left = plan.notCut
      .filter((piece) => piece.key === key)
      .reduce((sum, piece) => sum + piece.count, 0);
    expect((pieces.get(key) ?? 0) + left).toBe(count);
  }
}

describe('rectangles by straight cuts through', () => {
  test.each<[string, SheetTask, number]>([
    ['12 × 130 × 120 from 200 × 200', task([[130, 120, 12]], [[200, 200, null]]), 12],
    ['12 × 80 × 80 from 150 × 450', task([[80, 80, 12]], [[150, 450, null]]), 3],
    ['12 × 255 × 180 from 200 × 300', task([[255, 180, 12]], [[200, 300, null]]), 12],
    ['turned pieces fill what rows leave', task([[30, 20, 5]], [[50, 50, null]]), 2],
    ['two sizes side by side', task([[200, 100, 2], [100, 100, 4]], [[200, 200, null]]), 2],
    ['a remnant comes first', task([[90, 90, 2]], [[200, 100, null], [100, 100, 1]]), 1],
    ['each cut takes 2 mm', task([[100, 100, 2]], [[200, 100, null]], { kerfMm: 2 }), 2],
    ['a margin all round', task([[100, 100, 1], [95, 95, 1]], [[110, 110, null]], { marginMm: 5 }), 2],
  ])('%s', (_name, given, bought) => {
    const plan = planSheets(given);
    expectSound(given, plan);
    expect(plan).toMatchObject({ bought, notCut: [] });
  }); // prettier-ignore

  test('with a nap no piece is turned; one that is larger than every sheet is told', () => {
    const given = task([[255, 180, 1], [100, 100, 2]], [[200, 300, null]], { mayTurn: false }); // prettier-ignore
    const plan = planSheets(given);
    expectSound(given, plan);
    expect(plan.notCut).toMatchObject([{ key: 'p0', count: 1 }]);
    expect(plan.bought).toBe(1);
  });

  test('what lies on the shelf is taken off the bound: alike pieces are proven', () => {
    const given = task([[140, 60, 20]], [[300, 200, null], [300, 200, 2]], { mayTurn: false }); // prettier-ignore
    expect(planSheets(given)).toMatchObject({ bought: 2, atLeastBought: 2 });
  });

  test('where nothing is bought as much is cut as there is', () => {
    const given = task([[100, 100, 5]], [[200, 200, 1]]);
    const plan = planSheets(given);
    expectSound(given, plan);
    expect(plan.notCut).toMatchObject([{ key: 'p0', count: 1 }]);
  });
});

/** The fewest sheets for a few pieces, over every order and every first cut at a side of a piece. */
function fewestByTrying(
  pieces: readonly (readonly [number, number])[],
  sheet: readonly [number, number],
): number {
  const fits = (rects: readonly (readonly [number, number])[], left: readonly number[]): boolean => {
    const [at, ...rest] = left;
    const piece = pieces[at ?? -1];
    if (!piece) return true;
    return rects.some(([l, w], index) =>
      [piece, [piece[1], piece[0]] as const].some(([a, b]) => {
        if (a > l || b > w) return false;
        const others = rects.filter((_, other) => other !== index);
        return (
          fits([...others, [l - a, w], [a, w - b]], rest) || fits([...others, [l, w - b], [l - a, b]], rest)
        );
      }),
    );
  };
  const orders = permutations(pieces.map((_, at) => at));
  for (let count = 1; ; count++) {
    const sheets = Array.from({ length: count }, () => sheet);
    if (orders.some((order) => fits(sheets, order))) return count;
  }
}

const permutations = (all: readonly number[]): number[][] =>
  all.length === 0
    ? [[]]
    : all.flatMap((first) =>
        permutations(all.filter((other) => other !== first)).map((rest) => [first, ...rest]),
      );

test('a few pieces: as few sheets as any way of cutting, and never fewer than is proven', () => {
  const side = fc.integer({ min: 20, max: 100 });
  fc.assert(
    fc.property(fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 4 }), (pieces) => {
      const given = task(pieces.map(([l, w]) => [l, w, 1] as const), [[100, 120, null]]); // prettier-ignore
      const plan = planSheets(given);
      expectSound(given, plan);
      const fewest = fewestByTrying(pieces, [100, 120]);
      expect(plan.bought).toBe(fewest);
      expect(plan.atLeastBought).toBeLessThanOrEqual(fewest);
    }),
    { numRuns: 60 },
  );
});

test('two hundred pieces of many sizes, kerf, margins and remnants: every cut can be made', () => {
  const piece = fc.tuple(
    fc.integer({ min: 15, max: 140 }),
    fc.integer({ min: 15, max: 140 }),
    fc.integer({ min: 1, max: 20 }),
  );
  fc.assert(
    fc.property(fc.array(piece, { minLength: 5, maxLength: 12 }), fc.boolean(), (pieces, mayTurn) => {
      const given = task(pieces, [[300, 200, null], [150, 90, 2]], { mayTurn, kerfMm: 1.5, marginMm: 4, offcutFromMm: 40 }); // prettier-ignore
      const plan = planSheets(given);
      expectSound(given, plan);
      expect(plan.bought).toBeGreaterThanOrEqual(plan.atLeastBought);
      expect(plan.wasteMm2).toBeGreaterThanOrEqual(0);
    }),
    { numRuns: 15 },
  );
});
