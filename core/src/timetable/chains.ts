import { activeOf, type Task } from './tasks.ts';
import { isUntimed } from './untimed.ts';

/** When one task can be, however many hands there are; minutes at the author’s pace from the beginning. */
interface ChainTask {
  readonly stepId: string;
  readonly earliest: number;
  /** It may begin so much later without anything ending later; 0: it is on the longest chain. */
  readonly slack: number;
}

/** The longest chain of a build through its waits: nobody is done sooner, with any help. */
interface Chains {
  readonly minutes: number;
  readonly tasks: readonly ChainTask[];
  /** Steps of one longest chain, in their order. */
  readonly chain: readonly string[];
  /** Waits on it, minutes. */
  readonly waitsOnChain: number;
  /** Steps nobody has timed: all of this is then only “at least”. */
  readonly unknown: readonly string[];
}

const EPSILON = 1e-9;

/** Forward and backward once each (critical path method, Kelley and Walker 1959); waits belong to the task before them. */
export function chainsOf(tasks: readonly Task[]): Chains {
  const earliest = tasks.map(() => 0);
  tasks.forEach(({ before }, at) => {
    for (const each of before) {
      const task = tasks[each];
      const free = (earliest[each] ?? 0) + (task ? activeOf(task) + task.waitMinutes : 0);
      earliest[at] = Math.max(earliest[at] ?? 0, free);
    }
  });
  const ends = tasks.map((task, at) => (earliest[at] ?? 0) + activeOf(task));
  const minutes = Math.max(0, ...ends);
  const latestEnd = tasks.map(() => minutes);
  for (let at = tasks.length - 1; at >= 0; at--) {
    const task = tasks[at];
    if (!task) continue;
    const latestStart = (latestEnd[at] ?? 0) - activeOf(task);
    for (const each of task.before) {
      const wait = tasks[each]?.waitMinutes ?? 0;
      latestEnd[each] = Math.min(latestEnd[each] ?? minutes, latestStart - wait);
    }
  }
  const told = tasks.map((task, at): ChainTask => {
    const latest = (latestEnd[at] ?? 0) - activeOf(task);
    const slack = latest - (earliest[at] ?? 0);
    return {
      stepId: task.stepId,
      earliest: earliest[at] ?? 0,
      slack: slack < EPSILON ? 0 : slack,
    };
  });
  const ats = longestFrom(tasks, earliest, ends, minutes);
  return {
    minutes,
    tasks: told,
    chain: ats.flatMap((at) => tasks[at]?.stepId ?? []),
    waitsOnChain: ats.slice(0, -1).reduce((sum, at) => sum + (tasks[at]?.waitMinutes ?? 0), 0),
    unknown: tasks.filter(isUntimed).map(({ stepId }) => stepId),
  };
}

/** Back from the task that ends last, always to the one that kept it waiting. */
function longestFrom(
  tasks: readonly Task[],
  earliest: readonly number[],
  ends: readonly number[],
  minutes: number,
): number[] {
  const ats: number[] = [];
  let at = ends.findIndex((end) => end >= minutes - EPSILON);
  while (at >= 0) {
    ats.unshift(at);
    const start = earliest[at] ?? 0;
    at =
      tasks[at]?.before.find(
        (each) => Math.abs((ends[each] ?? 0) + (tasks[each]?.waitMinutes ?? 0) - start) < EPSILON,
      ) ?? -1;
  }
  return ats;
}
