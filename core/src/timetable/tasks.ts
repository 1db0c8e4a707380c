import { minutesRange, type Pattern, type Step, workMinutes } from '../pattern/index.ts';
import { orderLinks } from '../writing/index.ts';

/** One step of a build as its time is planned. Tasks come in the order they are written. */
export interface Task {
  readonly stepId: string;
  /** At work, all its repeats, at the author’s pace; null: nobody has said. */
  readonly minutes: number | null;
  /** How far from one learner to the next a step strays from its middle, as σ of its logarithm. */
  readonly sigma: number;
  /** After it nobody touches what it left: drying, setting. 0: nothing waits. */
  readonly waitMinutes: number;
  readonly isWaitUnknown: boolean;
  /** Places of tasks that are done, and have waited, before this one begins; rising. */
  readonly before: readonly number[];
  /** Which session of the pattern it belongs to, from 0; 0 where there are none. */
  readonly sessionAt: number;
}

/** Minutes of hands; of what nobody has timed none, which whoever uses it has to say. */
export const activeOf = ({ minutes }: Pick<Task, 'minutes'>): number => minutes ?? 0;

/** A link that cannot be kept: it runs against the order of the steps, or to a step that is not there. */
interface DroppedLink {
  readonly beforeId: string;
  readonly afterId: string;
  readonly why: 'against-order' | 'missing';
}

interface TaskGraph {
  readonly tasks: readonly Task[];
  readonly dropped: readonly DroppedLink[];
}

/** Between learners, of each step by itself. Ours, until classes have taught better. */
export const STEP_SIGMA = 0.3;
/** z of the tenth and the ninetieth in a hundred: an author’s “from – to” is read as those. */
const Z_OF_TENTH = 1.2815515655446004;

/** @param build with its options resolved */
export function tasksOf(build: Pattern): TaskGraph {
  const place = new Map(build.steps.map(({ id }, at) => [id, at]));
  const befores: Set<number>[] = build.steps.map(() => new Set());
  const dropped: DroppedLink[] = [];
  for (const { beforeId, afterId, strength } of orderLinks(build)) {
    const [before, after] = [place.get(beforeId), place.get(afterId)];
    if (strength === 'easier') continue;
    if (before === undefined || after === undefined) dropped.push({ beforeId, afterId, why: 'missing' });
    else if (before >= after) dropped.push({ beforeId, afterId, why: 'against-order' });
    else befores[after]?.add(before);
  }
  for (const [before, after] of handOn(build)) befores[after]?.add(before);
  const sessionAts = sessionsOfSteps(build);
  return {
    dropped,
    tasks: build.steps.map((step, at) => ({
      ...timeOf(step, build),
      before: [...(befores[at] ?? [])].toSorted((a, b) => a - b),
      sessionAt: sessionAts[at] ?? 0,
    })),
  };
}

function timeOf(step: Step, build: Pattern): Omit<Task, 'before' | 'sessionAt'> {
  const work = workMinutes(step, build);
  const waits = step.waiting === null ? null : minutesRange(step.waiting).likely;
  return {
    stepId: step.id,
    minutes: work?.likely ?? null,
    sigma: work ? sigmaOf(work) : STEP_SIGMA,
    waitMinutes: waits ?? 0,
    isWaitUnknown: step.act.kind === 'wait' && waits === null,
  };
}

/** As wide as the author’s own range where that is wider than learners usually are. */
const sigmaOf = ({ low, high }: { readonly low: number; readonly high: number }): number =>
  low > 0 && high > low ? Math.max(STEP_SIGMA, Math.log(high / low) / (2 * Z_OF_TENTH)) : STEP_SIGMA;

/**
 * What is done to a part is done in the order it is written. A step that names no part is for all: it comes after what is
 * written before it, and before what is written next.
 */
function handOn(build: Pattern): [before: number, after: number][] {
  const lastOn = new Map<string, number>();
  const pairs: [number, number][] = [];
  let forAll: number | null = null;
  build.steps.forEach((step, at) => {
    const touched = touchedBy(step, build);
    if (touched.length === 0) {
      if (at > 0) pairs.push([at - 1, at]);
      forAll = at;
      return;
    }
    if (forAll !== null) pairs.push([forAll, at]);
    for (const partId of touched) {
      const last = lastOn.get(partId);
      if (last !== undefined) pairs.push([last, at]);
      lastOn.set(partId, at);
    }
  });
  return pairs;
}

function touchedBy({ partIds, joinIds }: Step, { joins }: Pattern): string[] {
  const joined = joins
    .filter(({ id }) => joinIds.includes(id))
    .flatMap(({ partId, ontoId }) => [partId, ontoId]);
  return [...new Set([...partIds, ...joined])];
}

/** The session each step falls into, by the first step of each that has one. */
function sessionsOfSteps({ steps, sessions }: Pattern): number[] {
  const firsts = sessions.map(({ firstStepId }) => steps.findIndex(({ id }) => id === firstStepId));
  let sessionAt = 0;
  return steps.map((_step, at) => {
    firsts.forEach((first, index) => {
      if (first === at) sessionAt = Math.max(sessionAt, index);
    });
    return sessionAt;
  });
}
