import type { RunTick } from '@lanakit/core/run';
import { useMemo } from 'react';
import { mutate } from 'swr';
import { errorWords } from '../api/client.ts';
import { perform } from '../api/mutations/mutation.ts';
import { tickRun } from '../api/mutations/runs.ts';
import { outboxSender, useOutbox } from '../shell/outboxSender.ts';
import { useNotice } from '../shell/Notice.tsx';
import { unsentTicks } from './unsentTicks.ts';

/**
 * Ticks something off: shown at once, kept on this device until the server has it, sent in the order in which it was ticked.
 * Each has a key of its own, so that one sent twice counts once.
 */
export function useTickActions(runId: string): (tick: RunTick) => Promise<void> {
  const say = useNotice();
  const outbox = unsentTicks(runId);
  const sendAll = useMemo(() => {
    const path = `/runs/${runId}/ticks`;
    return outboxSender<RunTick>({
      outbox,
      send: async ({ key, what }) => {
        const ticks = await perform(tickRun(runId, key, what));
        await mutate(path, ticks, { revalidate: false });
      },
      refused: async (problem) => {
        say({ text: errorWords(problem), isProblem: true });
        await mutate(path);
      },
      say,
      subject: 'What is ticked',
    });
  }, [outbox, runId, say]);
  useOutbox(outbox, sendAll);
  return async (tick) => {
    outbox.put(tick);
    await sendAll();
  };
}
