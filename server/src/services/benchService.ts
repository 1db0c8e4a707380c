import type { Bench, BenchRun, NamedShort } from '@lanakit/core/api';
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
  toolsOfRun,
  uncountedOfPlan,
} from '@lanakit/core/run';
import { needleName } from '@lanakit/core/shelf';
import { nameOfShort } from '@lanakit/core/words';
import type { Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering } from './refusal.ts';
import { drawingOf, shortOfDrawing } from './runDrawing.ts';
import { warmPlans } from './warmPlans.ts';
import { designsOf, gearOf, planAfter, revisionOf, runsAhead, shelfOf } from './runSources.ts';

export type BenchService = ReturnType<typeof benchService>;

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export const benchService = ({ store, now }: ServiceDeps) =>
  answering({
    async today(): Promise<Bench> {
      const today = todayOf(now());
      await warmPlans(store, today);
      const drawn = planInOrder(runsAhead(store, today), (run, promisedG) =>
        planAfter(store, run, promisedG),
      );
      const shorts = shortInOrder(
        store,
        drawn.map(({ run }) => run),
      );
      const shortOf = new Map(shorts.map((short) => [short.id, short]));
      const { findings } = shelfOf(store);
      return {
        today,
        runs: drawn.map((drawnRun) => benchRun(store, drawnRun, shortOf.get(drawnRun.run.id))),
        short: [...shortOverall(drawn)].map(([fibreId, shortG]) => ({ fibreId, shortG })),
        shortThings: [...shortOverRuns(shorts).values()].map(({ thing, short, putUps }): NamedShort => ({
          ...nameOfShort(thing, findings),
          short,
          putUps,
        })),
        missingNeedles: missingNeedles(store),
        unfinished: unfinished(store),
      };
    },
  });

interface ShortRun extends ShortOfRun {
  readonly id: string;
  readonly isToolElsewhere: boolean;
}

/** What is short beside wool, run by run as they draw on the shelf: each finds what those before it have left. */
function shortInOrder(store: Store, runs: readonly Run[]): ShortRun[] {
  // What is packed has left the shelf already.
  const drawings = runs.filter(({ state }) => !isOffShelf(state)).map((run) => drawingOf(store, run));
  return drawings.map((drawing) => ({
    id: drawing.id,
    date: drawing.date,
    things: shortOfDrawing(store, drawing, drawings),
    isToolElsewhere: toolsOfRun(drawing.toPack, drawing.input, gearOf(store).tools, NO_PROMISES).some(
      isElsewhere,
    ),
  }));
}

function benchRun(store: Store, { run, plan }: DrawnRun<Run>, short: ShortRun | undefined): BenchRun {
  const { document, number } = revisionOf(store, run);
  const { findings } = shelfOf(store);
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
    things: (short?.things ?? []).map((thing) => nameOfShort(thing, findings)),
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
