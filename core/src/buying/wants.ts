import {
  type FindingTaken,
  keyOfShort,
  type RunPortions,
  shortOfPlan,
  type ThingPromises,
  type ThingShort,
  uncountedOfPlan,
} from '../run/index.ts';
import { type StockUnit, wantedKey } from '../shelf/index.ts';

/** What a run wants something for. */
const WANT_USES = ['packs', 'loss', 'spare', 'packaging', 'lent', 'blend'] as const;
export type WantUse = (typeof WANT_USES)[number];

interface WantedFor {
  readonly use: WantUse;
  /** In the thing’s unit. */
  readonly amount: number;
  /** The blend it goes into. */
  readonly blendId: string | null;
}

/** What one run wants of a thing, after all runs that draw before it. */
interface WantOfRun {
  readonly runId: string;
  readonly uses: readonly WantedFor[];
  readonly wanted: number;
  /** Null: nobody can tell. */
  readonly short: number | null;
}

export interface Want {
  /** The thing’s id; of a sort of needle that is not on the shelf what sort it is. */
  readonly key: string;
  /** Null: not on the shelf. */
  readonly itemId: string | null;
  readonly unit: StockUnit;
  /** Comes back when the day is over: runs on other days want it anew, and it is bought once. */
  readonly isLent: boolean;
  /** As the runs draw on the shelf. */
  readonly runs: readonly WantOfRun[];
}

/** A run with all it draws, as it finds the shelf after those before it. */
export interface RunDrawn {
  readonly id: string;
  readonly date: string;
  readonly plan: RunPortions;
  readonly findings: readonly FindingTaken[];
  /** Findings, needles that are given away and tools that are used up. */
  readonly taken: ThingPromises;
  readonly lent: ThingPromises;
  readonly things: readonly ThingShort[];
}

export interface WantSources {
  /** Grams on hand by fibre or blend; null or missing: never counted. */
  readonly onHandG: ReadonlyMap<string, number | null>;
  /** Fibres of each blend by fraction. */
  readonly recipes: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly unitOf: (itemId: string) => StockUnit;
}

/** Everything runs want, by thing and by run. @param runs as they draw on the shelf, those that have left it not among them */
export function wantsOfRuns(runs: readonly RunDrawn[], sources: WantSources): Want[] {
  const wants = new Map<string, { want: Omit<Want, 'runs'>; runs: Map<string, MutableWant> }>();
  const add = (
    thing: Omit<Want, 'runs'>,
    runId: string,
    uses: readonly WantedFor[],
    short: number | null,
  ) => {
    // What is lent comes back, and what is given away of the same does not: two wants of one thing.
    const want = thing.isLent ? { ...thing, key: `${thing.key} lent` } : thing;
    const line = wants.get(want.key) ?? { want, runs: new Map<string, MutableWant>() };
    wants.set(want.key, line);
    const before = line.runs.get(runId) ?? { uses: [], short: 0 };
    line.runs.set(runId, { uses: [...before.uses, ...uses], short: sum(before.short, short) });
  };
  const blendWants = leftForBlends(runs, sources);
  for (const run of runs) {
    for (const { itemId, uses, short } of [...fibresOf(run), ...blendWants(run)])
      add({ key: itemId, itemId, unit: 'g', isLent: false }, run.id, uses, short);
    for (const { key, itemId, uses, short, isLent } of thingsOf(run)) {
      const unit = itemId === null ? 'piece' : sources.unitOf(itemId);
      add({ key, itemId, unit, isLent }, run.id, uses, short);
    }
  }
  return [...wants.values()].map(({ want, runs: byRun }) => ({
    ...want,
    runs: [...byRun].map(([runId, { uses, short }]) => ({
      runId,
      uses,
      wanted: uses.reduce((total, { amount }) => total + amount, 0),
      short,
    })),
  }));
}

interface MutableWant {
  readonly uses: readonly WantedFor[];
  readonly short: number | null;
}

const sum = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a + b);

interface Wanting {
  readonly itemId: string;
  readonly uses: readonly WantedFor[];
  readonly short: number | null;
}

const forUse = (use: WantUse, amount: number, blendId: string | null = null): WantedFor[] =>
  amount > 0 ? [{ use, amount, blendId }] : [];

