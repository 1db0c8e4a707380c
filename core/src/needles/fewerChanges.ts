import type { Pattern } from '../pattern/index.ts';
import { wantedKey } from '../shelf/index.ts';
import { orderLinks } from '../writing/index.ts';
import { type Bits, hasAll, hasBit, noBits, setBit } from './bits.ts';
import { needlePath } from './path.ts';

/** Steps to put in an order: who comes before whom, and which needle each is done with (null: none). */
export interface OrderingTask {
  /** Needle of each step, in the author’s order. */
  readonly needles: readonly (string | null)[];
  /** Pairs of places: the first comes before the second. */
  readonly before: readonly (readonly [earlier: number, later: number])[];
}

/** An order with few changes of needle. */
export interface Ordering {
  /** Places in the author’s order, as they are to follow one another. */
  readonly order: readonly number[];
  readonly changes: number;
  /** No order has fewer than this; equal to `changes` where it is proved the best. */
  readonly atLeast: number;
}

/** How many states of one depth the quick search goes on from, and how many the thorough one bears. */
const QUICK_STATES = 40;
const MOST_STATES = 300;

interface State {
  readonly done: Bits;
  readonly count: number;
  readonly needle: string | null;
  readonly previous: State | null;
  /** Steps done in this go, with one needle, in the author’s order. */
  readonly block: readonly number[];
}

/** A task with what the search asks again and again. */
interface Search {
  readonly needles: OrderingTask['needles'];
  /** What must be done before each step. */
  readonly needed: readonly Bits[];
  /** Changes that some chain of steps after each one cannot do without, its own first. */
  readonly tails: readonly number[];
}

export const changesIn = (needles: readonly (string | null)[]): number => {
  const inHand = needles.filter((needle) => needle !== null);
  return inHand.filter((needle, index) => index > 0 && needle !== inHand[index - 1]).length;
};

/**
 * The order with the fewest changes that keeps every pair. With one needle in the hand everything that may be done with
 * it is done: doing it later never saves a change. So only what is taken next is searched, depth by depth. A quick search
 * goes on from the states that promise most; a thorough one then looks for anything better, leaving out what cannot be.
 * Where that is too much, the answer says how few changes are still thinkable.
 * @param onProgress told after each depth what share of the steps is done at best; false stops the search
 * @returns null when it was stopped
 */
export function fewestChanges(
  task: OrderingTask,
  onProgress: (share: number) => boolean = () => true,
  mostStates = MOST_STATES,
): Ordering | null {
  const search: Search = { needles: task.needles, needed: needsOf(task), tails: tailsOf(task) };
  const quick = goThrough(search, Math.min(QUICK_STATES, mostStates), Infinity, onProgress);
  if (quick === null || quick.last === null) return null;
  const found = { order: orderOf(quick.last), changes: quick.changes };
  if (quick.atLeast >= quick.changes) return { ...found, atLeast: quick.changes };
  const thorough = goThrough(search, mostStates, quick.changes, onProgress);
  if (thorough === null) return null;
  const best = thorough.last ? { order: orderOf(thorough.last), changes: thorough.changes } : found;
  return { ...best, atLeast: Math.min(best.changes, Math.max(quick.atLeast, thorough.atLeast)) };
}

interface Reached {
  /** Null: nothing under the limit. */
  readonly last: State | null;
  readonly changes: number;
  readonly atLeast: number;
}

/** Depth by depth, keeping the most promising; only what may yet come under the limit is gone on from. */
function goThrough(
  search: Search,
  keep: number,
  under: number,
  onProgress: (share: number) => boolean,
): Reached | null {
  const size = search.needles.length;
  const first = goOn({ done: noBits(size), count: 0, needle: null, previous: null, block: [] }, search);
  if (first.count === size) return { last: first, changes: 0, atLeast: 0 };
  let states = [first];
  let atLeast: number | null = null;
  for (let depth = 0; states.length > 0; depth++) {
    const next = new Map<string, State>();
    for (const state of states) {
      for (const needle of offered(state, search)) {
        const reached = goOn({ ...state, needle, previous: state, block: [] }, search);
        if (reached.count === size) return { last: reached, changes: depth, atLeast: atLeast ?? depth };
        next.set(`${needle} ${reached.done.join(' ')}`, reached);
      }
    }
    const ranked = [...next.values()]
      .map((state) => ({ state, rest: restOf(state, search) }))
      .filter(({ rest }) => depth + rest < under)
      .sort((a, b) => a.rest - b.rest || b.state.count - a.state.count);
    const kept = withoutLesser(ranked.map(({ state }) => state));
    if (kept.length > keep) {
      // From here on something is dropped: only what was searched through is proved.
      atLeast ??= depth + (ranked[0]?.rest ?? 1);
      kept.length = keep;
    }
    states = kept;
    if (!onProgress(Math.max(0, ...states.map(({ count }) => count)) / size)) return null;
  }
  return { last: null, changes: under, atLeast: atLeast ?? under };
}

/** What must be done before each step. */
function needsOf({ needles, before }: OrderingTask): Bits[] {
  const needs = needles.map(() => noBits(needles.length));
  for (const [earlier, later] of before) {
    const need = needs[later];
    if (need) setBit(need, earlier);
  }
  return needs;
}

