import { activeOf, type Task } from './tasks.ts';

/** One task of one pair of hands. */
interface OneTurn {
  readonly at: number;
  readonly start: number;
  readonly end: number;
}

/** The order in which one person does everything soonest, at the author’s pace. */
interface OnePlan {
  readonly turns: readonly OneTurn[];
  readonly minutes: number;
  /** Hands that have nothing to do but wait. */
  readonly idleMinutes: number;
  /** Nothing shorter is possible: every other order was looked at, or it meets the bound. */
  readonly isProven: boolean;
}

/** So many partial orders are looked at; of up to eight tasks that is all of them. */
const MOST_TRIED = 20_000;
const EPSILON = 1e-9;

/**
 * One machine, precedence with delays: branch and bound over orders, begun from the better of the order as written and the
 * longest tail first. Of two that take as long the one that is nearer to what is written is kept.
 */
export function planForOne(tasks: readonly Task[]): OnePlan {
  const tails = tailsOf(tasks);
  const total = tasks.reduce((sum, task) => sum + activeOf(task), 0);
  const bound = Math.max(total, ...tails);
  const ranks = [tasks.map((_task, at) => at), ranksByTail(tails)];
  let best = ranks
    .map((rank) => inTurns(tasks, greedy(tasks, rank)))
    .reduce((a, b) => (endOf(b) < endOf(a) - EPSILON ? b : a));
  let isProven = endOf(best) <= bound + EPSILON;
  if (!isProven) {
    const search = searched(tasks, tails, best);
    best = search.best;
    isProven = search.isWhole || endOf(best) <= bound + EPSILON;
  }
  return { turns: best, minutes: endOf(best), idleMinutes: endOf(best) - total, isProven };
}

const endOf = (turns: readonly OneTurn[]): number => turns.reduce((most, { end }) => Math.max(most, end), 0);

/** From the beginning of each task to the end of everything that hangs on it. */
function tailsOf(tasks: readonly Task[]): number[] {
  const tails = tasks.map(activeOf);
  for (let at = tasks.length - 1; at >= 0; at--) {
    for (const each of tasks[at]?.before ?? []) {
      const task = tasks[each];
      if (task)
        tails[each] = Math.max(tails[each] ?? 0, activeOf(task) + task.waitMinutes + (tails[at] ?? 0));
    }
  }
  return tails;
}

const ranksByTail = (tails: readonly number[]): number[] => {
  const order = tails.map((_tail, at) => at).toSorted((a, b) => (tails[b] ?? 0) - (tails[a] ?? 0) || a - b);
  const ranks = tails.map(() => 0);
  order.forEach((at, rank) => {
    ranks[at] = rank;
  });
  return ranks;
};

/** Whenever hands are free they take what is ready, the lowest rank first. @returns places of tasks, in their order */
function greedy(tasks: readonly Task[], ranks: readonly number[]): number[] {
  const readyAt = tasks.map(() => 0);
  const left = new Set(tasks.map((_task, at) => at));
  const order: number[] = [];
  let now = 0;
  while (left.size > 0) {
    const open = [...left].filter((at) => tasks[at]?.before.every((each) => !left.has(each)));
    const readyOf = (at: number) =>
      Math.max(0, ...(tasks[at]?.before ?? []).map((each) => readyAt[each] ?? 0));
    const soonest = Math.max(now, Math.min(...open.map(readyOf)));
    const [next] = open
      .filter((at) => readyOf(at) <= soonest + EPSILON)
      .toSorted((a, b) => (ranks[a] ?? 0) - (ranks[b] ?? 0));
    const task = next === undefined ? undefined : tasks[next];
    if (next === undefined || !task) break;
    const end = handsFree(task, soonest, readyOf(next));
    now = Math.max(now, end);
    readyAt[next] = end + task.waitMinutes;
    left.delete(next);
    order.push(next);
  }
  return order;
}

/** What takes no hands is over when it could begin. */
const handsFree = (task: Task, now: number, ready: number): number =>
  activeOf(task) === 0 ? ready : Math.max(now, ready) + activeOf(task);

/** Times of an order: each as soon as hands and what comes before it let it. */
function inTurns(tasks: readonly Task[], order: readonly number[]): OneTurn[] {
  const readyAt = new Map<number, number>();
  let now = 0;
  return order.map((at) => {
    const task = tasks[at] as Task;
    const ready = Math.max(0, ...task.before.map((each) => readyAt.get(each) ?? 0));
    const end = handsFree(task, now, ready);
    now = Math.max(now, end);
    readyAt.set(at, end + task.waitMinutes);
    return { at, start: end - activeOf(task), end };
  });
}

function searched(tasks: readonly Task[], tails: readonly number[], first: readonly OneTurn[]) {
  let best = [...first];
  let bestEnd = endOf(first);
  let tried = 0;
  const readyAt = tasks.map(() => 0);
  const isDone = tasks.map(() => false);
  const turns: OneTurn[] = [];
  const total = tasks.reduce((sum, task) => sum + activeOf(task), 0);

  const visit = (now: number, doneActive: number): void => {
    if (turns.length === tasks.length) {
      const end = endOf(turns);
      if (end < bestEnd - EPSILON) [best, bestEnd] = [[...turns], end];
      return;
    }
    for (const [at, task] of tasks.entries()) {
      if (isDone[at] || task.before.some((each) => !isDone[each])) continue;
      if ((tried += 1) > MOST_TRIED) return;
      const ready = Math.max(0, ...task.before.map((each) => readyAt[each] ?? 0));
      const end = handsFree(task, now, ready);
      const start = end - activeOf(task);
      const free = Math.max(now, end);
      // Everything that is left has to be done after this, and what hangs on this takes its time.
      const atLeast = Math.max(free + total - doneActive - activeOf(task), start + (tails[at] ?? 0));
      if (atLeast >= bestEnd - EPSILON) continue;
      isDone[at] = true;
      readyAt[at] = end + task.waitMinutes;
      turns.push({ at, start, end });
      visit(free, doneActive + activeOf(task));
      turns.pop();
      isDone[at] = false;
    }
  };
  visit(0, 0);
  return { best, isWhole: tried <= MOST_TRIED };
}
