import type { Designs, RunInput } from '../run/index.ts';
import { applied, type Lever, leversOf, makerMinutes } from './levers.ts';
import { type Outcome, trialOf } from './outcome.ts';
import { roomOf } from './room.ts';

/** A lever as it was tried, held against the class as it is. */
export interface TriedLever {
  readonly lever: Lever;
  /** That everybody is done, with it. */
  readonly all: number;
  readonly chanceGained: number;
  /** By which the last is done sooner, the middle of the classes; null: on another day. */
  readonly minutesGained: number | null;
  /** The maker’s own, before the day. */
  readonly makerMinutes: number;
}

/** Several at once that come to a wanted chance, or as near as these get. */
export interface Together {
  readonly levers: readonly Lever[];
  readonly all: number;
}

/** What trying is done with: the same people and the same chances each time, so that what differs is the lever. */
interface Terms {
  readonly designs: Designs;
  readonly run: RunInput;
  readonly classes: number;
  readonly seed: number;
}

/** Gained by fewer than so many in a hundred classes, a lever is not worth a line. */
const LEAST_GAIN = 0.005;
/** More at once than anybody keeps in mind. */
const MOST_TOGETHER = 4;
/** So many of the best are tried with one another. */
const TRIED_TOGETHER = 8;

/** A class as it would go; null: its time cannot be told. */
export function outcomeOfRun(run: RunInput, { designs, classes, seed }: Omit<Terms, 'run'>): Outcome | null {
  const room = roomOf(designs, run);
  if (typeof room === 'string') return null;
  const trial = trialOf(room, run.plan.lateMinutes, seed);
  trial.more(classes);
  return trial.outcome();
}

/** Each lever by itself, one at a time, so that whoever waits can be shown the first. Nothing that gains nothing. */
export function* tryLevers(terms: Terms): Generator<TriedLever> {
  const { designs, run } = terms;
  const room = roomOf(designs, run);
  const before = outcomeOfRun(run, terms);
  if (typeof room === 'string' || !before) return;
  for (const lever of leversOf(designs, run, room, before)) {
    const after = outcomeOfRun(applied(lever, run, designs), terms);
    if (!after) continue;
    const chanceGained = after.all - before.all;
    const isElsewhen = lever.kind === 'another-sitting';
    const minutesGained = isElsewhen ? null : before.last.half - after.last.half;
    if (chanceGained < LEAST_GAIN && (minutesGained ?? 0) < 1) continue;
    if (chanceGained < 0) continue;
    yield {
      lever,
      all: after.all,
      chanceGained,
      minutesGained,
      makerMinutes: makerMinutes(lever, run, designs),
    };
  }
}

/** A longer class or another day is asked of others; everything else is in the maker’s own hands. */
const isAskedOfOthers = ({ kind }: Lever): boolean => kind === 'longer' || kind === 'another-sitting';

/**
 * The fewest levers that come to the wanted chance, the most helpful first: each is tried on top of those before it. What is
 * asked of others is left out as long as the rest gets there.
 */
export function leversTogether(terms: Terms, tried: readonly TriedLever[]): Together {
  const { run } = terms;
  const wanted = run.plan.wantedChance;
  const before = outcomeOfRun(run, terms);
  if (!before) return { levers: [], all: 0 };
  const best = tried.toSorted((a, b) => worthOf(b) - worthOf(a)).map(({ lever }) => lever);
  const mine = best.filter((lever) => !isAskedOfOthers(lever)).slice(0, TRIED_TOGETHER);
  const alone = added(terms, { levers: [], run, all: before.all, late: lateOf(before) }, mine);
  if (alone.all >= wanted) return { levers: alone.levers, all: alone.all };
  const helped = added(terms, alone, best.filter(isAskedOfOthers));
  return { levers: helped.levers, all: helped.all };
}

/** Where no chance is gained yet, minutes are what counts. */
const worthOf = ({ chanceGained, minutesGained }: TriedLever): number =>
  chanceGained + (minutesGained ?? 0) * CHANCE_A_MINUTE;

/** Ours: an hour sooner is worth as much as six classes in a hundred that are done. */
const CHANCE_A_MINUTE = 0.001;

/** Minutes by which the last of nine classes in ten is done, of the clock. */
const lateOf = ({ last }: Outcome): number => last.nineTenths;

interface Taken {
  readonly levers: readonly Lever[];
  readonly run: RunInput;
  readonly all: number;
  readonly late: number;
}

function added(terms: Terms, from: Taken, offered: readonly Lever[]): Taken {
  let taken = from;
  while (taken.all < terms.run.plan.wantedChance && taken.levers.length < MOST_TOGETHER) {
    const worth = ({ all, late }: Taken) => all - taken.all + (taken.late - late) * CHANCE_A_MINUTE;
    const next = offered
      .filter((lever) => !taken.levers.includes(lever))
      .flatMap((lever): Taken[] => {
        const run = applied(lever, taken.run, terms.designs);
        const after = outcomeOfRun(run, terms);
        return after ? [{ levers: [...taken.levers, lever], run, all: after.all, late: lateOf(after) }] : [];
      })
      .toSorted((a, b) => worth(b) - worth(a))[0];
    if (!next || worth(next) < LEAST_GAIN) break;
    taken = next;
  }
  return taken;
}
