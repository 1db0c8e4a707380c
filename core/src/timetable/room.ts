import type { Pattern } from '../pattern/index.ts';
import type { Learnt } from '../learning/index.ts';
import { type Skill, SKILLS } from '../needles/index.ts';
import {
  type ClassPlan,
  type Designs,
  type Make,
  packGroups,
  type PlanRow,
  type RunInput,
  seatsOf,
  sessionStarts,
} from '../run/index.ts';
import { merged, type Stretch } from './clock.ts';
import { planForOne } from './planForOne.ts';
import { type RoomThing, type SharedUse, sharedUses } from './sharedThings.ts';
import { type Task, tasksOf } from './tasks.ts';

/** How long learners of each degree of practice take, of the author’s time. */
export type Paces = Readonly<Record<Skill, number>>;

/** Ours, until classes have taught better. */
export const PACE: Paces = { practised: 1.2, some: 1.6, 'first-timer': 2.2 };

/** As classes have taught, as far as it is in force. */
export const pacesOf = (learnt: Learnt | null): Paces => ({
  ...PACE,
  ...Object.fromEntries(
    SKILLS.flatMap((skill) => {
      const row = learnt?.skills.find((each) => each.skill === skill);
      return row ? [[skill, PACE[skill] * Math.exp(row.ln)]] : [];
    }),
  ),
});
/** Between learners of one skill, σ of the logarithm of all their minutes together. */
export const PERSON_SIGMA = 0.25;

/** What one build has to do in the class itself, in the order a pair of hands does it soonest. */
export interface ClassGraph {
  readonly revisionId: string;
  readonly build: Pattern;
  readonly tasks: readonly ClassTask[];
  /** Places in `tasks`, in the order they are taken up. */
  readonly order: readonly number[];
}

export interface ClassTask extends Task {
  /** Of its step in the pattern as it was published: its chance is drawn by that, whatever is left out. */
  readonly drawnAt: number;
  /** Nobody begins it before, by the sitting it belongs to; minutes of the clock. */
  readonly notBefore: number;
  /** The sitting it is to be done in, from 0. */
  readonly sittingAt: number;
  readonly uses: readonly SharedUse[];
  /** Rows of demonstrations that have to be seen first. */
  readonly rowIds: readonly string[];
}

export interface ClassPerson {
  readonly seat: number;
  readonly skill: Skill;
  /** Their graph’s place in the room’s list. */
  readonly graphAt: number;
  readonly pace: number;
  readonly tableAt: number;
}

/** One sitting on the clock. */
export interface Sitting {
  readonly id: string;
  readonly from: number;
  /** Hands stop here to clear up. */
  readonly workTo: number;
  readonly to: number;
}

export interface Room {
  readonly people: readonly ClassPerson[];
  readonly graphs: readonly ClassGraph[];
  readonly sittings: readonly Sitting[];
  readonly rows: readonly PlanRow[];
  readonly shared: readonly RoomThing[];
  /** Steps of the largest pattern: so many chances are drawn for each person. */
  readonly drawn: number;
}

/** Tables that somebody sits at. */
export const tablesOf = ({ people }: Pick<Room, 'people'>): number =>
  new Set(people.map(({ tableAt }) => tableAt)).size;

/** Why no time can be told. */
export type NoRoom = 'no-sessions' | 'no-people' | 'no-steps' | 'no-minutes';

/** The class as it would be worked through. @param run a class whose plan is as it should be */
export function roomOf(designs: Designs, run: RunInput, paces: Paces = PACE): Room | NoRoom {
  const { plan } = run;
  const sittings = sittingsOf(plan, run.date);
  if (sittings.length === 0) return 'no-sessions';
  if (run.seats < 1) return 'no-people';
  const builder = graphsOf(plan, sittings);
  const makeOfSeat = makesBySeat(designs, run);
  const people = seatsOf(run).flatMap(({ seat, skill: its }, at): ClassPerson[] => {
    const make = makeOfSeat.get(seat);
    if (!make) return [];
    const skill = its ?? run.skill;
    const tableAt = Math.floor(at / Math.max(1, run.seatsPerTable));
    return [{ seat, skill, graphAt: builder.graphAt(make), pace: paces[skill], tableAt }];
  });
  const graphs = builder.graphs();
  if (people.length === 0) return 'no-people';
  if (graphs.every(({ tasks }) => tasks.length === 0)) return 'no-steps';
  // Of nothing that is timed a hundred per cent would be a number made up.
  if (graphs.every(({ tasks }) => tasks.every(({ minutes }) => minutes === null || minutes === 0)))
    return 'no-minutes';
  return {
    people,
    graphs,
    sittings,
    rows: plan.rows.filter(({ sessionId }) => sittings.some(({ id }) => id === sessionId)),
    shared: builder.shared(),
    drawn: Math.max(...[...designs.values()].map(({ steps }) => steps.length)),
  };
}

/** Sittings whose day and time are read, in their order. */
function sittingsOf(plan: ClassPlan, date: string): Sitting[] {
  const starts = sessionStarts(plan.sessions, date);
  return plan.sessions.flatMap(({ id, minutes }, at) => {
    const from = starts[at] ?? null;
    if (from === null) return [];
    const to = from + minutes;
    return [{ id, from, workTo: Math.max(from, to - plan.clearUpMinutes), to }];
  });
}

