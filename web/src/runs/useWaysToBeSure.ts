import type { Wool } from '@lanakit/core/engine';
import type { Designs, RunInput, Simulated } from '@lanakit/core/run';
import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useDeferredValue, useEffect, useRef, useState } from 'react';
import type { SureApi, Way } from './sure.worker.ts';

const begin = (): { api: Remote<SureApi>; worker: Worker } => {
  const worker = new Worker(new URL('./sure.worker.ts', import.meta.url), { type: 'module' });
  return { api: wrap<SureApi>(worker), worker };
};

const PAUSE_MS = 350;

/** What each way of making sure takes, worked out away from the page; null until it is there. */
export function useWaysToBeSure(
  runs: readonly RunInput[],
  designs: Designs,
  wool: Wool,
): readonly Way[] | null {
  const [ways, setWays] = useState<readonly Way[] | null>(null);
  const asked = useDeferredValue(JSON.stringify(runs));
  useEffect(() => {
    let worker: Worker | null = null;
    // While somebody types there is no use in it: it begins when they pause.
    const pause = setTimeout(() => {
      const begun = begin();
      worker = begun.worker;
      const runs = JSON.parse(asked) as RunInput[];
      void Promise.all(runs.map((run) => begun.api.way(run, designs, wool))).then((found) => {
        setWays(found);
        begun.worker.terminate();
      });
    }, PAUSE_MS);
    return () => {
      clearTimeout(pause);
      worker?.terminate();
    };
  }, [asked, designs, wool]);
  return ways;
}

export type Trying =
  | { readonly kind: 'none' }
  | { readonly kind: 'working'; readonly share: number; readonly stop: () => void }
  | { readonly kind: 'done'; readonly simulated: Simulated };

const TRIES = 10_000;
const SEED = 20_261_205;

/** The run tried ten thousand times over when it is asked for, with its progress and a way to stop it. */
export function useTries(): [Trying, (run: RunInput, designs: Designs, wool: Wool) => void] {
  const [state, setState] = useState<Trying>({ kind: 'none' });
  const running = useRef<Worker | null>(null);
  // What is still under way when its terms change is of no use any more.
  useEffect(() => () => running.current?.terminate(), []);
  const start = useCallback((run: RunInput, designs: Designs, wool: Wool) => {
    const { api, worker } = begin();
    running.current = worker;
    let isOver = false;
    const stop = () => {
      isOver = true;
      worker.terminate();
      setState({ kind: 'none' });
    };
    setState({ kind: 'working', share: 0, stop });
    void api
      .tried(
        run,
        designs,
        wool,
        TRIES,
        SEED,
        proxy((share: number) => {
          if (!isOver) setState({ kind: 'working', share, stop });
        }),
      )
      .then((simulated) => {
        if (isOver) return;
        isOver = true;
        worker.terminate();
        setState(simulated ? { kind: 'done', simulated } : { kind: 'none' });
      });
  }, []);
  return [state, start];
}
