import { wantedKey } from '../needles/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { orderLinks } from '../writing/index.ts';
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

/** How many states the search keeps of one depth; beyond it the best is no longer certain. */
const MOST_STATES = 20_000;

interface State {
  /** Which steps are done, one bit a step. */
  readonly done: bigint;
  readonly needle: string | null;
  readonly previous: State | null;
  /** Steps done in this go, with one needle, in the author’s order. */
  readonly block: readonly number[];
}

export const changesIn = (needles: readonly (string | null)[]): number => {
  const inHand = needles.filter((needle) => needle !== null);
  return inHand.filter((needle, index) => index > 0 && needle !== inHand[index - 1]).length;
};

/**
 * The order with the fewest changes that keeps every pair. With one needle in the hand everything that may be done with
 * it is done: doing it later never saves a change. So only what is taken next is searched, depth by depth: the first
 * depth at which all is done is the fewest there is. Where there are too many states, those with most done are kept, and
 * the answer says how few changes are still thinkable.
 * @param onProgress told after each depth what share of the steps is done at best; false stops the search
 * @returns null when it was stopped
 */
export function fewestChanges(
  task: OrderingTask,
  onProgress: (share: number) => boolean = () => true,
  mostStates = MOST_STATES,
): Ordering | null {
  const { needles } = task;
  const needed = needsOf(task);
  const all = (1n << BigInt(needles.length)) - 1n;
  const first = doFree({ done: 0n, needle: null, previous: null, block: [] }, needles, needed);
  if (first.done === all) return { order: orderOf(first), changes: 0, atLeast: 0 };
  let states = [first];
  let provedDepth: number | null = null;
  for (let depth = 0; ; depth++) {
    const next = new Map<string, State>();
    for (const state of states) {
      for (const needle of offered(state, needles, needed)) {
        const reached = doAllWith(state, needle, needles, needed);
        if (reached.done === all) {
          return { order: orderOf(reached), changes: depth, atLeast: provedDepth ?? depth };
        }
        const key = `${reached.needle} ${reached.done}`;
        if (!next.has(key)) next.set(key, reached);
      }
    }
    const kept = withoutLesser([...next.values()]);
    if (kept.length > mostStates) {
      // From here on something is dropped: only what was searched through is proved.
      provedDepth ??= depth + 1;
      kept.length = mostStates;
    }
    states = kept;
    const most = Math.max(...states.map(({ done }) => bitsOf(done)));
    if (!onProgress(most / needles.length)) return null;
  }
}

/** What must be done before each step, as bits. */
function needsOf({ needles, before }: OrderingTask): bigint[] {
  const needs = needles.map(() => 0n);
  for (const [earlier, later] of before) needs[later] = (needs[later] ?? 0n) | (1n << BigInt(earlier));
  return needs;
}

const isDone = (done: bigint, at: number): boolean => (done & (1n << BigInt(at))) !== 0n;

/** Needles that something may be done with now. */
function offered(
  { done, needle }: State,
  needles: State['needle'][] | readonly State['needle'][],
  needed: readonly bigint[],
) {
  const found = new Set<string>();
  needles.forEach((own, at) => {
    const needs = needed[at] ?? 0n;
    if (own !== null && own !== needle && !isDone(done, at) && (needs & done) === needs) found.add(own);
  });
  return found;
}

/** Steps without a needle cost nothing: done as soon as they may be. */
const doFree = (state: State, needles: readonly (string | null)[], needed: readonly bigint[]): State =>
  goOn(state, null, needles, needed);

const doAllWith = (
  state: State,
  needle: string,
  needles: readonly (string | null)[],
  needed: readonly bigint[],
): State => goOn({ done: state.done, needle, previous: state, block: [] }, needle, needles, needed);

/** Everything that may be done with this needle or none, until nothing more may. */
function goOn(
  state: State,
  needle: string | null,
  needles: readonly (string | null)[],
  needed: readonly bigint[],
): State {
  let { done } = state;
  const block = [...state.block];
  for (let grew = true; grew;) {
    grew = false;
    for (let at = 0; at < needles.length; at++) {
      const own = needles[at] ?? null;
      const needs = needed[at] ?? 0n;
      if ((own !== null && own !== needle) || isDone(done, at) || (needs & done) !== needs) continue;
      done |= 1n << BigInt(at);
      block.push(at);
      grew = true;
    }
  }
  return { ...state, done, block };
}

/** States of which no other with the same needle has done all that and more; most done first. */
function withoutLesser(states: readonly State[]): State[] {
  const sorted = [...states].sort((a, b) => bitsOf(b.done) - bitsOf(a.done));
  // Comparing each with each is only worth while there are few.
  if (sorted.length > 2000) return sorted;
  return sorted.filter(
    (state, index) =>
      !sorted
        .slice(0, index)
        .some((more) => more.needle === state.needle && (state.done & ~more.done) === 0n),
  );
}

function bitsOf(value: bigint): number {
  let count = 0;
  for (let rest = value; rest > 0n; rest &= rest - 1n) count++;
  return count;
}

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
