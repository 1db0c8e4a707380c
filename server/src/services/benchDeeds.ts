import type { BenchDeeds } from '@lanakit/core/api';
import {
  deedsOf,
  lastDayOf,
  leftToDo,
  type Run,
  shortOfPlan,
  uncountedOfPlan,
  type WorkPace,
} from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { paceOfMaker } from './paceOfMaker.ts';
import { inForceOf } from './runInForce.ts';
import { runsAhead } from './runSources.ts';

/** More than that are not for today. */
const MOST_RUNS = 3;

/** What to do today toward each of the next runs, with the minutes of the maker’s own past. @param things of each run that are short, by its id */
export function benchDeeds(store: Store, today: string, things: ReadonlyMap<string, number>): BenchDeeds[] {
  const pace = paceOfMaker(store);
  return runsToDo(store, today).flatMap((run): BenchDeeds[] => {
    const deeds = deedsToward(store, run, things.get(run.id) ?? 0, pace, today);
    return deeds.length === 0 ? [] : [{ runId: run.id, runName: run.name, date: run.date, deeds }];
  });
}

/** The next ones, and those that are over and not closed. */
const runsToDo = (store: Store, today: string): Run[] => {
  const ahead = runsAhead(store, today);
  const known = new Set(ahead.map(({ id }) => id));
  const open = store.runs.all().filter(({ id, state }) => state === 'packed' && !known.has(id));
  return [...open.slice(-2), ...ahead.slice(0, MOST_RUNS)];
};

function deedsToward(store: Store, run: Run, things: number, pace: WorkPace, today: string) {
  const { packed } = inForceOf(store, run, today);
  const { plan } = packed;
  const ticks = new Map(store.runs.ticks(run.id).map((tick) => [tick.mark, tick]));
  return deedsOf(
    {
      state: run.state,
      kind: run.kind,
      date: run.date,
      lastDay: lastDayOf(run),
      short: shortOfPlan(plan).length + things,
      uncounted: uncountedOfPlan(plan).length,
      ...leftToDo(packed, ticks),
    },
    pace,
    today,
  );
}
