import type { Stretch } from './clock.ts';
import {
  type ClassGraph,
  type ClassPerson,
  closedFor,
  closedForInstructor,
  groupOf,
  type Room,
  rowStretch,
} from './room.ts';

/** A room made ready to be gone through many times. */
export interface ReadyRoom {
  readonly room: Room;
  readonly people: readonly ReadyPerson[];
  readonly servers: readonly ReadyThing[];
}

export interface ReadyPerson {
  readonly person: ClassPerson;
  readonly graph: ClassGraph;
  readonly closed: readonly Stretch[];
  readonly graphOnce: ReadyGraph;
  /** Of each task: what it may not begin before, by its sitting and what has to be shown first. */
  readonly notBefore: Float64Array;
  /** Of each task, the place of the thing it takes, with the minutes at it; none: -1. */
  readonly uses: readonly (readonly { readonly thingAt: number; readonly minutes: number | null }[])[];
}

interface ReadyGraph {
  readonly order: Int32Array;
  readonly minutes: Float64Array;
  readonly sigma: Float64Array;
  readonly waits: Float64Array;
  readonly before: readonly Int32Array[];
  readonly drawnAt: Int32Array;
}

export interface ReadyThing {
  readonly shownAt: number;
  readonly count: number;
  readonly closed: readonly Stretch[];
}

/** @param lateMinutes until all have come */
export function readyRoom(room: Room, lateMinutes: number): ReadyRoom {
  const graphs = room.graphs.map(readyGraph);
  const tables = Math.max(1, ...room.people.map(({ tableAt }) => tableAt + 1));
  const instructorClosed = closedForInstructor(room, lateMinutes);
  const servers: ReadyThing[] = [];
  const serverAt = new Map<string, number>();
  room.shared.forEach((thing, shownAt) => {
    for (let table = 0; table < (thing.isPerTable ? tables : 1); table++) {
      serverAt.set(`${thing.key} ${thing.isPerTable ? table : ''}`, servers.length);
      servers.push({ shownAt, count: thing.count, closed: thing.isInstructor ? instructorClosed : [] });
    }
  });
  const people = room.people.map((person): ReadyPerson => {
    const graph = room.graphs[person.graphAt] as ClassGraph;
    return {
      person,
      graph,
      graphOnce: graphs[person.graphAt] as ReadyGraph,
      closed: closedFor(room, person, lateMinutes),
      notBefore: Float64Array.from(graph.tasks, ({ notBefore, rowIds }) =>
        Math.max(
          notBefore,
          ...room.rows
            .filter(({ id }) => rowIds.includes(id))
            .map(
              (row) =>
                rowStretch(row, room.sittings, groupOf(person.seat, room.people.length, row.groups)).to,
            ),
        ),
      ),
      uses: graph.tasks.map(({ uses }) =>
        uses.flatMap(({ key, minutes }) => {
          const thing = room.shared.find((each) => each.key === key);
          const thingAt = serverAt.get(`${key} ${thing?.isPerTable ? person.tableAt : ''}`);
          return thingAt === undefined ? [] : [{ thingAt, minutes }];
        }),
      ),
    };
  });
  return { room, people, servers };
}

const readyGraph = ({ tasks, order }: ClassGraph): ReadyGraph => ({
  order: Int32Array.from(order),
  minutes: Float64Array.from(tasks, ({ minutes }) => minutes ?? 0),
  sigma: Float64Array.from(tasks, ({ sigma }) => sigma),
  waits: Float64Array.from(tasks, ({ waitMinutes }) => waitMinutes),
  before: tasks.map(({ before }) => Int32Array.from(before)),
  drawnAt: Int32Array.from(tasks, ({ drawnAt }) => Math.max(0, drawnAt)),
});
