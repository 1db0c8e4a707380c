import { mostOnOneSheet } from './fewestSheets.ts';
import { oneSizeOnSheets } from './oneSizeOnSheets.ts';
import { placeOnSheets, type PlacedOnSheets, type PlacingRule, waysIn } from './placeOnSheets.ts';
import { cutsOfSheet, type SheetPiece, type SheetPlan, type SheetTask, wasteOfSheet } from './sheetTask.ts';

/** Orders that are shuffled a little, beside those that have a reason. */
const SHUFFLED = 40;

/**
 * Rectangles from sheets by straight cuts through: as much as can be cut; of those ways the least bought, then the least waste,
 * then the fewest cuts, over many orders and rules (first fit and best fit by guillotine, Jylänki 2010). Of one size each
 * sheet is filled as full as straight cuts can. What is bought is held against what no plan could do with less.
 */
export function planSheets(task: SheetTask): SheetPlan {
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
  };
}

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

/** By area; and of each size by itself, as many as straight cuts give of one sheet, where nothing lies on the shelf. */
function leastBought(task: SheetTask, pieces: readonly SheetPiece[]): number {
  const bought = task.stocks.filter(({ count }) => count === null);
  const [only] = bought;
  if (!only || bought.length > 1 || pieces.length === 0) return 0;
  const there = task.stocks.reduce(
    (sum, { lengthMm, widthMm, count }) => sum + (count === null ? 0 : lengthMm * widthMm * count),
    0,
  );
  const wantedMm2 = pieces.reduce((sum, piece) => sum + areaMm2(piece), 0);
  const byArea = Math.ceil(Math.max(0, wantedMm2 - there) / (only.lengthMm * only.widthMm) - 1e-9);
  if (there > 0 || task.kerfMm > 0 || task.marginMm > 0) return byArea;
  const bySize = pieces.map((piece) =>
    Math.ceil(piece.count / mostOnOneSheet(piece, { ...only, mayTurn: task.mayTurn })),
  );
  return Math.max(byArea, ...bySize);
}
