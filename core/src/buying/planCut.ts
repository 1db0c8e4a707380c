import {
  bundled,
  type CuttingTerms,
  type CutStock,
  type PackPieces,
  planLengths,
  planSheets,
  type PlannedPiece,
  stockOfSheet,
  stockOfStick,
  unbundled,
  wasteOfStock,
} from '../cutting/index.ts';
import { type Finding, thereToCut } from '../shelf/index.ts';
import type { Solvers } from '../solving/index.ts';

export interface PieceToCut extends PlannedPiece {
  readonly count: number;
}

/** A plan for one thing of the shelf, not taken yet. */
export interface PlannedCut {
  /** Sticks or sheets in the order in which they are cut: what is there first. */
  readonly stocks: readonly CutStock[];
  readonly bought: number;
  readonly atLeastBought: number;
  /** Neither what is bought nor what is wasted can be less. */
  readonly isProven: boolean;
  /** In the thing’s unit. */
  readonly wasteAmount: number;
  readonly cuts: number;
  /** Larger than everything it could be cut from. */
  readonly notCut: readonly { readonly key: string; readonly count: number }[];
}

type Source = Pick<CutStock, 'source' | 'offcutId'>;

const RANK: Readonly<Record<CutStock['source'], number>> = { offcut: 0, rest: 1, whole: 2, bought: 3 };

/** From offcuts, what is begun and what is whole on the shelf, and what has to be bought beside it. */
export function planCut(
  finding: Finding,
  pieces: readonly PieceToCut[],
  packs: readonly PackPieces[],
  terms: CuttingTerms,
  solvers: Solvers,
  limitS: number,
): PlannedCut {
  const { measure } = finding;
  const planned =
    measure.by === 'length'
      ? lengthsOf(
          finding,
          measure.metresPerPack * 1000,
          { pieces, packs: terms.keepsPacksTogether === true ? packs : [] },
          terms,
          solvers,
          limitS,
        )
      : measure.by === 'area'
        ? sheetsOf(finding, measure, pieces, terms)
        : NOTHING;
  const stocks = planned.stocks.toSorted(
    (a, b) => RANK[a.source] - RANK[b.source] || (orderOf(a) < orderOf(b) ? -1 : 1),
  );
  return { ...planned, stocks, wasteAmount: stocks.reduce((sum, stock) => sum + wasteOfStock(stock), 0) };
}

const NOTHING = { stocks: [], bought: 0, atLeastBought: 0, isProven: true, cuts: 0, notCut: [] };

/** Alike sticks one after another. */
const orderOf = ({ parts }: CutStock): string =>
  parts.map(({ key, lengthMm, widthMm }) => `${key ?? ''} ${lengthMm} ${widthMm}`).join('|');

const sourceOf = (key: string): Source => {
  const [kind = 'bought', offcutId] = key.split(' ');
  return { source: kind as CutStock['source'], offcutId: offcutId ?? null };
};

function lengthsOf(
  finding: Finding,
  stockMm: number,
  { pieces, packs }: { readonly pieces: readonly PieceToCut[]; readonly packs: readonly PackPieces[] },
  terms: CuttingTerms,
  solvers: Solvers,
  limitS: number,
) {
  const { wholes, restMm, offcuts } = thereToCut(finding);
  const { task, bundles } = bundled(
    {
      ...terms,
      pieces,
      stocks: [
        { key: 'bought', lengthMm: stockMm, count: null },
        ...(wholes > 0 ? [{ key: 'whole', lengthMm: stockMm, count: wholes }] : []),
        ...(restMm > 1 ? [{ key: 'rest', lengthMm: restMm, count: 1 }] : []),
        ...offcuts.map(({ id, lengthMm }) => ({ key: `offcut ${id}`, lengthMm, count: 1 })),
      ],
    },
    packs,
  );
  const plan = unbundled(planLengths(task, solvers, limitS), bundles);
  return {
    ...plan,
    stocks: plan.sticks.map((stick) => stockOfStick(stick, sourceOf(stick.stockKey), terms.kerfMm)),
  };
}

function sheetsOf(
  finding: Finding,
  { sheetLengthMm, sheetWidthMm, nap }: Extract<Finding['measure'], { by: 'area' }>,
  pieces: readonly PieceToCut[],
  terms: CuttingTerms,
) {
  const { wholes, offcuts } = thereToCut(finding);
  const sheet = { lengthMm: sheetLengthMm, widthMm: sheetWidthMm };
  const plan = planSheets({
    ...terms,
    pieces,
    mayTurn: nap === 'none',
    stocks: [
      { key: 'bought', ...sheet, count: null },
      ...(wholes > 0 ? [{ key: 'whole', ...sheet, count: wholes }] : []),
      ...offcuts.map(({ id, lengthMm, widthMm }) => ({ key: `offcut ${id}`, lengthMm, widthMm, count: 1 })),
    ],
  });
  return {
    ...plan,
    isProven: plan.bought === plan.atLeastBought,
    stocks: plan.sheets.map((cut) => stockOfSheet(cut, sourceOf(cut.stockKey), terms, { ...plan, pieces })),
  };
}
