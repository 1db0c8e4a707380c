import {
  missingForPublishing,
  needleName,
  planInOrder,
  shortOfPlan,
  shortOverall,
  uncountedOfPlan,
  type Bench,
  type BenchRun,
  type DrawnRun,
  type Run,
} from '@lanakit/core';
import type { Store } from '../db/index.ts';
import type { Route } from '../http/route.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import { designsOf, planRun, revisionOf, shelfOf } from './takings.ts';

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export function benchRoutes({ store, now }: RouteDeps): Route[] {
  const bench = (): Bench => {
    const today = todayOf(now());
    const shelf = shelfOf(store);
    const drawn = planInOrder(store.runs.ahead(today), (run, promisedG) =>
      planRun(store, run, shelf, promisedG),
    );
    return {
      today,
      runs: drawn.map((one) => benchRun(store, one)),
      short: [...shortOverall(drawn)].map(([fibreId, shortG]) => ({ fibreId, shortG })),
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

function benchRun(store: Store, { run, plan }: DrawnRun<Run>): BenchRun {
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
