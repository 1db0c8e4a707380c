import { readyRoom, type ReadyRoom } from './readyRoom.ts';
import { goThrough, type ClassOnce } from './simulate.ts';
import type { Room } from './room.ts';

/** Low, middle and high of many: a tenth is below, half, nine tenths. Minutes of the clock. */
export interface Tenths {
  readonly tenth: number;
  readonly half: number;
  readonly nineTenths: number;
}

/** When a step of a build is begun and done, over all who make that build. */
export interface StepTimes {
  readonly stepId: string;
  readonly start: Tenths;
  readonly end: Tenths;
  /**
   * Whoever has not begun it by then is late more often than not: hand them a prepared piece. Null: nobody is late, or
   * when they begin it tells nothing.
   */
  readonly handOverBy: number | null;
}

interface SeatTimes {
  readonly seat: number;
  readonly done: Tenths;
  /** That this seat is done in time. */
  readonly chance: number;
  /** Done before the end, on average so many minutes. */
  readonly spareMinutes: number;
  readonly idleMinutes: number;
}

interface ThingTimes {
  readonly key: string;
  readonly name: string;
  /** Of whoever waits longest in a class: the middle of the classes. */
  readonly longestWait: number;
}

/** What so many classes came to. */
export interface Outcome {
  readonly classes: number;
  /** That everybody is done by the end, all but one, all but one in ten. */
  readonly all: number;
  readonly allButOne: number;
  readonly nineInTen: number;
  /** In nine classes of ten no more than so many are late: as many prepared pieces as help. */
  readonly mostLate: number;
  /** That everybody has done what belongs to a sitting by its end. */
  readonly bySitting: readonly number[];
  /** When the last is done. */
  readonly last: Tenths;
  /** By when so many are done: every few minutes of the clock. */
  readonly doneBy: readonly DoneBy[];
  /** By graph, then by task. */
  readonly steps: readonly (readonly StepTimes[])[];
  readonly seats: readonly SeatTimes[];
  readonly things: readonly ThingTimes[];
  readonly idleMinutes: number;
}

/** How many are done at a time: of all people, and of the classes everybody. */
interface DoneBy {
  readonly minute: number;
  readonly people: number;
  readonly all: number;
}

const EVERY_MINUTES = 5;

function doneBy(people: readonly number[], last: readonly number[]): DoneBy[] {
  const [first, end] = [Math.min(...people.slice(0, MOST_SPREAD), ...last), Math.max(...last)];
  if (people.length === 0) return [];
  const from = Math.floor(first / EVERY_MINUTES) * EVERY_MINUTES;
  const cells = Math.min(MOST_CELLS, Math.ceil((end - from) / EVERY_MINUTES) + 1);
  const shares = (all: readonly number[]) => {
    const counts = new Float64Array(cells);
    for (const done of all) {
      const at = Math.min(cells - 1, Math.max(0, Math.ceil((done - from) / EVERY_MINUTES)));
      counts[at] = (counts[at] as number) + 1;
    }
    let sum = 0;
    return counts.map((each) => (sum += each) / Math.max(1, all.length));
  };
  const [ofPeople, ofAll] = [shares(people), shares(last)];
  return Array.from(ofPeople, (share, at) => ({
    minute: from + at * EVERY_MINUTES,
    people: share,
    all: ofAll[at] ?? 0,
  }));
}

/** Of all classes. */
const MOST_CLASSES = 0.9;
const MOST_CELLS = 600;
/** So many numbers may be spread into a call. */
const MOST_SPREAD = 50_000;

/** Times of single steps are kept of so many classes: enough for their tenths. */
const KEPT_CLASSES = 300;
const EPSILON = 1e-6;

/** Classes of one room, gone through a few at a time. */
export interface Trial {
  readonly classes: () => number;
  readonly more: (classes: number) => void;
  readonly outcome: () => Outcome;
}

/** @param lateMinutes until all have come */
export function trialOf(room: Room, lateMinutes: number, seed: number): Trial {
  const ready = readyRoom(room, lateMinutes);
  const tally = newTally(ready);
  return {
    classes: () => tally.classes,
    more: (classes) => {
      for (let each = 0; each < classes; each++) {
        count(tally, ready, goThrough(ready, { seed, classAt: tally.classes }));
      }
    },
    outcome: () => outcomeOf(tally, ready),
  };
}

interface Tally {
  classes: number;
  readonly doneBy: number[];
  readonly sittingsDone: number[];
  readonly last: number[];
  /** By person: when done, in each class. */
  readonly done: number[][];
  readonly inTime: number[];
  readonly idle: number[];
  /** By person, then by task. */
  readonly starts: number[][][];
  readonly ends: number[][][];
  readonly isLate: boolean[][];
  readonly longest: number[][];
}

const newTally = ({ room, people }: ReadyRoom): Tally => ({
  classes: 0,
  doneBy: people.map(() => 0),
  sittingsDone: room.sittings.map(() => 0),
  last: [],
  done: people.map(() => []),
  inTime: people.map(() => 0),
  idle: people.map(() => 0),
  starts: people.map(({ graph }) => graph.tasks.map(() => [])),
  ends: people.map(({ graph }) => graph.tasks.map(() => [])),
  isLate: people.map(() => []),
  longest: room.shared.map(() => []),
});