/** Along every chain of steps that must follow one another, how often the needle changes from each step on. */
function tailsOf({ needles, before }: OrderingTask): number[] {
  const after = needles.map((): number[] => []);
  for (const [earlier, later] of before) after[earlier]?.push(later);
  const tails = needles.map(() => 0);
  // The needle that each step’s longest chain begins with; a step without one hands on the next.
  const firsts: (string | null)[] = needles.map(() => null);
  for (let at = needles.length - 1; at >= 0; at--) {
    const needleKey = needles[at] ?? null;
    let [tail, first]: [number, string | null] = [0, null];
    for (const later of after[at] ?? []) {
      const [rest, needle] = [tails[later] ?? 0, firsts[later] ?? null];
      const changes = needleKey !== null && needle !== null && needle !== needleKey ? rest + 1 : rest;
      if (changes > tail || first === null)
        [tail, first] = [Math.max(changes, tail), changes >= tail ? needle : first];
    }
    tails[at] = tail;
    firsts[at] = needleKey ?? first;
  }
  return tails;
}

/** Changes that a state cannot do without: one to whatever is left, and those of the longest chain. */
function restOf({ done, needle }: State, { needles, tails }: Search): number {
  let rest = 0;
  const left = new Set<string>();
  needles.forEach((needleKey, at) => {
    if (hasBit(done, at) || needleKey === null) return;
    left.add(needleKey);
    rest = Math.max(rest, (tails[at] ?? 0) + (needleKey === needle ? 0 : 1));
  });
  // What is left in other needles takes at least a change for each.
  left.delete(needle ?? '');
  return Math.max(rest, left.size);
}

/** Needles that something may be done with now. */
function offered({ done, needle }: State, { needles, needed }: Search): Set<string> {
  const found = new Set<string>();
  needles.forEach((needleKey, at) => {
    const needs = needed[at];
    if (
      needleKey !== null &&
      needleKey !== needle &&
      !found.has(needleKey) &&
      !hasBit(done, at) &&
      needs &&
      hasAll(done, needs)
    ) {
      found.add(needleKey);
    }
  });
  return found;
}

/** Everything that may be done with the needle in the hand or without one, until nothing more may. */
function goOn(state: State, { needles, needed }: Search): State {
  const done = state.done.slice();
  const block = [...state.block];
  for (let grew = true; grew;) {
    grew = false;
    for (let at = 0; at < needles.length; at++) {
      const needle = needles[at] ?? null;
      const needs = needed[at];
      if ((needle !== null && needle !== state.needle) || hasBit(done, at) || !needs || !hasAll(done, needs))
        continue;
      setBit(done, at);
      block.push(at);
      grew = true;
    }
  }
  return { ...state, done, block, count: state.count + block.length };
}

/** Comparing each with each is only worth while there are few. */
const FEW_STATES = 400;

/** States of which no other with the same needle has done all that and more. */
const withoutLesser = (states: readonly State[]): State[] =>
  states.length > FEW_STATES
    ? [...states]
    : states.filter(
        (state) =>
          !states.some(
            (more) =>
              more !== state &&
              more.needle === state.needle &&
              more.count > state.count &&
              hasAll(more.done, state.done),
          ),
      );

function orderOf(last: State): number[] {
  const blocks: (readonly number[])[] = [];
  for (let state: State | null = last; state; state = state.previous) blocks.unshift(state.block);
  return blocks.flat();
}

/**
 * The steps of a pattern as they may be reordered: everything the order links say (what is easier or softer too), the
 * work on one piece in the author’s order, sessions one after another. A step that names no piece stays where it is.
 */
export function orderingTask(pattern: Pattern): OrderingTask {
  const { steps } = pattern;
  const place = new Map(steps.map(({ id }, at) => [id, at]));
  const before: [number, number][] = [];
  const put = (earlier: number | undefined, later: number | undefined) => {
    // An order that is wrong already stays as it is: the author has been told.
    if (earlier !== undefined && later !== undefined && earlier < later) before.push([earlier, later]);
  };
  for (const { beforeId, afterId } of orderLinks(pattern)) put(place.get(beforeId), place.get(afterId));
  const lastOfPart = new Map<string, number>();
  const starts = new Set(pattern.sessions.map(({ firstStepId }) => firstStepId));
  let sessionStart = 0;
  let lastFixed: number | null = null;
  steps.forEach(({ id, partIds }, at) => {
    if (starts.has(id)) {
      for (let earlier = sessionStart; earlier < at; earlier++) put(earlier, at);
      sessionStart = at;
      lastFixed = at;
    } else if (partIds.length === 0) {
      for (let earlier = 0; earlier < at; earlier++) put(earlier, at);
      lastFixed = at;
    }
    if (lastFixed !== null && lastFixed !== at) put(lastFixed, at);
    for (const partId of partIds) {
      put(lastOfPart.get(partId), at);
      lastOfPart.set(partId, at);
    }
  });
  const needles = needlePath(pattern).stretches.map(({ wanted }) => wanted && wantedKey(wanted));
  return { needles, before };
}

/** The pattern with its steps in another order. */
export const inOrder = (pattern: Pattern, order: readonly number[]): Pattern => ({
  ...pattern,
  steps: order.flatMap((at) => pattern.steps[at] ?? []),
});

/** The steps as another list has them; those it does not know come last, in their own order. */
export function inOrderOf(pattern: Pattern, steps: readonly { readonly id: string }[]): Pattern {
  const place = new Map(steps.map(({ id }, at) => [id, at]));
  const placeOf = ({ id }: { readonly id: string }) => place.get(id) ?? steps.length;
  return { ...pattern, steps: [...pattern.steps].sort((a, b) => placeOf(a) - placeOf(b)) };
}
