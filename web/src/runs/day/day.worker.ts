import type { Designs, RunInput } from '@lanakit/core/run';
import {
  dayViews,
  type DayView,
  leversTogether,
  type Outcome,
  roomOf,
  type Together,
  trialOf,
  type TriedLever,
  type Paces,
  tryLevers,
} from '@lanakit/core/timetable';
import { expose } from 'comlink';

/** What is told of a class as it is gone through, again and again as there is more. */
export type DayNews =
  | {
      readonly kind: 'outcome';
      readonly outcome: Outcome;
      readonly views: readonly (readonly DayView[])[];
      readonly isLast: boolean;
    }
  | { readonly kind: 'lever'; readonly tried: TriedLever; readonly done: number }
  | { readonly kind: 'together'; readonly together: Together };

const SEED = 20_261_205;
const [FIRST_CLASSES, CLASSES] = [10, 2000];
/** Something new is told so often, and whoever asks for another class is heard. */
const TOLD_EVERY_MS = 150;
/** Two hundred people at two hundred steps are not gone through two thousand times before somebody reads the answer. */
const LONGEST_MS = 20_000;
/** Enough to tell levers apart, for the same people are met by each; fewer where a class is large. */
const [LEVER_CLASSES, FEWEST_LEVER_CLASSES, LEVER_MS] = [300, 40, 250];

let latest = 0;

/** Lets what was asked in the meantime come in. */
const pause = () => new Promise<void>((go) => setTimeout(go, 0));

const api = {
  /**
   * Goes through a class until another is asked for. A few classes first, so that there is something to see.
   * @param isQuick while a hand drags: the first few only
   */
  async begin(
    turn: number,
    run: RunInput,
    designs: Designs,
    paces: Paces,
    isQuick: boolean,
    tell: (turn: number, news: DayNews) => void,
  ): Promise<void> {
    latest = turn;
    const isLatest = () => latest === turn;
    const room = roomOf(designs, run, paces);
    if (typeof room === 'string') return;
    const { lateMinutes } = run.plan;
    const trial = trialOf(room, lateMinutes, SEED);
    const say = (isLast: boolean) => {
      const outcome = trial.outcome();
      const views = room.graphs.map((_graph, at) => dayViews(room, outcome, at, SEED, lateMinutes));
      tell(turn, { kind: 'outcome', outcome, views, isLast });
    };
    const begun = performance.now();
    let msEach = 1;
    const classesIn = (ms: number) => Math.max(1, Math.round(ms / msEach));
    const more = (classes: number) => {
      const from = performance.now();
      trial.more(Math.min(classes, CLASSES - trial.classes()));
      msEach = Math.max(0.01, (performance.now() - from) / Math.max(1, classes));
    };
    more(FIRST_CLASSES);
    more(classesIn(isQuick ? TOLD_EVERY_MS / 3 : TOLD_EVERY_MS));
    say(isQuick);
    if (isQuick) return;
    const isOver = () => trial.classes() >= CLASSES || performance.now() - begun > LONGEST_MS;
    for (await pause(); isLatest() && !isOver(); await pause()) {
      more(classesIn(TOLD_EVERY_MS));
      say(isOver());
    }
    if (!isLatest()) return;
    const classes = Math.max(FEWEST_LEVER_CLASSES, Math.min(LEVER_CLASSES, classesIn(LEVER_MS)));
    const terms = { designs, run, classes, seed: SEED, paces };
    const tried: TriedLever[] = [];
    for (const lever of tryLevers(terms)) {
      tried.push(lever);
      tell(turn, { kind: 'lever', tried: lever, done: tried.length });
      await pause();
      if (!isLatest()) return;
    }
    const search = leversTogether(terms, tried);
    for (let next = search.next(); ; next = search.next()) {
      if (next.done) return tell(turn, { kind: 'together', together: next.value });
      await pause();
      if (!isLatest()) return;
    }
  },
  stop: (): void => {
    latest = -1;
  },
};
export type DayApi = typeof api;

expose(api);