function count(tally: Tally, { room, people }: ReadyRoom, once: ClassOnce): void {
  const end = room.sittings.at(-1)?.workTo ?? 0;
  const isKept = tally.classes < KEPT_CLASSES;
  let [late, last] = [0, 0];
  const isSittingDone = room.sittings.map(() => true);
  people.forEach(({ graph }, who) => {
    const ends = once.ends[who] as Float64Array;
    let done = 0;
    graph.tasks.forEach(({ sittingAt }, at) => {
      const taskEnd = ends[at] as number;
      if (taskEnd > done) done = taskEnd;
      if (taskEnd > (room.sittings[sittingAt]?.workTo ?? 0) + EPSILON) isSittingDone[sittingAt] = false;
      if (isKept) {
        tally.starts[who]?.[at]?.push(once.starts[who]?.[at] as number);
        tally.ends[who]?.[at]?.push(taskEnd);
      }
    });
    const isLate = done > end + EPSILON;
    if (isLate) late += 1;
    else tally.inTime[who] = (tally.inTime[who] ?? 0) + 1;
    if (isKept) tally.isLate[who]?.push(isLate);
    tally.done[who]?.push(done);
    tally.idle[who] = (tally.idle[who] ?? 0) + (once.idleMinutes[who] as number);
    last = Math.max(last, done);
  });
  tally.classes += 1;
  tally.doneBy[late] = (tally.doneBy[late] ?? 0) + 1;
  tally.last.push(last);
  isSittingDone.forEach((isDone, at) => {
    if (isDone) tally.sittingsDone[at] = (tally.sittingsDone[at] ?? 0) + 1;
  });
  once.queued.forEach((waits, at) => {
    tally.longest[at]?.push(Math.max(0, ...waits.map(({ waited }) => waited)));
  });
}

function outcomeOf(tally: Tally, ready: ReadyRoom): Outcome {
  const { room, people } = ready;
  const { classes } = tally;
  const share = (counted: number) => (classes > 0 ? counted / classes : 0);
  const atMostLate = (late: number) =>
    share(tally.doneBy.slice(0, late + 1).reduce((sum, each) => sum + (each ?? 0), 0));
  const end = room.sittings.at(-1)?.workTo ?? 0;
  const mostLate = people.findIndex((_person, late) => atMostLate(late) >= MOST_CLASSES);
  return {
    classes,
    all: atMostLate(0),
    allButOne: atMostLate(1),
    nineInTen: atMostLate(Math.floor(people.length / 10)),
    mostLate: mostLate < 0 ? people.length : mostLate,
    bySitting: tally.sittingsDone.map(share),
    last: tenthsOf(tally.last),
    doneBy: doneBy(tally.done.flat(), tally.last),
    steps: room.graphs.map((graph, graphAt) => {
      const makers = people.flatMap(({ person }, who) => (person.graphAt === graphAt ? [who] : []));
      return graph.tasks.map(({ stepId }, at): StepTimes => {
        const starts = makers.flatMap((who) => tally.starts[who]?.[at] ?? []);
        const isLate = makers.flatMap((who) => tally.isLate[who] ?? []);
        return {
          stepId,
          start: tenthsOf(starts),
          end: tenthsOf(makers.flatMap((who) => tally.ends[who]?.[at] ?? [])),
          handOverBy: handOverBy(starts, isLate),
        };
      });
    }),
    seats: people.map(({ person }, who): SeatTimes => {
      const done = tally.done[who] ?? [];
      return {
        seat: person.seat,
        done: tenthsOf(done),
        chance: share(tally.inTime[who] ?? 0),
        spareMinutes: done.reduce((sum, each) => sum + Math.max(0, end - each), 0) / Math.max(1, classes),
        idleMinutes: share(tally.idle[who] ?? 0),
      };
    }),
    things: room.shared.map(({ key, name }, at) => ({
      key,
      name,
      longestWait: tenthsOf(tally.longest[at] ?? []).half,
    })),
    idleMinutes: share(tally.idle.reduce((sum, each) => sum + each, 0)) / Math.max(1, people.length),
  };
}

/** Between the two nearest (Hyndman and Fan 1996, type 7). @returns all 0 of none */
function tenthsOf(all: readonly number[]): Tenths {
  const sorted = Float64Array.from(all).sort();
  const quantile = (share: number) => {
    const place = share * Math.max(0, sorted.length - 1);
    const low = sorted[Math.floor(place)] ?? 0;
    return low + ((sorted[Math.ceil(place)] ?? low) - low) * (place - Math.floor(place));
  };
  return { tenth: quantile(0.1), half: quantile(0.5), nineTenths: quantile(0.9) };
}

/** Late or not is told from one time with the fewest mistakes: those before it are in time, those after are not. */
export function handOverBy(starts: readonly number[], isLate: readonly boolean[]): number | null {
  const late = isLate.filter(Boolean).length;
  if (late === 0 || late === isLate.length) return null;
  const order = starts.map((_start, at) => at).toSorted((a, b) => (starts[a] ?? 0) - (starts[b] ?? 0));
  // With all of them called late, whoever is in time is a mistake.
  let mistakes = isLate.length - late;
  const without = Math.min(mistakes, late);
  let [fewest, by] = [without, null as number | null];
  order.forEach((at, place) => {
    mistakes += isLate[at] ? 1 : -1;
    const next = order[place + 1];
    // Of two times as good the later: fewer are helped who need none.
    if (
      mistakes < without &&
      mistakes <= fewest &&
      next !== undefined &&
      (starts[next] ?? 0) > (starts[at] ?? 0)
    ) {
      fewest = mistakes;
      by = starts[at] ?? null;
    }
  });
  return by;
}
