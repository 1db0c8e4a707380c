import {
  type PackedRun,
  reallyWeighed,
  type Run,
  thingsTaken,
  weighings,
  withdrawalsOfPlan,
} from '@lanakit/core/run';
import { takeFromLots, toMilli } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import type { RunWithdrawal } from '../db/runs.ts';
import { inForceOf } from './runInForce.ts';
import { shelfOf } from './runSources.ts';

/** What is taken off the shelf when a run is packed, and written down so that it can come back. */
export function takeOffShelf(store: Store, run: Run, today: string, at: string): void {
  for (const withdrawal of withdrawalsOf(store, run, today)) {
    store.runs.withdraw(run.id, withdrawal);
    const { itemId, lotId, amountMilli } = withdrawal;
    store.stock.enter({ itemId, lotId, amountMilli: -amountMilli, reason: 'packed', note: noteOf(run), at });
  }
}

/** Brings back just what packing took. */
export function bringBackToShelf(store: Store, run: Run, at: string): void {
  for (const { itemId, lotId, amountMilli } of store.runs.withdrawals(run.id)) {
    store.stock.enter({ itemId, lotId, amountMilli, reason: 'returned', note: noteOf(run), at });
  }
  store.runs.forgetWithdrawals(run.id);
}

function withdrawalsOf(store: Store, run: Run, today: string): RunWithdrawal[] {
  const { packed } = inForceOf(store, run, today);
  const { plan, toPack, input } = packed;
  const { fibres, findings } = shelfOf(store);
  const [needles, tools] = [store.shelf.needles(), store.shelf.tools()];
  const onHandOf = new Map(
    [...findings.values(), ...needles, ...tools].map(({ id, onHand }) => [id, onHand] as const),
  );
  const really = reallyTaken(store, run, packed);
  const ofWool = [...withdrawalsOfPlan(plan)].flatMap(([fibreId, massG]) =>
    ofLots(fibreId, fibres.get(fibreId)?.lots ?? [], Math.max(0, massG + (really.get(fibreId) ?? 0))),
  );
  const ofThings = [...thingsTaken(toPack, input, { findings, needles, tools })].flatMap(
    ([itemId, { amount }]): RunWithdrawal[] => {
      const onHand = onHandOf.get(itemId) ?? null;
      // What was never counted has no sum to keep.
      if (onHand === null || amount <= 0) return [];
      return [{ itemId, lotId: null, amountMilli: toMilli(Math.min(amount, onHand)) }];
    },
  );
  return [...ofWool, ...ofThings].filter(({ amountMilli }) => amountMilli > 0);
}

/** Of each fibre what the scale showed over what was wanted, grams: that is off the shelf, and not what was planned. */
function reallyTaken(
  store: Store,
  run: Run,
  { plan, packs, wool, input }: PackedRun,
): ReadonlyMap<string, number> {
  const ticks = new Map(store.runs.ticks(run.id).map((tick) => [tick.mark, tick]));
  const all = weighings(plan, packs, wool.fibres, input.scaleStepG);
  return new Map([...reallyWeighed(all, ticks)].map(([fibreId, { overG }]) => [fibreId, overG]));
}

/** So much from its lots, oldest first; where they have not that much, all they have. */
function ofLots(
  itemId: string,
  lots: readonly { readonly id: string; readonly onHandG: number | null }[],
  massG: number,
): RunWithdrawal[] {
  const thereIsG = lots.reduce((sum, { onHandG }) => sum + Math.max(0, onHandG ?? 0), 0);
  return (takeFromLots(lots, Math.min(massG, thereIsG)) ?? []).map((part) => ({
    itemId,
    lotId: part.lotId,
    amountMilli: toMilli(part.massG),
  }));
}

const noteOf = ({ name }: Run): string => name.slice(0, 200);
