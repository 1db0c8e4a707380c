import type { Wool } from '@lanakit/core/engine';
import { trayOf } from '@lanakit/core/needles';
import {
  allMarks,
  differenceOf,
  freezeRun,
  type Frozen,
  inDrawingOrder,
  isOffShelf,
  NO_PROMISES,
  type Pack,
  packedMark,
  packsOf,
  promisedBefore,
  restocked,
  type Run,
  type RunFacts,
  type RunInput,
  type RunPortions,
  shortOfPlan,
  takingsOfPlan,
  thawPlan,
  thawWool,
  type ThingPromises,
  type ThingShort,
  thingsPromisedBefore,
  thingsShort,
  thingsTaken,
  type ToPack,
  toPackOf,
  uncountedOfPlan,
  undecidedSeats,
  weighedOf,
  weighings,
} from '@lanakit/core/run';
import { takeFromLots, toMilli } from '@lanakit/core/shelf';
import type { Store } from './db/index.ts';
import type { RunTaking } from './db/runs.ts';
import { designsOf, drawingAhead, livePlan, shelfOf, stockIn, takingsOf } from './routes/takings.ts';
import { kitOfRun } from './routes/trays.ts';
import { drawingOf } from './thingsBook.ts';

/** A run as it is packed: as it was frozen, or, while it is only planned, as it would be now. */
export interface RunInForce {
  readonly run: Run;
  readonly input: RunInput;
  readonly wool: Wool;
  readonly toPack: ToPack;
  readonly plan: RunPortions;
  readonly packs: readonly Pack[];
  readonly frozen: Frozen | null;
  /** What runs before it leave it without, of findings, needles and tools. */
  readonly promised: ThingPromises;
}

/** Findings, needles and tools that runs before this one leave it without. */
export function thingsPromisedTo(store: Store, run: Run, today: string, wool: Wool): ThingPromises {
  // It has what it takes.
  if (isOffShelf(run.state)) return NO_PROMISES;
  const ahead = inDrawingOrder([run, ...drawingAhead(store, today).filter(({ id }) => id !== run.id)]);
  const before = ahead.slice(
    0,
    ahead.findIndex(({ id }) => id === run.id),
  );
  return thingsPromisedBefore(
    run,
    before.map((own) => drawingOf(store, own, wool)),
  );
}

/** Grams that runs before this one will take. */
export function promisedTo(store: Store, run: Run, today: string, wool: Wool): Map<string, number> {
  const withTakings = store.runs
    .ahead(today)
    .map((one) => ({ ...one, takings: takingsOf(store, one, wool) }));
  return promisedBefore(run.id, withTakings, today);
}

/** While nothing is written it is the same for whoever asks. */
export const runInForce = (store: Store, run: Run, today: string): RunInForce =>
  store.remember(`in force, ${run.id}, ${today}`, () => inForceNow(store, run, today));

function inForceNow(store: Store, run: Run, today: string): RunInForce {
  const shelf = shelfOf(store);
  const promised = promisedTo(store, run, today, shelf);
  const promisedThings = thingsPromisedTo(store, run, today, shelf);
  const frozen = store.runs.frozen(run.id);
  if (!frozen) {
    const { toPack, plan } = livePlan(store, run, shelf, promised);
    const packs = packsOf(toPack.groups, run.roster);
    return { run, input: run, wool: shelf, toPack, plan, packs, frozen, promised: promisedThings };
  }
  const wool = thawWool(frozen);
  const toPack = toPackOf(designsOf(store, frozen.input), frozen.input, wool);
  return {
    run,
    input: frozen.input,
    wool,
    toPack,
    plan: restocked(thawPlan(frozen), stockIn(shelf, promised)),
    packs: packsOf(toPack.groups, frozen.input.roster),
    frozen,
    promised: promisedThings,
  };
}

/** Writes down what a run comes to now. */
export function freezeNow(store: Store, run: Run, today: string, at: string): Frozen {
  const wool = shelfOf(store);
  const { id: _id, version: _version, state: _state, ...input } = run;
  const { plan } = livePlan(store, run, wool, promisedTo(store, run, today, wool));
  return freezeRun(at, input, designsOf(store, run), wool, plan);
}

