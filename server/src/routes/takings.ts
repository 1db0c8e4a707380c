import {
  addPromises,
  inDrawingOrder,
  isOffShelf,
  portionsOfRun,
  restocked,
  revisionsOfRun,
  stockOfFinding,
  takingsOfPlan,
  thingsTaken,
  thawPlan,
  thawWool,
  toPackOf,
  woolOnShelf,
  type Designs,
  type FibreStock,
  type Promised,
  type Revision,
  type Run,
  type RunInput,
  type RunPortions,
  type Takings,
  type ThingPromise,
  type ThingPromises,
  type ToPack,
  type Wool,
} from '@lanakit/core';
import type { Store } from '../db/index.ts';

/** The shelf as the engine looks wool up. */
export function shelfOf({ shelf, stock }: Store): Wool {
  const fibres = shelf.fibres();
  return {
    fibres: woolOnShelf(fibres, shelf.blends(fibres)),
    findings: new Map(shelf.findings().map((finding) => [finding.id, finding])),
    handMeasures: stock.handMeasures(),
  };
}

/** A run's leading revision; a run cannot exist without one (foreign key). */
export function revisionOf(store: Store, run: Pick<Run, 'revisionId'>): Revision {
  const revision = store.patterns.findRevision(run.revisionId);
  if (!revision) throw new Error(`run without its revision ${run.revisionId}`);
  return revision;
}

/** The patterns a run is pinned to. */
export const designsOf = (store: Store, run: RunInput): Designs =>
  new Map(
    revisionsOfRun(run).flatMap((id) => {
      const revision = store.patterns.findRevision(id);
      return revision ? [[id, revision.document] as const] : [];
    }),
  );

/** What is there of a fibre, and what runs before will take. */
export const stockIn =
  (wool: Wool, promised: ReadonlyMap<string, number>) =>
  (fibreId: string): FibreStock => ({
    onHandG: wool.fibres.get(fibreId)?.onHandG ?? null,
    promisedG: promised.get(fibreId) ?? 0,
  });

/** What a run would be packed from and with, as its terms and the shelf are now. */
export function livePlan(
  store: Store,
  run: RunInput,
  wool: Wool,
  promised: ReadonlyMap<string, number>,
): { readonly toPack: ToPack; readonly plan: RunPortions } {
  const toPack = toPackOf(designsOf(store, run), run, wool);
  return { toPack, plan: portionsOfRun(toPack, run, stockIn(wool, promised)) };
}

/** The portions of a run: once it counts, as they were then, against the shelf as it is. */
export function planRun(
  store: Store,
  run: Run,
  wool: Wool,
  promised: ReadonlyMap<string, number>,
): RunPortions {
  const frozen = store.runs.frozen(run.id);
  return frozen
    ? restocked(thawPlan(frozen), stockIn(wool, promised))
    : livePlan(store, run, wool, promised).plan;
}

/** What a run takes of each fibre, whatever is on hand. */
export function takingsOf(store: Store, run: Run, wool: Wool): Takings {
  return takingsOfPlan(planRun(store, run, wool, new Map()));
}

/** What a run is packed from: as it was when it counted, else as it would be now. */
export function packedFrom(
  store: Store,
  run: Run,
  wool: Wool,
): { readonly input: RunInput; readonly toPack: ToPack } {
  const frozen = store.runs.frozen(run.id);
  return frozen
    ? {
        input: frozen.input,
        toPack: toPackOf(designsOf(store, frozen.input), frozen.input, thawWool(frozen)),
      }
    : { input: run, toPack: toPackOf(designsOf(store, run), run, wool) };
}

/** Runs ahead that still draw on the shelf, in the order in which they do. */
export const drawingAhead = (store: Store, today: string): Run[] =>
  inDrawingOrder(store.runs.ahead(today).filter(({ state }) => !isOffShelf(state)));

/** Findings and needles that a run takes off the shelf. */
export function thingsOf(store: Store, run: Run, wool: Wool): ThingPromises {
  const { input, toPack } = packedFrom(store, run, wool);
  return thingsTaken(toPack, input, { findings: wool.findings, needles: store.shelf.needles() });
}

/** What all runs from today on will take of each thing together. */
export function promisedAhead(store: Store, today: string): Promised[] {
  const wool = shelfOf(store);
  const needles = new Map(store.shelf.needles().map((needle) => [needle.id, needle]));
  const byItem = new Map<string, Promised['runs'][number][]>();
  const things = new Map<string, ThingPromise>();
  const add = (run: Run, itemId: string, amount: number) =>
    byItem.set(itemId, [
      ...(byItem.get(itemId) ?? []),
      { runId: run.id, name: run.name, date: run.date, amount },
    ]);
  for (const run of drawingAhead(store, today)) {
    for (const [fibreId, massG] of takingsOf(store, run, wool)) add(run, fibreId, massG);
    const taken = thingsOf(store, run, wool);
    for (const [itemId, { amount }] of taken) add(run, itemId, amount);
    addPromises(things, taken);
  }
  const shortOf = (itemId: string): number | null => {
    const thing = things.get(itemId);
    if (!thing) return null;
    const finding = wool.findings.get(itemId);
    if (finding)
      return stockOfFinding(finding, { total: thing.amount, pieces: thing.pieces }, NOTHING_BEFORE).short;
    const onHand = needles.get(itemId)?.onHand ?? null;
    return onHand === null ? null : Math.max(0, thing.amount - onHand);
  };
  return [...byItem].map(([itemId, runs]) => ({
    itemId,
    amount: runs.reduce((sum, { amount }) => sum + amount, 0),
    short: shortOf(itemId),
    runs,
  }));
}

const NOTHING_BEFORE: ThingPromise = { amount: 0, pieces: [] };
