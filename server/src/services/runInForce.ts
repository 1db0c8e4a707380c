import { sharpsNow } from '@lanakit/core/classDay';
import { trayOf, trayTotals } from '@lanakit/core/needles';
import {
  closedWithout,
  differenceFrom,
  freezeRun,
  leftToDo,
  type Frozen,
  type Pack,
  type PackedRun,
  packLines,
  planOfToday,
  restocked,
  type Run,
  type RunFacts,
  shortOfPlan,
  stockIn,
  type ThingPromises,
  type ThingShort,
  thingsShort,
  uncountedOfPlan,
  undecidedSeats,
  weighings,
} from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { promisedTo, thingsPromisedTo } from './promisedAhead.ts';
import { kitOfRun } from './runDrawing.ts';
import { designsOf, gearOf, packedAlone, shelfOf, sourcesOf } from './runSources.ts';

/** What is in force of a run, after the runs before it. */
export interface InForceAfter {
  readonly packed: PackedRun;
  readonly frozen: Frozen | null;
  /** What runs before it leave it without, of findings, needles and tools. */
  readonly promised: ThingPromises;
}

/** All that bears on a run: the shelf, what is published, the runs before it and their needles. */
const IN_FORCE_BY = ['things', 'ledger', 'patterns', 'runs', 'needles', 'logbook'] as const;

/** While nothing of that is written it is the same for whoever asks. The shelf itself is not kept with it. */
export function inForceOf(store: Store, run: Run, today: string): InForceAfter {
  const packed = packedAlone(store, run);
  const { plan, frozen, promised } = store.remember(IN_FORCE_BY, `in force, ${run.id}, ${today}`, () => {
    const stock = stockIn({ shelf: shelfOf(store), promisedG: promisedTo(store, run, today) });
    return {
      plan: restocked(packed.plan, stock),
      frozen: store.runs.frozen(run.id),
      promised: thingsPromisedTo(store, run, today),
    };
  });
  return { packed: { ...packed, plan }, frozen, promised };
}

/** What a run comes to today, after the runs before it. */
const planToday = (store: Store, run: Run, today: string): PackedRun =>
  planOfToday(run, sourcesOf(store, run, promisedTo(store, run, today)));

/** Writes down what a run comes to now. */
export function freezeNow(store: Store, run: Run, today: string, at: string): Frozen {
  const { id: _id, version: _version, state: _state, ...input } = run;
  const { plan } = planToday(store, run, today);
  return freezeRun(at, input, designsOf(store, run), shelfOf(store), plan);
}

/** How things stand with a run, for what it may be called next. */
export function factsOf(store: Store, run: Run, today: string): RunFacts {
  const inForce = inForceOf(store, run, today);
  const { input, plan, packs, wool } = inForce.packed;
  const ticks = new Map(store.runs.ticks(run.id).map((tick) => [tick.mark, tick]));
  const all = weighings(plan, packs, wool.fibres, input.scaleStepG);
  const linesOf = (pack: Pack) => packLines(inForce.packed, pack, gearOf(store).needles, all, ticks);
  const tray = trayOf(store.trays.taps(run.id));
  const sharps = sharpsNow({ sharps: [] }, store.classEvents.of(run.id));
  return {
    undecided: undecidedOf(store, run),
    short: shortOfPlan(plan).length + shortThings(store, run, inForce).length,
    uncounted: uncountedOfPlan(plan).length,
    unknown: plan.unknownCount,
    ...leftToDo(inForce.packed, ticks),
    leftOut: closedWithout(packs, linesOf, ticks).length,
    needlesOut: trayTotals(tray).open,
    sharpsOut: sharps.stillOut,
    stillHot: sharps.stillHot,
    openTips: sharps.openTips,
    // The shelf alone changes no pack once it is only less.
    different: inForce.frozen ? differenceFrom(inForce.packed, planToday(store, run, today)).packs.length : 0,
  };
}

/** Findings, packaging, needles and tools that are short for a run, or that nobody has counted. */
const shortThings = (
  store: Store,
  run: Run,
  { packed: { input, toPack }, promised }: InForceAfter,
): ThingShort[] =>
  thingsShort(toPack, input, {
    findings: shelfOf(store).findings,
    ...gearOf(store),
    kit: input.kind === 'class' ? kitOfRun(store, run) : null,
    promised,
  });

function undecidedOf(store: Store, run: Run): number {
  if (run.kind === 'kits' || run.undecidedChance !== null) return 0;
  return undecidedSeats(designsOf(store, run), run);
}