/** How things stand with a run, for what it may be called next. */
export function factsOf(store: Store, run: Run, today: string): RunFacts {
  const inForce = runInForce(store, run, today);
  const { input, plan, packs } = inForce;
  const ticks = new Map(store.runs.ticks(run.id).map((tick) => [tick.mark, tick]));
  const marks = allMarks(weighings(plan, packs, inForce.wool.fibres, input.scaleStepG));
  const tray = trayOf(store.trays.taps(run.id));
  return {
    undecided: undecidedOf(store, run),
    short: shortOfPlan(plan).length + shortThings(store, inForce).length,
    uncounted: uncountedOfPlan(plan).length,
    unknown: plan.unknownCount,
    unweighed: marks.length - weighedOf(marks, ticks).right,
    unpacked: packs.filter(({ id }) => ticks.get(packedMark(id))?.isDone !== true).length,
    needlesOut: tray.reduce((sum, { stillOut, missing }) => sum + stillOut + missing, 0),
    different: inForce.frozen ? differentPacks(store, inForce, today) : 0,
  };
}

/** Findings, packaging, needles and tools that are short for a run, or that nobody has counted. */
const shortThings = (
  store: Store,
  { run, input, toPack, promised }: Pick<RunInForce, 'run' | 'input' | 'toPack' | 'promised'>,
): ThingShort[] =>
  thingsShort(toPack, input, {
    findings: shelfOf(store).findings,
    needles: store.shelf.needles(),
    tools: store.shelf.tools(),
    kit: input.kind === 'class' ? kitOfRun(store, run) : null,
    promised,
  });

function undecidedOf(store: Store, run: Run): number {
  if (run.kind === 'kits' || run.undecidedChance !== null) return 0;
  const pattern = designsOf(store, run).get(run.revisionId);
  return pattern ? undecidedSeats(pattern, run) : 0;
}

/** Packs that would be other now; the shelf alone changes no pack once it is only less. */
function differentPacks(store: Store, { run, plan, toPack, input }: RunInForce, today: string): number {
  const wool = shelfOf(store);
  const now = livePlan(store, run, wool, promisedTo(store, run, today, wool));
  const was = { plan, groups: toPack.groups, input };
  return differenceOf(was, { plan: now.plan, groups: now.toPack.groups, input: run }).packs.length;
}

/** What is taken off the shelf when a run is packed, and written down so that it can come back. */
export function takeOffShelf(store: Store, run: Run, today: string, at: string): void {
  const { plan, toPack, input } = runInForce(store, run, today);
  const shelf = shelfOf(store);
  const needles = store.shelf.needles();
  const tools = store.shelf.tools();
  const pieces = new Map([...needles, ...tools].map((item) => [item.id, item]));
  const takings: RunTaking[] = [
    ...[...takingsOfPlan(plan)].flatMap(([fibreId, massG]) =>
      ofLots(fibreId, shelf.fibres.get(fibreId)?.lots ?? [], massG),
    ),
    ...[...thingsTaken(toPack, input, { findings: shelf.findings, needles, tools })].flatMap(
      ([itemId, { amount }]) => {
        const onHand = shelf.findings.get(itemId)?.onHand ?? pieces.get(itemId)?.onHand ?? null;
        return onHand === null || amount <= 0
          ? []
          : [{ itemId, lotId: null, amountMilli: toMilli(Math.min(amount, onHand)) }];
      },
    ),
  ].filter(({ amountMilli }) => amountMilli > 0);
  for (const taking of takings) {
    store.runs.take(run.id, taking);
    const { itemId, lotId, amountMilli } = taking;
    store.stock.enter({ itemId, lotId, amountMilli: -amountMilli, reason: 'packed', note: noteOf(run), at });
  }
}

/** So much from its lots, oldest first; where they have not that much, all they have. */
function ofLots(
  itemId: string,
  lots: readonly { readonly id: string; readonly onHandG: number | null }[],
  massG: number,
): RunTaking[] {
  const thereIsG = lots.reduce((sum, { onHandG }) => sum + Math.max(0, onHandG ?? 0), 0);
  return (takeFromLots(lots, Math.min(massG, thereIsG)) ?? []).map((taking) => ({
    itemId,
    lotId: taking.lotId,
    amountMilli: toMilli(taking.massG),
  }));
}

/** Brings back just what packing took. */
export function bringBackToShelf(store: Store, run: Run, at: string): void {
  for (const { itemId, lotId, amountMilli } of store.runs.takings(run.id)) {
    store.stock.enter({ itemId, lotId, amountMilli, reason: 'returned', note: noteOf(run), at });
  }
  store.runs.forgetTakings(run.id);
}

const noteOf = ({ name }: Run): string => name.slice(0, 200);
