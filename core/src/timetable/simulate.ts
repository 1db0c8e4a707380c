import { clockQueue } from './clockQueue.ts';
import { openFrom, type Stretch, workedUntil } from './clock.ts';
import { drawNormals } from './draws.ts';
import type { ReadyPerson, ReadyRoom, ReadyThing } from './readyRoom.ts';
import { PERSON_SIGMA } from './room.ts';

/** A class once over: what each did when, minutes of the clock. */
export interface ClassOnce {
  /** By person, then by task of their graph. */
  readonly starts: readonly Float64Array[];
  readonly ends: readonly Float64Array[];
  /** Of each person: hands free with nothing they could do. */
  readonly idleMinutes: Float64Array;
  /** Of each shared thing: who came to it, in their order. */
  readonly queued: readonly Queued[][];
}

/** Somebody at a shared thing: for how long they stood in line, and from when to when they have it. */
export interface Queued {
  readonly waited: number;
  readonly from: number;
  readonly to: number;
}

/** How far people and steps stray; null: everybody exactly as fast as their skill. */
export interface Straying {
  readonly seed: number;
  readonly classAt: number;
}

const NEVER = Number.POSITIVE_INFINITY;
const SOON = 1e-9;

/** A class as it is being gone through. */
interface Going extends ClassOnce {
  readonly servers: readonly ReadyThing[];
  /** Of each server when each one of it is free again. */
  readonly freeAt: readonly Float64Array[];
  /** Of each person the first place in their order that may still be left. */
  readonly firstLeft: Int32Array;
  readonly durations: readonly Durations[];
}

/** What somebody who is free finds to do. */
interface Pick {
  /** A task to take up now; -1: none. */
  readonly taken: number;
  /** Else when the next is ready. */
  readonly soonest: number;
  /** Else what others hold the tools of, and from when they are there. */
  readonly lineTask: number;
  readonly lineFrom: number;
}

/**
 * A class gone through once, by events in the order of the clock: whoever is free takes the first task in their order that is
 * ready and whose tools are there; who finds only what others hold waits in line, first come first served.
 */
export function goThrough({ room, people, servers }: ReadyRoom, straying: Straying | null): ClassOnce {
  const normals = new Float64Array(room.drawn + 1);
  const never = ({ graph }: ReadyPerson) => new Float64Array(graph.tasks.length).fill(NEVER);
  const going: Going = {
    starts: people.map(never),
    ends: people.map(never),
    idleMinutes: new Float64Array(people.length),
    queued: room.shared.map(() => []),
    servers,
    freeAt: servers.map(({ count }) => new Float64Array(Math.max(1, count))),
    firstLeft: new Int32Array(people.length),
    durations: people.map((each) => durationsOf(each, straying, normals)),
  };
  const queue = clockQueue(people.length);
  people.forEach(({ closed }, at) => queue.push(openFrom(closed, room.sittings[0]?.from ?? 0), at));
  for (let next = queue.pop(); next; next = queue.pop()) {
    const free = turn(going, people[next.who] as ReadyPerson, next.who, next.time);
    if (free !== NEVER) queue.push(free, next.who);
  }
  return going;
}

/** What one person does who is free. @returns when they are free again; never: they are done */
function turn(going: Going, person: ReadyPerson, who: number, time: number): number {
  const { taken, soonest, lineTask, lineFrom } = pick(going, person, who, time);
  if (taken >= 0) {
    // What takes no hands is over already.
    return going.ends[who]?.[taken] === NEVER
      ? work(going, person, who, { task: taken, from: time, time })
      : time;
  }
  if (lineTask >= 0 && lineFrom <= soonest) {
    const from = openFrom(person.closed, lineFrom);
    idle(going, person, who, time, from);
    return work(going, person, who, { task: lineTask, from, time });
  }
  if (soonest === NEVER) return NEVER;
  const wakes = openFrom(person.closed, soonest);
  idle(going, person, who, time, wakes);
  return wakes;
}

function pick(going: Going, { graphOnce, notBefore, uses }: ReadyPerson, who: number, time: number): Pick {
  const { order, waits, before } = graphOnce;
  const [startOf, endOf] = [going.starts[who] as Float64Array, going.ends[who] as Float64Array];
  const minutesOf = (going.durations[who] as Durations).minutes;
  let place = going.firstLeft[who] as number;
  while (place < order.length && endOf[order[place] as number] !== NEVER) place++;
  going.firstLeft[who] = place;
  let [soonest, lineTask, lineFrom] = [NEVER, -1, NEVER];
  for (; place < order.length; place++) {
    const task = order[place] as number;
    if (endOf[task] !== NEVER) continue;
    let ready = notBefore[task] as number;
    for (const each of before[task] as Int32Array) {
      const free = (endOf[each] as number) + (waits[each] as number);
      if (free > ready) ready = free;
    }
    if (ready === NEVER) continue;
    if (minutesOf[task] === 0) {
      // It takes no hands: it is over when it could begin, whoever is busy with something else.
      startOf[task] = ready;
      endOf[task] = ready;
      return { taken: task, soonest, lineTask, lineFrom };
    }
    if (ready > time + SOON) {
      if (ready < soonest) soonest = ready;
      continue;
    }
    const thereAt = toolsFrom(uses[task] as ReadyPerson['uses'][number], going, time);
    if (thereAt <= time + SOON) return { taken: task, soonest, lineTask, lineFrom };
    if (lineTask < 0) [lineTask, lineFrom] = [task, thereAt];
  }
  return { taken: -1, soonest, lineTask, lineFrom };
}

/** Takes a task up: which, from when, and since when they stood there. */
function work(
  going: Going,
  { closed, uses }: ReadyPerson,
  who: number,
  { task, from, time }: { readonly task: number; readonly from: number; readonly time: number },
): number {
  const { minutes: minutesOf, pace } = going.durations[who] as Durations;
  const end = workedUntil(closed, from, minutesOf[task] as number);
  for (const { thingAt, minutes } of uses[task] as ReadyPerson['uses'][number]) {
    const until = minutes === null ? end : Math.min(end, workedUntil(closed, from, minutes * pace));
    const freeAt = going.freeAt[thingAt] as Float64Array;
    // Of several things that are taken at once only those that were not there are waited for.
    const waited = Math.max(0, Math.min(from, earliest(freeAt)) - time);
    hold(freeAt, until);
    const { shownAt } = going.servers[thingAt] as ReadyThing;
    going.queued[shownAt]?.push({ waited, from, to: until });
  }
  (going.starts[who] as Float64Array)[task] = from;
  (going.ends[who] as Float64Array)[task] = end;
  return end;
}

const idle = (
  { idleMinutes }: Going,
  { closed }: ReadyPerson,
  who: number,
  from: number,
  to: number,
): void => {
  idleMinutes[who] = (idleMinutes[who] as number) + openBetween(closed, from, to);
};

/** When all that a task takes is there. */
function toolsFrom(uses: ReadyPerson['uses'][number], { servers, freeAt }: Going, time: number): number {
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

interface Durations {
  readonly minutes: Float64Array;
  readonly pace: number;
}

function durationsOf(
  { person, graphOnce }: ReadyPerson,
  straying: Straying | null,
  normals: Float64Array,
): Durations {
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
