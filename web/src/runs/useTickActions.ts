import type { RunTicks } from '@lanakit/core/api';
import type { RunTick } from '@lanakit/core/run';
import { nanoid } from 'nanoid';
import { mutate } from 'swr';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useNotice } from '../shell/Notice.tsx';
import { perform } from '../api/mutations/mutation.ts';
import { tickRun } from '../api/mutations/runs.ts';

/** Ticks something off: shown at once, sent with a key of its own so that one sent twice counts once. */
export function useTickActions(runId: string): (tick: RunTick) => Promise<void> {
  const say = useNotice();
  const path = `/runs/${runId}/ticks`;
  const sendTick = async (key: string, tick: RunTick): Promise<void> => {
    try {
      const ticks = await perform(tickRun(runId, key, tick));
      await mutate(path, ticks, { revalidate: false });
    } catch (error) {
      await mutate(path);
      const again =
        error instanceof ApiProblem
          ? {}
          : { action: { label: 'Try again', run: () => void sendTick(key, tick) } };
      say({ text: errorWords(error), isProblem: true, ...again });
    }
  };
  return async (tick) => {
    await mutate<RunTicks>(
      path,
      (before) => ({
        items: [...(before?.items ?? []).filter(({ mark }) => mark !== tick.mark), tick],
      }),
      { revalidate: false },
    );
    await sendTick(nanoid(16), tick);
  };
}
