import { RUN_DEFAULTS, type RunInput, BLANK_PLAN, type ClassSession } from '../../src/run/index.ts';
import type { ClassTask, Room } from '../../src/timetable/room.ts';
import { PACE } from '../../src/timetable/room.ts';
import { STEP_SIGMA, type Task } from '../../src/timetable/index.ts';

/** A task by hand: its name, minutes, what comes before it by name, and what it waits afterwards. */
export interface Said {
  readonly id: string;
  readonly minutes: number;
  readonly after?: readonly string[];
  readonly waits?: number;
}

export const tasksSaid = (all: readonly Said[]): Task[] =>
  all.map(({ id, minutes, after = [], waits = 0 }) => ({
    stepId: id,
    minutes,
    sigma: STEP_SIGMA,
    waitMinutes: waits,
    isWaitUnknown: false,
    before: after.map((name) => all.findIndex((each) => each.id === name)).toSorted((a, b) => a - b),
    sessionAt: 0,
  }));

export const sitting = (more: Partial<ClassSession> = {}): ClassSession => ({
  id: 'one',
  date: null,
  startsAt: '14:00',
  minutes: 120,
  ...more,
});

export const classRun = (more: Partial<RunInput> = {}): RunInput => ({
  ...RUN_DEFAULTS,
  recipes: [],
  roster: [],
  swapIds: [],
  findingSpares: [],
  ownBags: [],
  name: 'Saturday',
  date: '2026-12-05',
  revisionId: 'r',
  plan: { ...BLANK_PLAN, lateMinutes: 0, clearUpMinutes: 0, sessions: [sitting()] },
  ...more,
});

/** A room in which everybody does these tasks in this order, from midnight on. */
export function roomSaid(
  tasks: readonly (Said & { readonly uses?: ClassTask['uses'] })[],
  { people = 1, pace = PACE.some, shared = [], tables = 1 }: { people?: number; pace?: number; shared?: Room['shared']; tables?: number } = {},
): Room {
  const classTasks = tasksSaid(tasks).map(
    (task, at): ClassTask => ({ ...task, drawnAt: at, sittingAt: 0, notBefore: 0, uses: tasks[at]?.uses ?? [], rowIds: [] }),
  );
  return {
    people: Array.from({ length: people }, (_, at) => ({
      seat: at + 1,
      skill: 'some' as const,
      graphAt: 0,
      pace,
      tableAt: at % tables,
    })),
    graphs: [{ revisionId: 'r', build: null as never, tasks: classTasks, order: classTasks.map((_, at) => at) }],
    sittings: [{ id: 'one', from: 0, workTo: 120, to: 120 }],
    rows: [],
    shared,
    drawn: tasks.length,
  };
} // prettier-ignore
