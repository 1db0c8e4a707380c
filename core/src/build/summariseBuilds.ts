import { estimatePattern, type Wool } from '../engine/index.ts';
import {
  isWool,
  activeMinutes,
  allowedValues,
  countRange,
  defaultValues,
  type Pattern,
  type Values,
} from '../pattern/index.ts';
import { unitPriceMinor } from '../shelf/index.ts';
import { resolveBuild } from './resolveBuild.ts';
import { partNeeds } from './whatNeeds.ts';

/** What one build comes to. Sums with an unknown in them are at least that much. */
export interface BuildSummary {
  readonly values: Values;
  readonly likelyG: number;
  readonly minutes: number;
  readonly pieces: number;
  /** Wool and bought things, integer minor units. */
  readonly costMinor: number;
  readonly unknownCount: number;
}

type Sums = Omit<BuildSummary, 'values'>;

const NOTHING: Sums = { likelyG: 0, minutes: 0, pieces: 0, costMinor: 0, unknownCount: 0 };
const SUMMED = ['likelyG', 'minutes', 'pieces', 'costMinor', 'unknownCount'] as const;

const combine = (a: Sums, b: Sums, sign: 1 | -1): Sums =>
  Object.fromEntries(SUMMED.map((key) => [key, a[key] + sign * b[key]])) as unknown as Sums;

/** What this pattern comes to as it is, its options already resolved. */
export function sumsOf(build: Pattern, wool: Wool): Sums {
  const estimate = estimatePattern(build, wool);
  const things = estimate.findings.reduce((sum, { findingId, likely }) => {
    const finding = wool.findings.get(findingId);
    const price = finding ? unitPriceMinor(finding) : null;
    return price === null ? sum : sum + price * likely;
  }, 0);
  return {
    likelyG: estimate.total.likelyG,
    minutes: activeMinutes(build).known,
    pieces: build.parts.reduce((sum, { count }) => sum + (countRange(count)?.likely ?? 0), 0),
    costMinor: estimate.costMinor.known + Math.round(things),
    unknownCount: estimate.total.unknownCount,
  };
}

/**
 * Options that have nothing to do with one another add up: what one changes is the same whatever the others are. So each
 * group of options that do meet is worked out by itself, and the rest is adding.
 */
export interface BuildPlan {
  readonly base: Values;
  readonly groups: readonly (readonly string[])[];
  /** How many estimates it takes. */
  readonly estimateCount: number;
}

/** Options grouped by the parts, joins, weights and steps they touch. */
export function planBuilds(pattern: Pattern): BuildPlan {
  const touches = new Map(pattern.options.map(({ id }) => [id, touchedBy(pattern, id)]));
  const groups: { ids: string[]; things: Set<string> }[] = [];
  for (const [id, things] of touches) {
    const meeting = groups.filter((group) => [...things].some((thing) => group.things.has(thing)));
    const merged = { ids: [...meeting.flatMap(({ ids }) => ids), id], things: new Set(things) };
    for (const group of meeting) for (const thing of group.things) merged.things.add(thing);
    for (const group of meeting) groups.splice(groups.indexOf(group), 1);
    groups.push(merged);
  }
  const sizeOf = (optionId: string) => pattern.options.find(({ id }) => id === optionId)?.values.length ?? 1;
  const work = groups.reduce((sum, { ids }) => sum + ids.reduce((product, id) => product * sizeOf(id), 1), 1);
  return { base: defaultValues(pattern), groups: groups.map(({ ids }) => ids), estimateCount: work };
}

/** All that a change of this option can reach. A part that may be gone takes along what has nothing left to be on. */
function touchedBy(pattern: Pattern, optionId: string): Set<string> {
  const option = pattern.options.find(({ id }) => id === optionId);
  const partOf = new Map(pattern.parts.flatMap(({ id, uses }) => uses.map((use) => [use.id, id] as const)));
  const things = new Set(
    option?.values.flatMap((value) =>
      value.things.flatMap(({ kind, id }) => {
        if (kind === 'use') return [`use ${id}`, `part ${partOf.get(id) ?? ''}`];
        return kind === 'part' ? [`part ${id}`, `gone ${id}`] : [`${kind} ${id}`];
      }),
    ),
  );
  spread(pattern, things);
  return things;
}

type Edge = readonly [from: string, to: string];

/** From whatever changes to all that is worked out from it, until nothing more is reached. */
function spread(pattern: Pattern, things: Set<string>): void {
  const edges = dependencies(pattern);
  for (let before = -1; before !== things.size;) {
    before = things.size;
    for (const [from, to] of edges) if (things.has(from)) things.add(to);
  }
}

