import { daysAfter } from '../base/index.ts';
import { valuesOf } from '../build/index.ts';
import {
  blankSeat,
  type Designs,
  packGroups,
  preparedSteps,
  type RunInput,
  type Seat,
  seatsOf,
  withSeat,
} from '../run/index.ts';
import type { Outcome } from './outcome.ts';
import { type ClassTask, type Room, roomOf, tablesOf } from './room.ts';
import { sharedUses } from './sharedThings.ts';

/** Something that could be done otherwise, so that more are done in time. */
export type Lever =
  | { readonly kind: 'before' | 'home'; readonly revisionId: string; readonly stepIds: readonly string[] }
  | {
      readonly kind: 'choose';
      readonly revisionId: string;
      readonly optionId: string;
      readonly valueId: string;
      /** Whether that leaves an extra out, or takes the quicker of two ways. */
      readonly isLeftOut: boolean;
    }
  | { readonly kind: 'tool'; readonly key: string; readonly count: number }
  | { readonly kind: 'groups'; readonly rowId: string; readonly groups: number }
  | { readonly kind: 'move'; readonly rowId: string; readonly atMinute: number }
  | { readonly kind: 'longer'; readonly minutes: number }
  | { readonly kind: 'another-sitting'; readonly date: string };

/** More than this of all the work is not taken out of a class at once. */
const MOST_OF_WORK = 0.45;
/** A shorter line is no reason for another tool, minutes. */
const LEAST_WAIT = 0.5;
const PEOPLE_A_TOOL = 3;
const LONGER_BY = [15, 30, 60];
const MOVED_BY = [-15, -5, 5, 15];
/** More than these are not tried one by one. */
const MOST_LEVERS = 80;

/** What may be tried in a class. @param outcome of it as it is */
export function leversOf(designs: Designs, run: RunInput, room: Room, outcome: Outcome): Lever[] {
  const all = [
    ...toolLevers(room, outcome),
    ...rowLevers(run),
    ...choiceLevers(designs, run),
    ...LONGER_BY.map((minutes): Lever => ({ kind: 'longer', minutes })),
    ...sittingLever(run),
    ...elsewhereLevers(room),
  ];
  return [...new Map(all.map((lever) => [JSON.stringify(lever), lever])).values()].slice(0, MOST_LEVERS);
}

function toolLevers(room: Room, { things }: Outcome): Lever[] {
  const { shared, people } = room;
  const tables = tablesOf(room);
  return things.flatMap(({ key, longestWait }, at): Lever[] => {
    const thing = shared[at];
    if (!thing || thing.isInstructor || longestWait <= LEAST_WAIT) return [];
    const there = thing.count * (thing.isPerTable ? tables : 1);
    // One more, and as many as end most lines: one for every three.
    const counts = new Set([there + 1, Math.max(there + 1, Math.ceil(people.length / PEOPLE_A_TOOL))]);
    return [...counts].map((count): Lever => ({ kind: 'tool', key, count }));
  });
}

const rowLevers = ({ plan: { rows, sessions }, seats }: RunInput): Lever[] =>
  rows.flatMap((row): Lever[] => {
    if (row.kind !== 'demo') return [];
    const length = sessions.find(({ id }) => id === row.sessionId)?.minutes ?? 0;
    return [
      ...[1, 2, 3]
        .filter((groups) => groups !== row.groups && groups <= seats)
        .map((groups): Lever => ({ kind: 'groups', rowId: row.id, groups })),
      ...MOVED_BY.map((by) => row.atMinute + by)
        .filter((atMinute) => atMinute >= 0 && atMinute + row.minutes * row.groups <= length)
        .map((atMinute): Lever => ({ kind: 'move', rowId: row.id, atMinute })),
    ];
  });

/** A task with all that has to be done before it, or with all that comes after it, in the class as it is. */
function elsewhereLevers({ graphs, people }: Room): Lever[] {
  return graphs.flatMap(({ revisionId, tasks }, graphAt): Lever[] => {
    // Of several builds of one design the one that most make tells what goes with what.
    const makers = (at: number) => people.filter((person) => person.graphAt === at).length;
    const isMost = graphs.every(
      (other, at) =>
        other.revisionId !== revisionId ||
        at === graphAt ||
        makers(at) < makers(graphAt) ||
        (makers(at) === makers(graphAt) && at > graphAt),
    );
    if (!isMost) return [];
    const work = minutesOf(tasks);
    const isFew = (ats: readonly number[]) =>
      ats.length > 0 && minutesOf(ats.flatMap((at) => tasks[at] ?? [])) <= work * MOST_OF_WORK;
    const sets = (closure: (at: number) => number[]) =>
      distinct(tasks.flatMap((task, at) => ((task.minutes ?? 0) > 0 ? [closure(at)] : [])).filter(isFew));
    const named =
      (kind: 'before' | 'home') =>
      (ats: readonly number[]): Lever => ({
        kind,
        revisionId,
        stepIds: ats.flatMap((at) => tasks[at]?.stepId ?? []),
      });
    return [
      ...sets((at) => ancestors(tasks, at)).map(named('before')),
      ...sets((at) => descendants(tasks, at)).map(named('home')),
    ];
  });
}

const minutesOf = (tasks: readonly ClassTask[]): number =>
  tasks.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);

const distinct = (sets: readonly number[][]): number[][] => [
  ...new Map(sets.map((ats) => [ats.join(' '), ats])).values(),
];

function ancestors(tasks: readonly { readonly before: readonly number[] }[], at: number): number[] {
  const found = new Set<number>([at]);
  const visit = (each: number) => {
    for (const before of tasks[each]?.before ?? []) {
      if (found.has(before)) continue;
      found.add(before);
      visit(before);
    }
  };
  visit(at);
  return [...found].toSorted((a, b) => a - b);
}

