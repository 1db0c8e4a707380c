import { isNothingNeeded, type PurchaseProblem, type PurchaseWay } from '@lanakit/core/buying';
import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { PlanApi, WayState } from './plan.worker.ts';

type WayStates = Readonly<Record<PurchaseWay, WayState>>;

export interface PurchasePlans {
  readonly ways: WayStates;
  readonly isWorking: boolean;
  /** Takes what was found up to now. */
  readonly stop: () => void;
}

const WAITING: WayStates = {
  money: { kind: 'waiting' },
  parcels: { kind: 'waiting' },
  'left-over': { kind: 'waiting' },
};
/** While numbers are typed nothing is begun. */
const PAUSE_MS = 120;

/** Every way to buy what is needed, planned in a worker; begun anew when anything about it changes. */
export function usePurchasePlans(problem: PurchaseProblem): PurchasePlans {
  const [found, setFound] = useState({ problem, ways: WAITING });
  const [stop, setStop] = useState<(() => void) | null>(null);
  useEffect(() => {
    // What was found of another problem is of no use for this one.
    const setWays = (change: (ways: WayStates) => WayStates) =>
      setFound((before) => ({
        problem,
        ways: change(before.problem === problem ? before.ways : WAITING),
      }));
    if (isNothingNeeded(problem)) return undefined;
    let worker: Worker | null = null;
    const end = () => {
      worker?.terminate();
      worker = null;
      setStop(null);
    };
    const begin = () => {
      worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
      worker.onerror = () => {
        setWays(failed);
        end();
      };
      const ofThis = worker;
      const say = (way: PurchaseWay, state: WayState) => {
        if (worker === ofThis) setWays((before) => ({ ...before, [way]: kept(before[way], state) }));
      };
      setStop(() => () => {
        setWays(stopped);
        end();
      });
      void wrap<PlanApi>(worker)
        .plan(problem, proxy(say))
        .then(() => {
          // What is told comes by a way of its own, and may come after the end.
          setTimeout(() => {
            if (worker === ofThis) end();
          }, PAUSE_MS);
        })
        .catch(() => setWays(failed));
    };
    const timer = setTimeout(begin, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
      worker = null;
    };
  }, [problem]);
  const ways = found.problem === problem ? found.ways : WAITING;
  return { ways, isWorking: stop !== null, stop: stop ?? (() => undefined) };
}

/** What is better stays until something better comes. */
const kept = (before: WayState, next: WayState): WayState =>
  next.kind === 'working' && before.kind === 'working' && next.plan === null ? before : next;

const each = (ways: WayStates, change: (state: WayState) => WayState): WayStates => ({
  money: change(ways.money),
  parcels: change(ways.parcels),
  'left-over': change(ways['left-over']),
});

const stopped = (ways: WayStates): WayStates =>
  each(ways, (state) => {
    if (state.kind === 'working')
      return state.plan ? { kind: 'done', plan: state.plan } : { kind: 'nothing-in-time' };
    return state.kind === 'waiting' ? { kind: 'nothing-in-time' } : state;
  });

const failed = (ways: WayStates): WayStates =>
  each(ways, (state) => (state.kind === 'done' ? state : { kind: 'failed' }));
