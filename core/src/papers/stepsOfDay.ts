import { needleOf, type Pattern, type Step, stepOfCut, stepOfFinding } from '../pattern/index.ts';
import type { ClassGraph, Room, StepTimes } from '../timetable/index.ts';
import { checkWords, joinWords, wantedName } from '../words/index.ts';
import type { Times } from './timesOfRun.ts';

/** A step of a build, with when the class comes to it. */
export interface ShownStep {
  readonly graph: ClassGraph;
  readonly times: StepTimes;
  /** Place among the room’s graphs. */
  readonly graphAt: number;
}

/** Of builds of one design that differ in a choice each step once, as those have it who are most. */
export function distinctSteps({ room, outcome }: Times): ShownStep[] {
  const makers = (at: number) => room.people.filter(({ graphAt }) => graphAt === at).length;
  const order = room.graphs.map((_graph, at) => at).toSorted((a, b) => makers(b) - makers(a));
  const seen = new Set<string>();
  return order.flatMap((at) =>
    (outcome.steps[at] ?? []).flatMap((times): ShownStep[] => {
      const graph = room.graphs[at];
      const key = `${graph?.revisionId ?? ''} ${times.stepId}`;
      if (!graph || seen.has(key)) return [];
      seen.add(key);
      return [{ graph, times, graphAt: at }];
    }),
  );
}

/** As it is numbered where nothing is left out. */
export const numberOf = ({ id }: Step, { steps }: Pattern): number =>
  steps.findIndex((step) => step.id === id) + 1;

/** The last sitting that has begun by then. */
export const sittingOfTime = ({ sittings }: Room, { start }: StepTimes): number =>
  Math.max(
    0,
    sittings.findLastIndex(({ from }) => from <= start.half),
  );

/** What leaves the table for the first time with a step. */
export function handedOut(step: Step, build: Pattern): string {
  const at = build.steps.indexOf(step);
  const needle = needleOf(step, build);
  const before = at > 0 ? build.steps.slice(0, at).map((each) => needleOf(each, build)) : [];
  const last = before.findLast((each) => each !== null);
  const isNew = needle !== null && (!last || wantedName(last) !== wantedName(needle));
  const cuts = build.cuts.filter((cut) => stepOfCut(build, cut) === at).map(({ name }) => name);
  const hasFindings = build.findings.some((use) => stepOfFinding(build, use) === at);
  return joinWords([
    ...(isNew && needle ? [`needle ${wantedName(needle)}`] : []),
    ...cuts.filter((name) => name !== ''),
    ...(hasFindings ? ['findings of the bag'] : []),
  ]);
}

/** What to look at, or when to stop. */
export const watchedFor = ({ checks, cue }: Step): string => (checks[0] ? checkWords(checks[0]) : cue);
