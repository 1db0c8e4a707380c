import type { RunTick } from '@lanakit/core/run';
import { useEffect, useMemo } from 'react';
import { mutate } from 'swr';
import { ApiProblem, errorWords } from '../api/client.ts';
import { perform } from '../api/mutations/mutation.ts';
import { tickRun } from '../api/mutations/runs.ts';
import type { Waiting } from '../draft/outbox.ts';
import { type Notice, useNotice } from '../shell/Notice.tsx';
import { unsentTicks } from './unsentTicks.ts';

/** So often it is tried again while something waits. */
const AGAIN_MS = 5000;

/** Runs whose ticks are on their way. */
const sending = new Set<string>();

/**
 * Ticks something off: shown at once, kept on this device until the server has it, sent in the order in which it was ticked.
 * Each has a key of its own, so that one sent twice counts once.
 */
export function useTickActions(runId: string): (tick: RunTick) => Promise<void> {
  const say = useNotice();
  const sendAll = useMemo(() => senderOf(runId, say), [runId, say]);
  useEffect(() => {
    const sendWaiting = () => {
      if (unsentTicks(runId).waiting.length > 0) void sendAll();
    };
    sendWaiting();
    const timer = setInterval(sendWaiting, AGAIN_MS);
    window.addEventListener('online', sendWaiting);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', sendWaiting);
    };
  }, [runId, sendAll]);
  return async (tick) => {
    unsentTicks(runId).put(tick);
    await sendAll();
  };
}

/** Sends what waits of a run, one after another, until nothing does or it cannot be reached. */
function senderOf(runId: string, say: (notice: Notice) => void): () => Promise<void> {
  const outbox = unsentTicks(runId);
  const path = `/runs/${runId}/ticks`;
  const sendFirst = async ({ key, what }: Waiting<RunTick>): Promise<void> => {
    try {
      const ticks = await perform(tickRun(runId, key, what));
      await mutate(path, ticks, { revalidate: false });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      // It will never be taken: what is shown becomes what the server has.
      say({ text: errorWords(error), isProblem: true });
      await mutate(path);
    }
    outbox.done(key);
  };
  const sendAll = async (): Promise<void> => {
    if (sending.has(runId)) return;
    sending.add(runId);
    try {
      for (let [next] = outbox.waiting; next; [next] = outbox.waiting) await sendFirst(next);
    } catch (error) {
      say({
        text: `${errorWords(error)} What is ticked is kept on this device, and sent as soon as it can be.`,
        isProblem: true,
        action: { label: 'Try again', run: () => void sendAll() },
      });
    } finally {
      sending.delete(runId);
    }
  };
  return sendAll;
}
