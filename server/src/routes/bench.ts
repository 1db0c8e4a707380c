import { missingForPublishing } from '@lanakit/core';
import type { Route } from '../http/route.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import { planRun, revisionOf, shelfOf } from './takings.ts';

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export function benchRoutes({ store, now }: RouteDeps): Route[] {
  const runsAhead = (today: string) => {
    const shelf = shelfOf(store);
    const promised = new Map<string, number>();
    return store.runs.ahead(today).map((run) => {
      const { document, number } = revisionOf(store, run);
      const plan = planRun(store, run, shelf, promised);
      // In drawing order, so each run finds what the ones before it have left.
      for (const { fibreId, classG } of plan.fibres)
        promised.set(fibreId, (promised.get(fibreId) ?? 0) + classG);
      return {
        run,
        document,
        revisionNumber: number,
        packs: plan.packs,
        classG: plan.classG,
        unknownCount: plan.unknownCount,
        short: plan.fibres.flatMap(({ fibreId, shortG, classG }) =>
          shortG !== null && shortG > 0 ? [{ fibreId, shortG, classG }] : [],
        ),
        uncounted: plan.fibres.filter(({ shortG }) => shortG === null).map(({ fibreId }) => fibreId),
      };
    });
  };
  const unfinished = () =>
    store.patterns.all().flatMap(({ id, document, revision }) => {
      const missing = missingForPublishing(document);
      return missing.length === 0 ? [] : [{ id, title: document.title, revision, missing, document }];
    });

  return [
    {
      method: 'get',
      path: '/bench',
      summary: 'Runs ahead with what is short; patterns with what is unknown',
      answers: [200],
      handle: () => {
        const today = todayOf(now());
        return { status: 200, body: { today, runs: runsAhead(today), unfinished: unfinished() } };
      },
    },
  ];
}
