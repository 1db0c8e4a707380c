import {
  planPurchase,
  PURCHASE_WAYS,
  type PurchasePlan,
  type PurchaseProblem,
  type PurchaseWay,
} from '@lanakit/core/buying';
import { highsSolvers } from '@lanakit/core/solving';
import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';

/** Seconds for each way; the first good one is shown long before. */
const LIMIT_S: Readonly<Record<PurchaseWay, number>> = { money: 10, parcels: 8, 'left-over': 8 };

/** How far a way is. */
export type WayState =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'working'; readonly plan: PurchasePlan | null }
  | { readonly kind: 'done'; readonly plan: PurchasePlan }
  | { readonly kind: 'impossible' | 'nothing-in-time' | 'failed' };

const solvers = highsSolvers(() => wasmUrl);

const api = {
  /** One way after another, each told as it gets better. */
  async plan(problem: PurchaseProblem, onState: (way: PurchaseWay, state: WayState) => void): Promise<void> {
    const { solve } = await solvers;
    for (const way of PURCHASE_WAYS) {
      onState(way, { kind: 'working', plan: null });
      const planned = planPurchase(problem, way, solve, {
        limitS: LIMIT_S[way],
        onBetter: (plan) => onState(way, { kind: 'working', plan }),
      });
      onState(way, planned.kind === 'planned' ? { kind: 'done', plan: planned } : planned);
    }
  },
};
export type PlanApi = typeof api;

expose(api);
