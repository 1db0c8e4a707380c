import type {
  Bench,
  BenchRun,
  NamedShort,
  ShortWool,
  StoredPattern,
  UnfinishedPattern,
} from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import { figureLook } from '@lanakit/core/figure';
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
import { unknownOneByOne, unlessDamaged } from './oneByOne.ts';
import { drawingOf, shortInOrder } from './runDrawing.ts';
import { benchDeeds } from './benchDeeds.ts';
import { benchBuying } from './benchBuying.ts';
import { warmPlans } from './warmPlans.ts';
import { figureOfPattern } from './patternLine.ts';
import { designsOf, gearOf, planAfter, revisionOf, runsAhead, shelfOf, woolStamp } from './runSources.ts';

export type BenchService = ReturnType<typeof benchService>;

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export const benchService = ({ store, now }: ServiceDeps) =>
  answering({
    /** The same again as long as nothing is written. */
    async today(): Promise<Bench> {
      const today = todayOf(now());
      await warmPlans(store, today);
      const bench = store.remember(
        ['things', 'ledger', 'patterns', 'runs', 'needles'],
        `bench of ${today}`,
        () => benchOf(store, today),
      );
      const things = new Map(bench.runs.map((each) => [each.run.id, each.things.length]));
      // Ticks are not among what is remembered.
      return {
        ...bench,
        buying: benchBuying(store, today),
        deeds: unlessDamaged(
          () => benchDeeds(store, today, things),
          () => [],
        ),
      };
    },
  });

function benchOf(store: Store, today: string): Omit<Bench, 'buying' | 'deeds'> {
  const drawn = planInOrder(runsAhead(store, today), (run, promisedG) => planAfter(store, run, promisedG));
  const shorts = shortRuns(
    store,
    drawn.map(({ run }) => run),
  );
  const shortOf = new Map(shorts.map((short) => [short.id, short]));
  const wool = shelfOf(store);
  return {
    today,
    // All of them draw on the shelf; only the next are shown.
    runs: drawn
      .slice(0, MOST_RUNS)
      .map((drawnRun) => benchRun(store, drawnRun, shortOf.get(drawnRun.run.id))),
    runsAhead: drawn.length,
    short: [...shortOverall(drawn)].flatMap(([fibreId, shortG]) => shortWool(wool, fibreId, shortG)),
    shortThings: [...shortOverRuns(shorts).values()].map(({ thing, short, putUps }): NamedShort => ({
      ...nameOfShort(thing, wool.findings),
      short,
      putUps,
    })),
    missingNeedles: missingNeedles(store),
    unfinished: unfinished(store),
    isShelfEmpty: unlessDamaged(
      () => store.lists.isShelfEmpty(),
      () => store.shelf.fibres().length === 0,
    ),
  };
}

/** So many stand on a bench; the list of runs has all. */
const MOST_RUNS = 30;
const MOST_UNFINISHED = 6;
/** Things unknown of one pattern that are told. */
const MOST_MISSING = 4;

interface ShortRun extends ShortOfRun {
  readonly id: string;
  readonly isToolElsewhere: boolean;
}

/** What is short beside wool, run by run as they draw on the shelf: each finds what those before it have left. */
function shortRuns(store: Store, runs: readonly Run[]): ShortRun[] {
  // What is packed has left the shelf already.
  const drawings = runs.filter(({ state }) => !isOffShelf(state)).map((run) => drawingOf(store, run));
  const things = shortInOrder(store, drawings);
  return drawings.map((drawing, at) => ({
    id: drawing.id,
    date: drawing.date,
    things: things[at] ?? [],
    isToolElsewhere: toolsOfRun(drawing.toPack, drawing.input, gearOf(store).tools, NO_PROMISES).some(
      isElsewhere,
    ),
  }));
}

function shortWool({ fibres }: Wool, fibreId: string, shortG: number): ShortWool[] {
  const fibre = fibres.get(fibreId);
  if (!fibre) return [];
  const { name, colour, preparation } = fibre;
  return [{ fibreId, name, colour, preparation, shortG }];
}

/** What the shelf no longer knows is still short. */
const nameIn = ({ fibres }: Wool, fibreId: string): string => fibres.get(fibreId)?.name ?? 'a fibre';

function benchRun(store: Store, { run, plan }: DrawnRun<Run>, short: ShortRun | undefined): BenchRun {
  const { document, number } = revisionOf(store, run);
  const wool = shelfOf(store);
  const { id, kind, name, date, state, seats, sparePacks, spareFraction, demonstrations, scaleStepG } = run;
  const { revisionId } = run;
  return {
    run: { id, kind, name, date, state, seats, sparePacks, spareFraction, demonstrations, scaleStepG },
    figure: store.rememberAs(`figure of run ${id}`, `${revisionId} ${woolStamp(store, run)}`, () =>
      figureLook(document, wool),
    ),
    revisionNumber: number,
    titles: [...designsOf(store, run).values()].map(({ title }) => title),
    packs: plan.packs,
    classG: plan.classG,
    unknownCount: plan.unknownCount,
    short: shortOfPlan(plan).map((row) => ({ ...row, name: nameIn(wool, row.fibreId) })),
    uncounted: uncountedOfPlan(plan).map((fibreId) => ({ fibreId, name: nameIn(wool, fibreId) })),
    things: (short?.things ?? []).map((thing) => nameOfShort(thing, wool.findings)),
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
  const { total, items } = unlessDamaged(
    () => store.lists.unknown(MOST_UNFINISHED),
    () => unknownOneByOne(store, MOST_UNFINISHED),
  );
  const wool = shelfOf(store);
  return {
    total,
    items: store.patterns.byIds(items).map((pattern) => unfinishedPattern(store, pattern, wool)),
  };
}

function unfinishedPattern(store: Store, pattern: StoredPattern, wool: Wool): UnfinishedPattern {
  const { id, document } = pattern;
  const missing = missingForPublishing(document);
  return {
    id,
    title: document.title,
    figure: figureOfPattern(store, pattern, wool),
    missing: missing.slice(0, MOST_MISSING).map((problem) => ({
      problem,
      partName: document.parts[Number(/^\/parts\/(\d+)/.exec(problem.pointer)?.[1] ?? NaN)]?.name ?? null,
    })),
    missingCount: missing.length,
  };
}
