import {
  addPromises,
  isOffShelf,
  missingForPublishing,
  needleName,
  planInOrder,
  shortOfPlan,
  shortOverall,
  thingsTaken,
  uncountedOfPlan,
  type Bench,
  type BenchRun,
  type DrawnRun,
  type NamedShort,
  type Run,
  type ThingPromise,
  type ThingShort,
  type Wool,
} from '@lanakit/core';
import type { Store } from '../db/index.ts';
import type { Route } from '../http/route.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import { wantedName } from '@lanakit/core/words';
import { shortThings } from '../runBook.ts';
import { designsOf, packedFrom, planRun, revisionOf, shelfOf } from './takings.ts';

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export function benchRoutes({ store, now }: RouteDeps): Route[] {
  const bench = (): Bench => {
    const today = todayOf(now());
    const shelf = shelfOf(store);
    const drawn = planInOrder(store.runs.ahead(today), (run, promisedG) =>
      planRun(store, run, shelf, promisedG),
    );
    const things = thingsInOrder(
      store,
      drawn.map(({ run }) => run),
      shelf,
    );
    return {
      today,
      runs: drawn.map((one) => benchRun(store, one, things.get(one.run.id) ?? [])),
      short: [...shortOverall(drawn)].map(([fibreId, shortG]) => ({ fibreId, shortG })),
      shortThings: summed([...things.values()].flat()),
      missingNeedles: missingNeedles(store),
      unfinished: unfinished(store),
    };
  };
  return [
    {
      method: 'get',
      path: '/bench',
      summary: 'Runs ahead with what is short; patterns with what is unknown',
      answers: [200],
      handle: () => ({ status: 200, body: bench() }),
    },
  ];
}

/** What is short beside wool, run by run as they draw on the shelf: each finds what those before it have left. */
function thingsInOrder(store: Store, runs: readonly Run[], wool: Wool): Map<string, NamedShort[]> {
  const promised = new Map<string, ThingPromise>();
  const needles = store.shelf.needles();
  return new Map(
    runs.map((run) => {
      // What is packed has left the shelf already.
      if (isOffShelf(run.state)) return [run.id, []];
      const { input, toPack } = packedFrom(store, run, wool);
      const short = shortThings(store, { run, input, toPack, promised: new Map(promised) });
      addPromises(promised, thingsTaken(toPack, input, { findings: wool.findings, needles }));
      return [run.id, short.map((thing) => named(thing, wool))];
    }),
  );
}

function named(thing: ThingShort, wool: Wool): NamedShort {
  const { unit, short } = thing;
  if (thing.kind === 'finding') {
    const name = wool.findings.get(thing.findingId)?.name ?? 'a finding no longer on the shelf';
    return { itemId: thing.findingId, name, unit, short, putUps: thing.putUps };
  }
  const { needle, wanted } = thing;
  const name = `${needle ? needleName(needle) : wantedName(wanted)} needles`;
  return { itemId: needle?.id ?? null, name, unit, short, putUps: null };
}

/** The same thing of several runs once; what nobody has counted stays uncounted. */
function summed(all: readonly NamedShort[]): NamedShort[] {
  const byName = new Map<string, NamedShort>();
  for (const own of all) {
    const before = byName.get(own.name);
    const sum = (a: number | null, b: number | null) => (a === null || b === null ? null : a + b);
    byName.set(
      own.name,
      before ? { ...own, short: sum(before.short, own.short), putUps: sum(before.putUps, own.putUps) } : own,
    );
  }
  return [...byName.values()];
}

function benchRun(store: Store, { run, plan }: DrawnRun<Run>, things: readonly NamedShort[]): BenchRun {
  const { document, number } = revisionOf(store, run);
  return {
    run,
    document,
    revisionNumber: number,
    titles: [...designsOf(store, run).values()].map(({ title }) => title),
    packs: plan.packs,
    classG: plan.classG,
    unknownCount: plan.unknownCount,
    short: shortOfPlan(plan),
    uncounted: uncountedOfPlan(plan),
    things,
  };
}

function missingNeedles(store: Store): Bench['missingNeedles'] {
  return store.trays.missing().flatMap((row) => {
    const needle = store.shelf.needle(row.needleId);
    return needle ? [{ ...row, needleName: needleName(needle) }] : [];
  });
}

function unfinished(store: Store): Bench['unfinished'] {
  return store.patterns.all().flatMap(({ id, document }) => {
    const missing = missingForPublishing(document);
    return missing.length === 0 ? [] : [{ id, title: document.title, missing, document }];
  });
}