/** What each seat makes. */
const makesBySeat = (designs: Designs, run: RunInput): Map<number, Make> =>
  new Map(
    packGroups(designs, { ...run, hasStageSamples: false }).flatMap(({ makes: [make], seats }) =>
      make ? seats.map((seat) => [seat, make] as const) : [],
    ),
  );

/** Graphs of what is made, each once, and what is shared in them. */
function graphsOf(plan: ClassPlan, sittings: readonly Sitting[]) {
  const known = new Map<Pattern, number>();
  const alike = new Map<string, number>();
  const graphs: ClassGraph[] = [];
  const things = new Map<string, RoomThing>();
  const graphAt = ({ build, revisionId, pattern }: Make): number => {
    const before = known.get(build);
    if (before !== undefined) return before;
    const uses = plan.isRemote ? null : sharedUses(build, plan);
    for (const thing of uses?.things ?? []) things.set(thing.key, thing);
    const tasks = inClass(tasksOf(build).tasks, revisionId, plan).map((task): ClassTask => {
      const sittingAt = Math.min(task.sessionAt, sittings.length - 1);
      return {
        ...task,
        drawnAt: pattern.steps.findIndex(({ id }) => id === task.stepId),
        sittingAt,
        notBefore: sittings[sittingAt]?.from ?? 0,
        uses: uses?.ofStep(task.stepId) ?? [],
        rowIds: rowsBefore(plan, task.stepId),
      };
    });
    // Builds that differ in colour alone take the same time.
    const sameTime = JSON.stringify([revisionId, tasks]);
    const same = alike.get(sameTime) ?? graphs.length;
    if (same === graphs.length) {
      graphs.push({ revisionId, build, tasks, order: planForOne(tasks).turns.map(({ at }) => at) });
      alike.set(sameTime, same);
    }
    known.set(build, same);
    return same;
  };
  return { graphAt, graphs: () => graphs, shared: () => [...things.values()] };
}

const rowsBefore = ({ rows }: ClassPlan, stepId: string): string[] =>
  rows.filter(({ kind, stepIds }) => kind === 'demo' && stepIds.includes(stepId)).map(({ id }) => id);

/** Without what is done beforehand or at home: whatever came after it now comes after what that came after. */
function inClass(tasks: readonly Task[], revisionId: string, plan: Pick<ClassPlan, 'elsewhere'>): Task[] {
  const isElsewhere = (task: Task) =>
    plan.elsewhere.some((each) => each.revisionId === revisionId && each.stepId === task.stepId);
  const goneAts = new Set(tasks.flatMap((task, at) => (isElsewhere(task) ? [at] : [])));
  if (goneAts.size === 0) return [...tasks];
  const throughGone = (at: number): number[] =>
    goneAts.has(at) ? (tasks[at]?.before ?? []).flatMap(throughGone) : [at];
  const placeOf = new Map<number, number>();
  tasks.forEach((_task, at) => {
    if (!goneAts.has(at)) placeOf.set(at, placeOf.size);
  });
  return tasks.flatMap((task, at) =>
    goneAts.has(at)
      ? []
      : [
          {
            ...task,
            before: [...new Set(task.before.flatMap(throughGone))]
              .flatMap((each) => placeOf.get(each) ?? [])
              .toSorted((a, b) => a - b),
          },
        ],
  );
}

/** To which group of a demonstration a seat belongs, from 0: neighbours sit together. */
export const groupOf = (seat: number, seats: number, groups: number): number =>
  Math.min(groups - 1, Math.floor(((seat - 1) * groups) / Math.max(1, seats)));

/** A row on the clock, as a group meets it. */
export function rowStretch(row: PlanRow, sittings: readonly Sitting[], group: number): Stretch {
  const from = (sittings.find(({ id }) => id === row.sessionId)?.from ?? 0) + row.atMinute;
  return row.kind === 'demo'
    ? { from: from + group * row.minutes, to: from + (group + 1) * row.minutes }
    : { from, to: from + row.minutes };
}

/** When a person’s hands are not free: before all have come, in talks, breaks and what they are shown, between sittings. */
export function closedFor(room: Room, person: ClassPerson, lateMinutes: number): Stretch[] {
  const { sittings, rows, people } = room;
  return merged([
    ...betweenSittings(sittings, lateMinutes),
    ...rows.map((row) => rowStretch(row, sittings, groupOf(person.seat, people.length, row.groups))),
  ]);
}

/** When the instructor’s are not: as long as any group is shown something. */
export function closedForInstructor(room: Room, lateMinutes: number): Stretch[] {
  const { sittings, rows } = room;
  return merged([
    ...betweenSittings(sittings, lateMinutes),
    ...rows.map((row) => ({
      from: rowStretch(row, sittings, 0).from,
      to: rowStretch(row, sittings, row.kind === 'demo' ? row.groups - 1 : 0).to,
    })),
  ]);
}

/** After the last sitting the clock runs on: how far over is told by that. */
const betweenSittings = (sittings: readonly Sitting[], lateMinutes: number): Stretch[] =>
  sittings.map((sitting, at) => ({
    from: at === 0 ? 0 : (sittings[at - 1]?.workTo ?? 0),
    to: sitting.from + lateMinutes,
  }));
