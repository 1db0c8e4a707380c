import { type Found, type LinearModel, type Solved, type Solver, type SolveTerms } from '../solving/index.ts';
import { neededOf, type PackCounts, type Purchase, purchaseOf, type PurchaseProblem } from './purchase.ts';
import { purchaseModel, type PurchaseModel } from './purchaseModel.ts';

/** What is to be least, and of the ways that have as little of it, money. */
export const PURCHASE_WAYS = ['money', 'parcels', 'left-over'] as const;
export type PurchaseWay = (typeof PURCHASE_WAYS)[number];

export interface PurchasePlan {
  readonly way: PurchaseWay;
  readonly counts: PackCounts;
  readonly purchase: Purchase;
  /** No purchase that has as little of what is to be least costs less, minor units. */
  readonly atLeastMinor: number;
  /** Nothing better there is. */
  readonly isProven: boolean;
}

export type PlannedPurchase =
  | ({ readonly kind: 'planned' } & PurchasePlan)
  /** What is held by hand leaves no way to meet every need. */
  | { readonly kind: 'impossible' }
  | { readonly kind: 'nothing-in-time' };

export interface PlanTerms {
  /** For all that is asked, seconds. */
  readonly limitS: number;
  readonly onBetter?: (plan: PurchasePlan) => void;
  readonly shouldStop?: () => boolean;
}

/** Shares of the time: how little there may be of it; a cheap purchase with as little; and that none is cheaper. */
const SHARES = { least: 0.4, quick: 0.2, proof: 0.4 } as const;
/** Worth of what is left over that is the same: half a minor unit. */
const SAME_WORTH = 0.5;

/** The best purchase of one way, with its proof or its gap. Needs that nothing meets in time must be gone from it. */
export function planPurchase(
  problem: PurchaseProblem,
  way: PurchaseWay,
  solve: Solver,
  { limitS, onBetter, shouldStop }: PlanTerms,
): PlannedPurchase {
  const purchase = purchaseModel(problem);
  const { model, moneyCosts } = purchase;
  const planOf = (values: readonly number[], atLeastMinor: number, isProven: boolean): PurchasePlan => {
    const counts = purchase.countsOf(values);
    return { way, counts, purchase: purchaseOf(problem, counts), atLeastMinor, isProven };
  };
  const terms = (share: number): SolveTerms => ({
    limitS: limitS * share,
    ...(shouldStop && { shouldStop }),
    ...(onBetter && { onBetter: ({ values, atLeast }) => onBetter(planOf(values, atLeast, false)) }),
  });
  if (way === 'money') return planned(solve(model, moneyCosts, terms(1)), true, planOf);
  const costs = way === 'parcels' ? purchase.parcelCosts : purchase.leftOverCosts;
  const least = solve(model, costs, terms(SHARES.least));
  if (least.kind !== 'found') return planned(least, false, planOf);
  const most = way === 'parcels' ? least.cost : least.cost + SAME_WORTH;
  const quick =
    way === 'parcels' ? solve(fromThose(model, costs, least), moneyCosts, terms(SHARES.quick)) : least;
  const proof = solve(within(model, costs, most), moneyCosts, terms(SHARES.proof));
  return planned(cheapest(moneyCosts, [least, quick, proof], proof), least.isProven, planOf);
}

/** The cheapest of what was found, with what the last one proved. */
function cheapest(moneyCosts: readonly number[], all: readonly Solved[], proof: Solved): Solved {
  const found = all.flatMap((solved) => (solved.kind === 'found' ? [solved] : []));
  const moneyOf = ({ values }: Found) =>
    values.reduce((sum, value, at) => sum + value * (moneyCosts[at] ?? 0), 0);
  const [best] = found.toSorted((a, b) => moneyOf(a) - moneyOf(b));
  if (!best) return proof;
  const atLeast = proof.kind === 'found' ? proof.atLeast : 0;
  const cost = moneyOf(best);
  return { ...best, cost, atLeast, isProven: proof.kind === 'found' && proof.isProven && cost <= proof.cost };
}

function planned(
  solved: Solved,
  isFirstProven: boolean,
  planOf: (values: readonly number[], atLeastMinor: number, isProven: boolean) => PurchasePlan,
): PlannedPurchase {
  if (solved.kind !== 'found') return solved;
  return {
    kind: 'planned',
    ...planOf(solved.values, Math.max(0, Math.ceil(solved.atLeast - 1e-6)), solved.isProven && isFirstProven),
  };
}

const within = (model: LinearModel, costs: PurchaseModel['moneyCosts'], most: number): LinearModel => ({
  ...model,
  rows: [
    ...model.rows,
    {
      terms: costs.flatMap((cost, variable) => (cost === 0 ? [] : [[variable, cost] as const])),
      min: -Infinity,
      max: most,
    },
  ],
});

/** Bought from those suppliers only. */
const fromThose = (model: LinearModel, costs: readonly number[], { values }: Found): LinearModel => ({
  ...model,
  variables: model.variables.map((variable, at) =>
    costs[at] === 1 && values[at] === 0 ? { ...variable, max: 0 } : variable,
  ),
});

/** Nothing is needed: nothing is asked of a solver. */
export const isNothingNeeded = ({ needs, held }: PurchaseProblem): boolean =>
  needs.every((need) => neededOf(need) <= 0) && [...held.values()].every((count) => count === 0);
