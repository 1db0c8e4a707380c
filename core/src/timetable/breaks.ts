import type { PartState } from '../pattern/index.ts';
import { workOnParts } from '../writing/index.ts';
import type { Outcome } from './outcome.ts';
import type { ClassGraph, Room } from './room.ts';

/** How a sitting is left when another comes after it, for those who make one build. */
export interface SittingBreak {
  /** From 0. */
  readonly sittingAt: number;
  /** The last step nine in ten have done by then that leaves everything as it can lie; null: none does. */
  readonly afterStepId: string | null;
  /** What the middle of the class has in hand when hands stop; null: it is between two steps. */
  readonly inHandStepId: string | null;
  /** What sets or dries on into the time between. */
  readonly dryingStepIds: readonly string[];
  /** Parts that the middle would leave as they cannot lie: they open again, or fall off. */
  readonly loose: readonly { readonly partId: string; readonly state: PartState }[];
}

/** Rolled wool opens again, and what is tacked falls off. */
const CANNOT_LIE: ReadonlySet<PartState> = new Set<PartState>(['rolled', 'tacked']);

/** Of every sitting but the last. */
export function breaksOf(room: Room, { steps }: Outcome, graphAt: number): SittingBreak[] {
  const graph = room.graphs[graphAt];
  const times = steps[graphAt] ?? [];
  if (!graph) return [];
  return room.sittings.slice(0, -1).map(({ from, workTo }, sittingAt): SittingBreak => {
    const done = new Set(times.filter(({ end }) => end.half <= workTo).map(({ stepId }) => stepId));
    const inHand = times.find(({ start, end }) => start.half < workTo && end.half > workTo);
    const drying = times.filter(({ end }, at) => {
      const wait = graph.tasks[at]?.waitMinutes ?? 0;
      return end.half > from && end.half <= workTo && end.half + wait > workTo;
    });
    return {
      sittingAt,
      afterStepId: lastSafe(graph, times, workTo),
      inHandStepId: inHand?.stepId ?? null,
      dryingStepIds: drying.map(({ stepId }) => stepId),
      loose: looseAfter(graph, done),
    };
  });
}

/** In the order they are taken up: as far as nine in ten get, the last place where nothing is loose. */
function lastSafe(graph: ClassGraph, times: Outcome['steps'][number], workTo: number): string | null {
  const done = new Set<string>();
  let last: string | null = null;
  for (const at of graph.order) {
    const stepId = graph.tasks[at]?.stepId;
    if (stepId === undefined || (times[at]?.end.nineTenths ?? Number.POSITIVE_INFINITY) > workTo) break;
    done.add(stepId);
    if (looseAfter(graph, done).length === 0) last = stepId;
  }
  return last;
}

/** Parts and what they are once these steps are done, and no others of the class; what is done elsewhere is as it comes. */
function looseAfter({ build, tasks }: ClassGraph, done: ReadonlySet<string>): SittingBreak['loose'] {
  const inClass = new Set(tasks.map(({ stepId }) => stepId));
  return [...workOnParts(build)].flatMap(([partId, works]) => {
    const state = works.findLast(
      (each) => each.state !== null && (done.has(each.stepId) || !inClass.has(each.stepId)),
    )?.state;
    const isTouched = works.some(({ stepId }) => done.has(stepId));
    return state && isTouched && CANNOT_LIE.has(state) ? [{ partId, state }] : [];
  });
}
