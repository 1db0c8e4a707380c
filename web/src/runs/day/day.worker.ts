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
const [FIRST_CLASSES, CLASSES, EACH_TIME] = [60, 2000, 200];
/** Enough to tell levers apart: the same people are met by each. */
const LEVER_CLASSES = 300;

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
    isQuick: boolean,
    tell: (turn: number, news: DayNews) => void,
  ): Promise<void> {
    latest = turn;
    const isLatest = () => latest === turn;
    const room = roomOf(designs, run);
    if (typeof room === 'string') return;
    const { lateMinutes } = run.plan;
    const trial = trialOf(room, lateMinutes, SEED);
    const say = (isLast: boolean) => {
      const outcome = trial.outcome();
      const views = room.graphs.map((_graph, at) => dayViews(room, outcome, at, SEED, lateMinutes));
      tell(turn, { kind: 'outcome', outcome, views, isLast });
    };
    trial.more(FIRST_CLASSES);
    say(isQuick);
    if (isQuick) return;
    for (await pause(); isLatest() && trial.classes() < CLASSES; await pause()) {
      trial.more(Math.min(EACH_TIME, CLASSES - trial.classes()));
      say(trial.classes() >= CLASSES);
    }
    if (!isLatest()) return;
    const terms = { designs, run, classes: LEVER_CLASSES, seed: SEED };
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
