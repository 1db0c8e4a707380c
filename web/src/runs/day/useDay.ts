import type { Designs, RunInput } from '@lanakit/core/run';
import type { DayView, Outcome, Paces, Together, TriedLever } from '@lanakit/core/timetable';
import { proxy, type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { DayApi, DayNews } from './day.worker.ts';

export interface DayTold {
  /** Null until the first few classes are gone through. */
  readonly outcome: Outcome | null;
  /** By build, then by sitting. */
  readonly views: readonly (readonly DayView[])[];
  readonly levers: readonly TriedLever[];
  /** Of the class as it was: its own are still being tried. */
  readonly areLeversOld: boolean;
  readonly together: Together | null;
  readonly isGoing: boolean;
}

const NOTHING: DayTold = {
  outcome: null,
  views: [],
  levers: [],
  areLeversOld: false,
  together: null,
  isGoing: true,
};
/** While somebody types there is no use in it: it begins when they pause. */
const PAUSE_MS = 120;

interface DayAsked {
  readonly told: DayTold;
  readonly stop: () => void;
}

/**
 * A class gone through two thousand times beside the page, and each lever tried. What was told before stays until there is
 * more.
 * @param isQuick a hand drags: only what is seen at once is worked out
 */
export function useDay(run: RunInput, designs: Designs, paces: Paces, isQuick: boolean): DayAsked {
  const [told, setTold] = useState(NOTHING);
  const api = useRef<Remote<DayApi> | null>(null);
  const turn = useRef(0);
  useEffect(() => {
    const worker = new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' });
    api.current = wrap<DayApi>(worker);
    return () => {
      api.current = null;
      worker.terminate();
    };
  }, []);
  useEffect(() => {
    const mine = (turn.current += 1);
    const ask = () =>
      void api.current?.begin(
        mine,
        run,
        designs,
        paces,
        isQuick,
        proxy((its: number, news: DayNews) => {
          if (its === turn.current) setTold((before) => withNews(before, news, isQuick));
        }),
      );
    if (isQuick) {
      ask();
      return undefined;
    }
    const pause = setTimeout(ask, PAUSE_MS);
    return () => clearTimeout(pause);
  }, [run, designs, paces, isQuick]);
  const stop = () => {
    turn.current += 1;
    void api.current?.stop();
    setTold((before) => ({ ...before, isGoing: false }));
  };
  return { told, stop };
}

function withNews(before: DayTold, news: DayNews, isQuick: boolean): DayTold {
  switch (news.kind) {
    case 'outcome':
      return {
        ...before,
        outcome: news.outcome,
        views: news.views,
        areLeversOld: true,
        together: isQuick ? null : before.together,
        isGoing: !isQuick,
      };
    case 'lever':
      return {
        ...before,
        levers: before.areLeversOld ? [news.tried] : [...before.levers, news.tried],
        areLeversOld: false,
        together: before.areLeversOld ? null : before.together,
      };
    case 'together':
      return {
        ...before,
        levers: before.areLeversOld ? [] : before.levers,
        areLeversOld: false,
        together: news.together,
        isGoing: false,
      };
  }
}
