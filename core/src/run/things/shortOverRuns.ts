import { wantedKey } from '../../shelf/index.ts';
import type { ThingShort } from './thingsShort.ts';

/** What is short for one run, which is on one day. */
export interface ShortOfRun {
  readonly date: string;
  readonly things: readonly ThingShort[];
}

/** One thing that is short over several runs. */
export interface ShortOverRuns {
  readonly thing: ThingShort;
  /** Null: nobody can tell. */
  readonly short: number | null;
  /** Whole put-ups, of what is bought so; null where nobody can tell, or it is bought singly. */
  readonly putUps: number | null;
}

/** Null where nobody can tell of one of them. */
const sum = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a + b);
const most = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : Math.max(a, b);

/** The same for the same thing of the shelf, or for the same sort of needle where the shelf has none of it. */
export function keyOfShort(thing: ThingShort): string {
  switch (thing.kind) {
    case 'finding':
      return thing.findingId;
    case 'needle':
      return thing.needle?.id ?? wantedKey(thing.wanted);
    case 'holder':
      return thing.tool.id;
    case 'tool':
      return thing.tool.tools[0]?.id ?? thing.tool.key;
  }
}

/**
 * What is wanting over all runs, each thing once: of what is taken the sum; of what is lent that of the day that wants
 * most, for it comes back. Each run’s own is what is wanting beyond those before it.
 */
export function shortOverRuns(runs: readonly ShortOfRun[]): Map<string, ShortOverRuns> {
  const over = new Map<string, ShortOverRuns>();
  const merge = (key: string, shortOverRuns: ShortOverRuns, how: typeof sum) => {
    const before = over.get(key);
    over.set(
      key,
      before
        ? {
            ...shortOverRuns,
            short: how(before.short, shortOverRuns.short),
            putUps: how(before.putUps, shortOverRuns.putUps),
          }
        : shortOverRuns,
    );
  };
  const byDay = new Map<string, Map<string, ShortOverRuns>>();
  for (const { date, things } of runs) {
    const day = byDay.get(date) ?? new Map<string, ShortOverRuns>();
    byDay.set(date, day);
    for (const thing of things) {
      const key = keyOfShort(thing);
      const line = { thing, short: thing.short, putUps: thing.kind === 'finding' ? thing.putUps : null };
      if (!thing.isLent) merge(key, line, sum);
      else {
        const before = day.get(key);
        day.set(key, before ? { ...line, short: sum(before.short, line.short) } : line);
      }
    }
  }
  const lent = new Map<string, ShortOverRuns>();
  for (const day of byDay.values()) {
    for (const [key, shortOverRuns] of day) {
      const before = lent.get(key);
      lent.set(
        key,
        before ? { ...shortOverRuns, short: most(before.short, shortOverRuns.short) } : shortOverRuns,
      );
    }
  }
  for (const [key, shortOverRuns] of lent) merge(key, shortOverRuns, sum);
  return over;
}