/** Wool as it is weighed out, blends among it, with what weighing loses. */
function fibresOf({ plan }: RunDrawn): Wanting[] {
  const short = new Map(shortOfPlan(plan).map(({ fibreId, shortG }) => [fibreId, shortG]));
  const uncounted = new Set(uncountedOfPlan(plan));
  const ids = [...new Set(plan.fibres.map(({ fibreId }) => fibreId))];
  return ids.map((itemId) => {
    const rows = plan.fibres.filter(({ fibreId }) => fibreId === itemId);
    const packsG = rows.reduce((total, { classG }) => total + classG, 0);
    const lossG = rows.reduce((total, row) => total + row.lossG, 0);
    return {
      itemId,
      uses: [...forUse('packs', packsG), ...forUse('loss', lossG)],
      short: uncounted.has(itemId) ? null : (short.get(itemId) ?? 0),
    };
  });
}

/**
 * Fibres for blends that are not blended yet. They come out of what no run takes as it is, and the first run to want them has
 * them first. Of a blend that was never counted none is there.
 */
function leftForBlends(runs: readonly RunDrawn[], { onHandG, recipes }: WantSources) {
  const leftG = new Map<string, number | null>();
  for (const { plan } of runs)
    for (const { fibreId, classG, lossG } of plan.fibres) {
      const before = leftG.has(fibreId) ? leftG.get(fibreId) : (onHandG.get(fibreId) ?? null);
      leftG.set(fibreId, before == null ? null : Math.max(0, before - classG - lossG));
    }
  return ({ plan }: RunDrawn): Wanting[] => {
    const short = new Map(shortOfPlan(plan).map(({ fibreId, shortG }) => [fibreId, shortG]));
    for (const id of uncountedOfPlan(plan)) {
      const rows = plan.fibres.filter(({ fibreId }) => fibreId === id);
      short.set(
        id,
        rows.reduce((total, { classG, lossG }) => total + classG + lossG, 0),
      );
    }
    return [...short].flatMap(([blendId, massG]) =>
      [...(recipes.get(blendId) ?? [])].map(([itemId, fraction]): Wanting => {
        const wantedG = massG * fraction;
        const left = leftG.has(itemId) ? leftG.get(itemId) : (onHandG.get(itemId) ?? null);
        if (left != null) leftG.set(itemId, Math.max(0, left - wantedG));
        return {
          itemId,
          uses: forUse('blend', wantedG, blendId),
          short: left == null ? null : Math.max(0, wantedG - left),
        };
      }),
    );
  };
}

interface WantingThing extends Omit<Wanting, 'itemId'> {
  readonly key: string;
  readonly itemId: string | null;
  readonly isLent: boolean;
}

/** Findings, needles and tools: what is taken, what is lent for the day, and sorts that the shelf does not have. */
function thingsOf({ findings, taken, lent, things }: RunDrawn): WantingThing[] {
  const shortOf = new Map<string, number | null>();
  for (const thing of things) {
    const key = `${keyOfShort(thing)} ${thing.isLent}`;
    shortOf.set(key, sum(shortOf.get(key) ?? 0, thing.short));
  }
  const line = (itemId: string, uses: readonly WantedFor[], isLent: boolean): WantingThing => {
    const short = shortOf.get(`${itemId} ${isLent}`);
    return { key: itemId, itemId, uses, short: short === undefined ? 0 : short, isLent };
  };
  const elsewhere = things.flatMap((thing): WantingThing[] =>
    thing.kind === 'needle' && thing.needle === null
      ? [
          {
            key: wantedKey(thing.wanted),
            itemId: null,
            uses: forUse(thing.isLent ? 'lent' : 'packs', thing.count),
            short: thing.short,
            isLent: thing.isLent,
          },
        ]
      : [],
  );
  return [
    ...[...taken].map(([itemId, { amount }]) => line(itemId, usesOfTaken(findings, itemId, amount), false)),
    ...[...lent].map(([itemId, { amount }]) => line(itemId, forUse('lent', amount), true)),
    ...elsewhere,
  ];
}

function usesOfTaken(findings: readonly FindingTaken[], itemId: string, amount: number): WantedFor[] {
  const rows = findings.filter(({ findingId }) => findingId === itemId);
  const packaging = rows
    .filter(({ isPackaging }) => isPackaging)
    .reduce((total, row) => total + row.total, 0);
  const spare = rows.filter(({ isPackaging }) => !isPackaging).reduce((total, row) => total + row.spare, 0);
  return [
    ...forUse('packs', amount - packaging - spare),
    ...forUse('spare', spare),
    ...forUse('packaging', packaging),
  ];
}