/** What comes after it in the same sitting: the next one begins with what was done at home. */
function descendants(
  tasks: readonly { readonly before: readonly number[]; readonly sittingAt: number }[],
  at: number,
): number[] {
  const found = new Set<number>([at]);
  tasks.forEach((task, each) => {
    if (task.sittingAt === tasks[at]?.sittingAt && task.before.some((before) => found.has(before)))
      found.add(each);
  });
  return [...found].toSorted((a, b) => a - b);
}

/** For everybody the value of an option that takes the fewest minutes. */
function choiceLevers(designs: Designs, run: RunInput): Lever[] {
  const pattern = designs.get(run.revisionId);
  if (!pattern) return [];
  return pattern.options.flatMap((option): Lever[] =>
    option.values.flatMap((value): Lever[] => {
      const lever: Lever = {
        kind: 'choose',
        revisionId: run.revisionId,
        optionId: option.id,
        valueId: value.id,
        isLeftOut: option.kind === 'extra',
      };
      return classMinutes(designs, applied(lever, run, designs)) < classMinutes(designs, run) - 0.01
        ? [lever]
        : [];
    }),
  );
}

/** All hands of a class together, at the author’s pace. */
function classMinutes(designs: Designs, run: RunInput): number {
  const room = roomOf(designs, run);
  if (typeof room === 'string') return 0;
  return room.people.reduce((sum, { graphAt }) => sum + minutesOf(room.graphs[graphAt]?.tasks ?? []), 0);
}

function sittingLever({ plan: { sessions }, date }: RunInput): Lever[] {
  const last = sessions.at(-1);
  return last && sessions.length < 10
    ? [{ kind: 'another-sitting', date: daysAfter(last.date ?? date, 7) }]
    : [];
}

/** The class with a lever taken. */
export function applied(lever: Lever, run: RunInput, designs: Designs): RunInput {
  const { plan } = run;
  const withPlan = (change: Partial<RunInput['plan']>): RunInput => ({
    ...run,
    plan: { ...plan, ...change },
  });
  switch (lever.kind) {
    case 'before':
    case 'home': {
      const { kind: where, revisionId, stepIds } = lever;
      return withPlan({
        elsewhere: [
          ...plan.elsewhere.filter(
            (each) => each.revisionId !== revisionId || !stepIds.includes(each.stepId),
          ),
          ...stepIds.map((stepId) => ({ revisionId, stepId, where })),
        ],
      });
    }
    case 'choose':
      return { ...run, roster: chosenByAll(lever, run, designs) };
    case 'tool':
      return withPlan({ shared: withCount(lever, run, designs) });
    case 'groups':
      return withPlan({
        rows: plan.rows.map((row) => (row.id === lever.rowId ? { ...row, groups: lever.groups } : row)),
      });
    case 'move':
      return withPlan({
        rows: plan.rows.map((row) => (row.id === lever.rowId ? { ...row, atMinute: lever.atMinute } : row)),
      });
    case 'longer': {
      const last = plan.sessions.at(-1);
      return withPlan({
        sessions: plan.sessions.map((each) =>
          each === last ? { ...each, minutes: each.minutes + lever.minutes } : each,
        ),
      });
    }
    case 'another-sitting': {
      const last = plan.sessions.at(-1);
      return last
        ? withPlan({ sessions: [...plan.sessions, { ...last, id: `on-${lever.date}`, date: lever.date }] })
        : run;
    }
  }
}

/** Every seat with that value; what else a seat has chosen stays. */
function chosenByAll(
  { optionId, valueId }: Extract<Lever, { kind: 'choose' }>,
  run: RunInput,
  designs: Designs,
): Seat[] {
  const pattern = designs.get(run.revisionId);
  return seatsOf(run).reduce<Seat[]>((roster, seat) => {
    const choices = seat.choices ?? { values: {}, colourwayId: null, swapIds: [] };
    const has = pattern ? valuesOf(pattern, choices)[optionId] : undefined;
    if (has === valueId) return roster;
    return withSeat(roster, {
      ...blankSeat(seat.seat),
      ...seat,
      choices: { ...choices, values: { ...choices.values, [optionId]: valueId } },
    });
  }, run.roster);
}

/** As many of it as the lever says, for the whole room. */
function withCount(
  { key, count }: Extract<Lever, { kind: 'tool' }>,
  run: RunInput,
  designs: Designs,
): RunInput['plan']['shared'] {
  const { shared } = run.plan;
  if (shared.some((each) => each.key === key))
    return shared.map((each) => (each.key === key ? { ...each, count } : each));
  const pattern = designs.get(run.revisionId);
  const uses = pattern ? sharedUses(pattern, { shared: [] }) : null;
  const thing = uses?.things.find((each) => each.key === key);
  const use = pattern?.steps.flatMap(({ id }) => uses?.ofStep(id) ?? []).find((each) => each.key === key);
  return [
    ...shared,
    { key, name: thing?.name ?? '', count, minutesAtIt: use?.minutes ?? null, stepIds: null },
  ];
}

/** The maker’s own minutes that a lever costs before the day: what is prepared, for every pack. Unknown ones are not in it. */
export function makerMinutes(lever: Lever, run: RunInput, designs: Designs): number {
  if (lever.kind !== 'before') return 0;
  const { revisionId, stepIds } = lever;
  const elsewhere = stepIds.map((stepId) => ({ revisionId, stepId, where: 'before' as const }));
  return preparedSteps(packGroups(designs, run), elsewhere).reduce(
    (sum, { minutes }) => sum + (minutes ?? 0),
    0,
  );
}
