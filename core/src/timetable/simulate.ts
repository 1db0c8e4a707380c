import { openFrom, type Stretch, workedUntil } from './clock.ts';
import { drawNormals } from './draws.ts';
import {
  type ClassGraph,
  type ClassPerson,
  closedFor,
  closedForInstructor,
  groupOf,
  PERSON_SIGMA,
  type Room,
  rowStretch,
} from './room.ts';

/** A class once over: what each did when, minutes of the clock. */
export interface ClassOnce {
  /** By person, then by task of their graph. */
  readonly starts: readonly Float64Array[];
  readonly ends: readonly Float64Array[];
  /** Of each person: hands free with nothing they could do. */
  readonly idleMinutes: Float64Array;
  /** Of each shared thing: waited for it by each who came, in their order. */
  readonly queued: readonly number[][];
}

/** How far people and steps stray; null: everybody exactly as fast as their skill. */
export interface Straying {
  readonly seed: number;
  readonly classAt: number;
}

const NEVER = Number.POSITIVE_INFINITY;
const SOON = 1e-9;

/** A room made ready to be gone through many times. */
export interface ReadyRoom {
  readonly room: Room;
  readonly people: readonly ReadyPerson[];
  readonly servers: readonly ReadyThing[];
}

interface ReadyPerson {
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

interface ReadyThing {
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

/**
 * A class gone through once, by events in the order of the clock: whoever is free takes the first task in their order that is
 * ready and whose tools are there; who finds only what others hold waits in line, first come first served.
 */
export function goThrough({ room, people, servers }: ReadyRoom, straying: Straying | null): ClassOnce {
  const normals = new Float64Array(room.drawn + 1);
  const starts = people.map(({ graph }) => new Float64Array(graph.tasks.length).fill(NEVER));
  const ends = people.map(({ graph }) => new Float64Array(graph.tasks.length).fill(NEVER));
  const durations = people.map((each) => durationsOf(each, straying, normals));
  const paces = durations.map(({ pace }) => pace);
  const idleMinutes = new Float64Array(people.length);
  const queued: number[][] = room.shared.map(() => []);
  const freeAt = servers.map(({ count }) => new Float64Array(Math.max(1, count)));
  const firstLeft = new Int32Array(people.length);
  const queue = clockQueue(people.length);
  people.forEach(({ closed }, at) => queue.push(openFrom(closed, room.sittings[0]?.from ?? 0), at));

  for (let next = queue.pop(); next; next = queue.pop()) {
    const { time, who } = next;
    const person = people[who] as ReadyPerson;
    const { graphOnce, closed, notBefore, uses } = person;
    const [startOf, endOf] = [starts[who] as Float64Array, ends[who] as Float64Array];
    const minutesOf = durations[who]?.minutes as Float64Array;
    const pace = paces[who] ?? 1;
    const { order, waits, before } = graphOnce;
    while (
      (firstLeft[who] as number) < order.length &&
      endOf[order[firstLeft[who] as number] as number] !== NEVER
    )
      (firstLeft[who] as number)++;
    if ((firstLeft[who] as number) >= order.length) continue;

    let taken = -1;
    let soonest = NEVER;
    let lineTask = -1;
    let lineFrom = NEVER;
    for (let place = firstLeft[who] as number; place < order.length; place++) {
      const task = order[place] as number;
      if (endOf[task] !== NEVER) continue;
      let ready = notBefore[task] as number;
      for (const each of before[task] as Int32Array) {
        const free = (endOf[each] as number) + (waits[each] as number);
        if (free > ready) ready = free;
      }
      if (ready === NEVER) continue;
      const hands = minutesOf[task] as number;
      if (hands === 0) {
        // It takes no hands: it is over when it could begin, whoever is busy with something else.
        startOf[task] = ready;
        endOf[task] = ready;
        taken = task;
        break;
      }
      if (ready > time + SOON) {
        if (ready < soonest) soonest = ready;
        continue;
      }
      const thereAt = toolsFrom(uses[task] as ReadyPerson['uses'][number], servers, freeAt, time);
      if (thereAt <= time + SOON) {
        taken = task;
        break;
      }
      if (lineTask < 0) {
        lineTask = task;
        lineFrom = thereAt;
      }
    }
    if (taken >= 0 && (minutesOf[taken] as number) === 0) {
      queue.push(time, who);
      continue;
    }
    let start = time;
    if (taken < 0) {
      if (soonest < lineFrom || lineTask < 0) {
        if (soonest === NEVER) continue;
        const wakes = openFrom(closed, soonest);
        idleMinutes[who] = (idleMinutes[who] as number) + openBetween(closed, time, wakes);
        queue.push(wakes, who);
        continue;
      }
      taken = lineTask;
      start = openFrom(closed, lineFrom);
      idleMinutes[who] = (idleMinutes[who] as number) + openBetween(closed, time, start);
    }
    const end = workedUntil(closed, start, minutesOf[taken] as number);
    for (const { thingAt, minutes } of uses[taken] as ReadyPerson['uses'][number]) {
      const server = servers[thingAt] as ReadyThing;
      hold(
        freeAt[thingAt] as Float64Array,
        minutes === null ? end : Math.min(end, workedUntil(closed, start, minutes * pace)),
      );
      (queued[server.shownAt] as number[]).push(start - time);
    }
    startOf[taken] = start;
    endOf[taken] = end;
    queue.push(end, who);
  }
  return { starts, ends, idleMinutes, queued };
}

/** When all that a task takes is there. */
function toolsFrom(
  uses: ReadyPerson['uses'][number],
  servers: readonly ReadyThing[],
  freeAt: readonly Float64Array[],
  time: number,
): number {
  let from = time;
  for (const { thingAt } of uses) {
    const free = earliest(freeAt[thingAt] as Float64Array);
    from = Math.max(from, openFrom((servers[thingAt] as ReadyThing).closed, Math.max(free, time)));
  }
  return from;
}

function earliest(freeAt: Float64Array): number {
  let least = NEVER;
  for (const free of freeAt) if (free < least) least = free;
  return least;
}

/** The one of it that is free first is taken until then. */
function hold(freeAt: Float64Array, until: number): void {
  let least = 0;
  for (let at = 1; at < freeAt.length; at++)
    if ((freeAt[at] as number) < (freeAt[least] as number)) least = at;
  freeAt[least] = until;
}

/** Minutes between two times that are not closed. */
function openBetween(closed: readonly Stretch[], from: number, to: number): number {
  let open = to - from;
  for (const each of closed) open -= Math.max(0, Math.min(to, each.to) - Math.max(from, each.from));
  return Math.max(0, open);
}

function durationsOf(
  { person, graphOnce }: ReadyPerson,
  straying: Straying | null,
  normals: Float64Array,
): { readonly minutes: Float64Array; readonly pace: number } {
  const { minutes, sigma, drawnAt } = graphOnce;
  if (!straying) return { minutes: minutes.map((each) => each * person.pace), pace: person.pace };
  drawNormals(normals, straying.seed, straying.classAt, person.seat);
  const pace = person.pace * Math.exp(PERSON_SIGMA * (normals[0] as number));
  const all = new Float64Array(minutes.length);
  for (let at = 0; at < all.length; at++) {
    const stray = (normals[1 + (drawnAt[at] as number)] as number) * (sigma[at] as number);
    all[at] = (minutes[at] as number) * pace * Math.exp(stray);
  }
  return { minutes: all, pace };
}

/** People by when they are next free; of two at one time the one that was there first. A binary heap. */
function clockQueue(size: number) {
  const times = new Float64Array(size + 1);
  const whos = new Int32Array(size + 1);
  const turns = new Float64Array(size + 1);
  let [length, turn] = [0, 0];
  const isAhead = (a: number, b: number) =>
    (times[a] as number) < (times[b] as number) ||
    (times[a] === times[b] && (turns[a] as number) < (turns[b] as number));
  const swap = (a: number, b: number) => {
    [times[a], times[b]] = [times[b] as number, times[a] as number];
    [whos[a], whos[b]] = [whos[b] as number, whos[a] as number];
    [turns[a], turns[b]] = [turns[b] as number, turns[a] as number];
  };
  return {
    push(time: number, who: number): void {
      let at = length++;
      times[at] = time;
      whos[at] = who;
      turns[at] = turn++;
      for (let up = (at - 1) >> 1; at > 0 && isAhead(at, up); up = (at - 1) >> 1) {
        swap(at, up);
        at = up;
      }
    },
    pop(): { time: number; who: number } | null {
      if (length === 0) return null;
      const top = { time: times[0] as number, who: whos[0] as number };
      length -= 1;
      swap(0, length);
      for (let at = 0; ;) {
        let least = at;
        for (const child of [2 * at + 1, 2 * at + 2])
          if (child < length && isAhead(child, least)) least = child;
        if (least === at) break;
        swap(at, least);
        at = least;
      }
      return top;
    },
  };
}
