import type { Designs, RunInput } from '../run/index.ts';
import { applied, type Lever, leversOf, makerMinutes } from './levers.ts';
import { type Outcome, trialOf } from './outcome.ts';
import { type Paces, roomOf } from './room.ts';

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

/** What trying is done with: the same people and the same chances each time, so that what differs is the lever. */
export interface Terms {
  readonly designs: Designs;
  readonly run: RunInput;
  readonly classes: number;
  readonly seed: number;
  /** How long learners take; ours where it is left out. */
  readonly paces?: Paces;
}

/** Gained by fewer than so many in a hundred classes, a lever is not worth a line. */
const LEAST_GAIN = 0.005;

/** A class as it would go; null: its time cannot be told. */
export function outcomeOfRun(
  run: RunInput,
  { designs, classes, seed, paces }: Omit<Terms, 'run'>,
): Outcome | null {
  const room = roomOf(designs, run, paces);
  if (typeof room === 'string') return null;
  const trial = trialOf(room, run.plan.lateMinutes, seed);
  trial.more(classes);
  return trial.outcome();
}

/** Each lever by itself, one at a time, so that whoever waits can be shown the first. Nothing that gains nothing. */
export function* tryLevers(terms: Terms): Generator<TriedLever> {
  const { designs, run, paces } = terms;
  const room = roomOf(designs, run, paces);
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
