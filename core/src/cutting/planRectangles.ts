import { mostOnOneSheet } from './mostOnOneSheet.ts';
import { oneSizeOnSheets } from './oneSizeOnSheets.ts';
import { placeOnSheets, type PlacedOnSheets, type PlacingRule, waysIn } from './placeOnSheets.ts';
import { outlineMm2 } from './nestedBlocks.ts';
import {
  cutsOfSheet,
  type SheetPiece,
  type SheetPlan,
  type SheetStock,
  type SheetTask,
  wasteOfSheet,
} from './sheetTask.ts';

/** Orders that are shuffled a little, beside those that have a reason. */
const SHUFFLED = 40;

/**
 * Rectangles from sheets by straight cuts through: as much as can be cut; of those ways the least bought, then the least waste,
 * then the fewest cuts, over many orders and rules (first fit and best fit by guillotine, Jylänki 2010). Of one size each
 * sheet is filled as full as straight cuts can. What is bought is held against what no plan could do with less.
 */
export function planRectangles(task: SheetTask): SheetPlan {
  const wanted = task.pieces.filter(
    ({ count, lengthMm, widthMm }) => count > 0 && lengthMm > 0 && widthMm > 0,
  );
  const fits = (piece: SheetPiece) =>
    task.stocks.some(
      ({ lengthMm, widthMm }) =>
        waysIn(
          piece,
          { xMm: 0, yMm: 0, lengthMm: lengthMm - 2 * task.marginMm, widthMm: widthMm - 2 * task.marginMm },
          task,
        ).length > 0,
    );
  const possible = wanted.filter(fits);
  const tooLarge = wanted.filter((piece) => !fits(piece));
  const plans = [
    ...rulesFor(possible).map((rule) => placeOnSheets(task, rule)),
    ...(oneSizeOnSheets(task, possible) ?? []),
  ];
  const [best] = plans.map((plan) => scored(task, plan)).toSorted(byScore);
  const bought = best?.bought ?? 0;
  return {
    sheets: best?.plan.sheets ?? [],
    notCut: [...tooLarge, ...(best?.plan.left ?? [])],
    bought,
    atLeastBought: Math.min(bought, leastBought(task, possible)),
    wasteMm2: Math.round(best?.wasteMm2 ?? 0),
    cuts: best?.cuts ?? 0,
    blocks: NO_BLOCKS,
  };
}

const NO_BLOCKS: SheetPlan['blocks'] = new Map();

interface Scored {
  readonly plan: PlacedOnSheets;
  readonly leftMm2: number;
  readonly bought: number;
  readonly wasteMm2: number;
  readonly cuts: number;
}

const areaMm2 = ({ lengthMm, widthMm, count }: SheetPiece): number => lengthMm * widthMm * count;

const scored = (task: SheetTask, plan: PlacedOnSheets): Scored => ({
  plan,
  leftMm2: plan.left.reduce((sum, piece) => sum + areaMm2(piece), 0),
  bought: plan.sheets.filter(({ isBought }) => isBought).length,
  wasteMm2: plan.sheets.reduce((sum, sheet) => sum + wasteOfSheet(sheet, task), 0),
  cuts: plan.sheets.reduce((sum, { root }) => sum + cutsOfSheet(root), 0),
});

const byScore = (a: Scored, b: Scored): number =>
  a.leftMm2 - b.leftMm2 || a.bought - b.bought || a.wasteMm2 - b.wasteMm2 || a.cuts - b.cuts;

const MEASURES: readonly ((piece: SheetPiece) => number)[] = [
  ({ lengthMm, widthMm }) => lengthMm * widthMm,
  ({ lengthMm, widthMm }) => Math.max(lengthMm, widthMm),
  ({ lengthMm, widthMm }) => Math.min(lengthMm, widthMm),
  ({ lengthMm }) => lengthMm,
  ({ widthMm }) => widthMm,
];

function rulesFor(pieces: readonly SheetPiece[]): PlacingRule[] {
  const orders = MEASURES.map((measure) => pieces.toSorted((a, b) => measure(b) - measure(a)));
  const wheres = ['least-area', 'least-side', 'first'] as const;
  const parteds = ['larger-whole', 'across', 'along'] as const;
  const random = seeded(pieces.length + 1);
  const shuffled = Array.from({ length: pieces.length > 1 ? SHUFFLED : 0 }, (_, at): PlacingRule => {
    const weights = new Map(
      pieces.map((piece) => [piece, areaMm2({ ...piece, count: 1 }) * (0.5 + random())]),
    );
    return {
      order: pieces.toSorted((a, b) => (weights.get(b) ?? 0) - (weights.get(a) ?? 0)),
      where: wheres[at % wheres.length] ?? 'first',
      parted: parteds[at % parteds.length] ?? 'across',
    };
  });
  return [
    ...orders.flatMap((order) =>
      wheres.flatMap((where) => parteds.map((parted) => ({ order, where, parted }))),
    ),
    ...shuffled,
  ];
}

/** The same numbers again for the same task (Park and Miller 1988). */
function seeded(seed: number): () => number {
  let state = seed % 2_147_483_647;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

/**
 * By area; and of each size by itself, as many as straight cuts give of each sheet, those that are there taken off. A cut is
 * counted with its piece, and once with the sheet.
 */
function leastBought(task: SheetTask, pieces: readonly SheetPiece[]): number {
  const { stocks, mayTurn, kerfMm, marginMm } = task;
  const [bought, ...others] = stocks.filter(({ count }) => count === null);
  if (!bought || others.length > 0 || pieces.length === 0) return 0;
  const there = stocks.filter(({ count }) => count !== null);
  const sheetMm2 = ({ lengthMm, widthMm }: SheetStock) => lengthMm * widthMm;
  // A template may lie closer than its box.
  const wantedMm2 = pieces.reduce(
    (sum, piece) => sum + (piece.outline ? outlineMm2(piece.outline) * piece.count : areaMm2(piece)),
    0,
  );
  const thereMm2 = there.reduce((sum, stock) => sum + sheetMm2(stock) * (stock.count ?? 0), 0);
  const byArea = Math.ceil(Math.max(0, wantedMm2 - thereMm2) / sheetMm2(bought) - 1e-9);
  const most = (piece: SheetPiece, { lengthMm, widthMm }: SheetStock) =>
    mostOnOneSheet(
      { lengthMm: piece.lengthMm + kerfMm, widthMm: piece.widthMm + kerfMm },
      { lengthMm: lengthMm - 2 * marginMm + kerfMm, widthMm: widthMm - 2 * marginMm + kerfMm, mayTurn },
    );
  const bySize = pieces
    .filter(({ outline }) => !outline)
    .map((piece) => {
      const alike = pieces.filter(
        ({ lengthMm, widthMm }) => lengthMm === piece.lengthMm && widthMm === piece.widthMm,
      );
      const wanted = alike.reduce((sum, { count }) => sum + count, 0);
      const onShelf = there.reduce((sum, stock) => sum + most(piece, stock) * (stock.count ?? 0), 0);
      const onBought = most(piece, bought);
      return onBought > 0 ? Math.ceil(Math.max(0, wanted - onShelf) / onBought) : 0;
    });
  return Math.max(byArea, ...bySize);
}