function dependencies(pattern: Pattern): Edge[] {
  return [
    ...partNeeds(pattern).flatMap(({ neededBy, partId, why }): Edge[] =>
      why === 'joined-onto' ? [] : [[`part ${partId}`, `part ${neededBy}`]],
    ),
    // The wool of a join, loose end and cover, is its own; what it is part of does not depend on it.
    ...pattern.joins.flatMap(({ id, partId, ontoId, looseEnd, cover }): Edge[] => [
      [`part ${partId}`, `join ${id}`],
      // Of the part it is set onto, only a loose end or a cover knows; without that part there is no join at all.
      ...(cover || looseEnd?.partId === ontoId ? [[`part ${ontoId}`, `join ${id}`] as const] : []),
      [`gone ${ontoId}`, `join ${id}`],
    ]),
    ...pattern.steps.flatMap(({ id, partIds }) =>
      partIds.map((partId): Edge => [`gone ${partId}`, `step ${id}`]),
    ),
    ...pattern.findings.flatMap(({ id, partId }): Edge[] =>
      partId === null ? [] : [[`gone ${partId}`, `finding ${id}`]],
    ),
    ...pattern.cuts.flatMap((cut): Edge[] =>
      cut.kind === 'wire'
        ? cut.segments.flatMap(({ partId }): Edge[] =>
            partId === null
              ? []
              : [
                  [`part ${partId}`, `cut ${cut.id}`],
                  [`cut ${cut.id}`, `part ${partId}`],
                ],
          )
        : [],
    ),
    ...sharedEdges(pattern),
    ...sampleEdges(pattern),
  ];
}

/** What one part’s sample teaches, every part is worked out with. */
function sampleEdges({ parts }: Pattern): Edge[] {
  const taught = parts.filter(({ sample }) => sample !== null);
  return taught.flatMap(({ id }) => parts.map((part): Edge => [`part ${id}`, `part ${part.id}`]));
}

/** Everybody who takes from one weight. */
function sharedEdges({ parts }: Pattern): Edge[] {
  return parts.flatMap(({ id, uses }) =>
    uses.flatMap((use) =>
      isWool(use) && use.amount && 'sharedId' in use.amount && use.amount.sharedId !== null
        ? [
            [`part ${id}`, `shared ${use.amount.sharedId}`] as const,
            [`shared ${use.amount.sharedId}`, `part ${id}`] as const,
          ]
        : [],
    ),
  );
}

/** More than anybody reads: of more, the first ones are listed. */
export const MOST_BUILDS = 5000;

/** The first allowed builds, in the order of the options. */
function firstAllowed(pattern: Pattern): Values[] {
  const first: Values[] = [];
  for (const values of allowedValues(pattern)) {
    first.push(values);
    if (first.length === MOST_BUILDS) break;
  }
  return first;
}

/**
 * Every allowed build with what it comes to, in the order of the options; of more than `MOST_BUILDS` the first. `onStep` is
 * called after each estimate with how many are done; it may stop the work by returning false, and the result is then null.
 */
export function summariseBuilds(
  pattern: Pattern,
  wool: Wool,
  onStep: (done: number, of: number) => boolean = () => true,
): BuildSummary[] | null {
  const listed = firstAllowed(pattern);
  const plan = planBuilds(pattern);
  const sumsWith = (values: Values) =>
    sumsOf(resolveBuild(pattern, { values, colourwayId: null, swapIds: [] }), wool);
  // Where options meet so much that adding takes more than it saves.
  if (plan.estimateCount > listed.length) return eachByItself(listed, sumsWith, onStep);
  return addedUp(pattern, { listed, plan, sumsWith, onStep });
}

function eachByItself(
  listed: readonly Values[],
  sumsWith: (values: Values) => Sums,
  onStep: (done: number, of: number) => boolean,
): BuildSummary[] | null {
  const builds: BuildSummary[] = [];
  for (const values of listed) {
    builds.push({ values, ...sumsWith(values) });
    if (!onStep(builds.length, listed.length)) return null;
  }
  return builds;
}

interface Adding {
  readonly listed: readonly Values[];
  readonly plan: BuildPlan;
  readonly sumsWith: (values: Values) => Sums;
  readonly onStep: (done: number, of: number) => boolean;
}

function addedUp(pattern: Pattern, { listed, plan, sumsWith, onStep }: Adding): BuildSummary[] | null {
  const { base, groups, estimateCount: work } = plan;
  const atBase = sumsWith(base);
  let done = 1;
  if (!onStep(done, work)) return null;
  const changes = new Map<string, Sums>();
  for (const group of groups) {
    const options = pattern.options.filter(({ id }) => group.includes(id));
    for (const values of allowedValues({ options, limits: [] })) {
      changes.set(keyOf(group, values), combine(sumsWith({ ...base, ...values }), atBase, -1));
      done += 1;
      if (!onStep(done, work)) return null;
    }
  }
  return listed.map((values) => {
    const sums = groups.reduce(
      (total, group) => combine(total, changes.get(keyOf(group, values)) ?? NOTHING, 1),
      atBase,
    );
    return { values, ...sums };
  });
}

const keyOf = (group: readonly string[], values: Values): string =>
  group.map((id) => `${id}=${values[id] ?? ''}`).join(' ');
