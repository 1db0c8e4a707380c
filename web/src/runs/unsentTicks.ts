import type { RunTicks } from '@lanakit/core/api';
import type { RunTick } from '@lanakit/core/run';
import { useMemo, useSyncExternalStore } from 'react';
import { useTicks } from '../api/queries.ts';
import { Outbox } from '../draft/outbox.ts';

const boxes = new Map<string, Outbox<RunTick>>();

/** Ticks of a run that were made here and are not yet with the server. */
export function unsentTicks(runId: string): Outbox<RunTick> {
  const outbox = boxes.get(runId) ?? new Outbox<RunTick>(`ticks/${runId}`);
  boxes.set(runId, outbox);
  return outbox;
}

/** What the server has, and over it what was ticked here since. */
const withUnsent = (stored: RunTicks['items'], unsent: readonly RunTick[]): readonly RunTick[] =>
  unsent.length === 0
    ? stored
    : [...new Map([...stored, ...unsent].map((tick) => [tick.mark, tick])).values()];

const NONE: RunTicks['twice'] = [];

/** How every mark stands, what is not yet sent included; `unsent` is how many of those there are. */
export function useTicksHere(runId: string) {
  const { data, error } = useTicks(runId);
  const outbox = unsentTicks(runId);
  const waiting = useSyncExternalStore(outbox.watch, () => outbox.waiting);
  const items = useMemo(
    () =>
      data &&
      withUnsent(
        data.items,
        waiting.map(({ what }) => what),
      ),
    [data, waiting],
  );
  return { items, twice: data?.twice ?? NONE, unsent: waiting.length, error };
}
