import type { Bench, BenchRun, NamedShort } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import { missingForPublishing } from '@lanakit/core/pattern';
import {
  type DrawnRun,
  isElsewhere,
  isOffShelf,
  NO_PROMISES,
  planInOrder,
  type Run,
  shortOfPlan,
  type ShortOfRun,
  shortOverall,
  shortOverRuns,
  type ThingShort,
  toolsOfRun,
  uncountedOfPlan,
} from '@lanakit/core/run';
import { needleName } from '@lanakit/core/shelf';
import { needName, wantedName } from '@lanakit/core/words';
import type { Store } from '../db/index.ts';
import type { Route } from '../http/route.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import { shortOfDrawing } from '../promisedAhead.ts';
import { drawingOf } from '../thingsBook.ts';
import { designsOf, planRun, revisionOf, shelfOf } from './takings.ts';

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export function benchRoutes({ store, now }: RouteDeps): Route[] {
  const bench = (): Bench => {
    const today = todayOf(now());
    const shelf = shelfOf(store);
    const drawn = planInOrder(store.runs.ahead(today), (run, promisedG) =>
      planRun(store, run, shelf, promisedG),
    );
    const shorts = shortInOrder(
      store,
      drawn.map(({ run }) => run),
      shelf,
    );
    const shortOf = new Map(shorts.map((own) => [own.id, own]));
    return {
      today,
      runs: drawn.map((one) => benchRun(store, one, shelf, shortOf.get(one.run.id))),
      short: [...shortOverall(drawn)].map(([fibreId, shortG]) => ({ fibreId, shortG })),
      shortThings: [...shortOverRuns(shorts).values()].map(({ thing, short, putUps }) => ({
        ...named(thing, shelf),
        short,
        putUps,
      })),
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

interface ShortRun extends ShortOfRun {
  readonly id: string;
  readonly isToolElsewhere: boolean;
}

/** What is short beside wool, run by run as they draw on the shelf: each finds what those before it have left. */
function shortInOrder(store: Store, runs: readonly Run[], wool: Wool): ShortRun[] {
  // What is packed has left the shelf already.
  const drawings = runs.filter(({ state }) => !isOffShelf(state)).map((run) => drawingOf(store, run, wool));
  return drawings.map((own) => ({
    id: own.id,
    date: own.date,
    things: shortOfDrawing(store, own, drawings, wool),
    isToolElsewhere: toolsOfRun(own.toPack, own.input, store.shelf.tools(), NO_PROMISES).some(isElsewhere),
  }));
}

function named(thing: ThingShort, wool: Wool): NamedShort {
  const { unit, short } = thing;
  switch (thing.kind) {
    case 'finding': {
      const name = wool.findings.get(thing.findingId)?.name ?? 'a finding no longer on the shelf';
      return { itemId: thing.findingId, name, unit, short, putUps: thing.putUps };
    }
    case 'needle': {
      const { needle, wanted } = thing;
      const name = `${needle ? needleName(needle) : wantedName(wanted)} needles`;
      return { itemId: needle?.id ?? null, name, unit, short, putUps: null };
    }
    case 'holder':
      return { itemId: thing.tool.id, name: thing.tool.name, unit, short, putUps: null };
    case 'tool':
      return {
        itemId: thing.tool.tools[0]?.id ?? null,
        name: needName(thing.tool),
        unit,
        short,
        putUps: null,
      };
  }
}

function benchRun(
  store: Store,
  { run, plan }: DrawnRun<Run>,
  shelf: Wool,
  short: ShortRun | undefined,
): BenchRun {
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
    things: (short?.things ?? []).map((thing) => named(thing, shelf)),
    isToolElsewhere: short?.isToolElsewhere ?? false,
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
