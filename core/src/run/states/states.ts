import type { RunProblem } from '../document/problem.ts';
import { RUN_STATES, type RunState } from '../document/runState.ts';
import type { RunWants } from '../document/wants.ts';

/** How things stand, counted. */
export interface RunFacts {
  /** Seats that have not chosen. */
  readonly undecided: number;
  /** Fibres and findings that are short. */
  readonly short: number;
  /** Fibres that were never counted. */
  readonly uncounted: number;
  /** Amounts that nobody knows. */
  readonly unknown: number;
  readonly unweighed: number;
  readonly unpacked: number;
  /** Packs that were closed with something left out. */
  readonly leftOut: number;
  /** Needles still out, or missing. */
  readonly needlesOut: number;
  /** Other sharp things of a class that are still out, what is still hot, and broken tips that nobody has found. */
  readonly sharpsOut: number;
  readonly stillHot: number;
  readonly openTips: number;
  /** Packs that would be other now than they were planned. */
  readonly different: number;
}

const WANTED_FOR: Readonly<Record<RunState, readonly (readonly [RunWants, keyof RunFacts])[]>> = {
  planned: [],
  bought: [
    ['choices', 'undecided'],
    ['stock', 'short'],
    ['counts', 'uncounted'],
    ['amounts', 'unknown'],
  ],
  weighed: [
    ['difference', 'different'],
    ['weighing', 'unweighed'],
  ],
  packed: [
    ['difference', 'different'],
    ['packing', 'unpacked'],
    ['left-out', 'leftOut'],
  ],
  done: [
    ['left-out', 'leftOut'],
    ['needles', 'needlesOut'],
    ['sharps', 'sharpsOut'],
    ['heat', 'stillHot'],
    ['tips', 'openTips'],
  ],
};

/** What is missing before a run may be called so. */
export const wantsOf = (to: RunState, facts: RunFacts): { wants: RunWants; count: number }[] =>
  WANTED_FOR[to].flatMap(([wants, key]) => (facts[key] > 0 ? [{ wants, count: facts[key] }] : []));

/** Why a run may not be called so yet. */
export const checkState = (to: RunState, facts: RunFacts): RunProblem[] =>
  wantsOf(to, facts).map((want) => ({ code: 'state_wants', pointer: '/to', ...want }));

export const stateAfter = (state: RunState): RunState | null =>
  RUN_STATES[RUN_STATES.indexOf(state) + 1] ?? null;

export const stateBefore = (state: RunState): RunState | null =>
  RUN_STATES[RUN_STATES.indexOf(state) - 1] ?? null;

/** From here on a run keeps its numbers. */
export const isFrozen = (state: RunState): boolean => state !== 'planned';

/** From here on its wool is no longer on the shelf. */
export const isOffShelf = (state: RunState): boolean => state === 'packed' || state === 'done';
