import type { NeedleTray } from '@lanakit/core/api';
import type { ResolveInput, Tapped } from '@lanakit/core/needles';
import { nanoid } from 'nanoid';
import { mutate } from 'swr';
import { ApiProblem, errorWords, send } from '../api/client.ts';
import { refresh } from '../api/resources.ts';
import { useNotice } from '../shell/Notice.tsx';

/** What may be done at the tray. Every tap has a key of its own, so that one sent twice counts once. */
export function useTrayActions(runId: string) {
  const say = useNotice();
  const path = `/runs/${runId}/tray`;
  const post = async (to: string, body?: object): Promise<void> => {
    const tray = await send<NeedleTray>('POST', `${path}/${to}`, body ? { body } : {});
    await mutate(path, tray, { revalidate: false });
  };
  /** Says what stands in its way; what did not reach Lanakit may be tried again, and counts once. */
  const attempt = async (work: () => Promise<void>): Promise<void> => {
    try {
      await work();
    } catch (error) {
      const again =
        error instanceof ApiProblem ? {} : { action: { label: 'Try again', run: () => void attempt(work) } };
      say({ text: wordsOf(error), isProblem: true, ...again });
    }
  };
  return {
    tap: (needleId: string, pile: Tapped, amount: number): Promise<void> => {
      const body = { key: nanoid(16), needleId, pile, amount };
      return attempt(() => post('taps', body));
    },
    close: (): Promise<void> =>
      attempt(async () => {
        await post('close');
        await refresh('/bench', '/needle', '/stock');
      }),
    reopen: (): Promise<void> =>
      attempt(async () => {
        await post('reopen');
        await refresh('/bench', '/needle', '/stock');
      }),
    /** Words of what stands in its way; null when it is done. */
    resolve: async (input: Omit<ResolveInput, 'key'>): Promise<string | null> => {
      try {
        await post('resolve', { ...input, key: nanoid(16) });
        await refresh('/bench', '/needle', '/stock');
        return null;
      } catch (error) {
        return wordsOf(error);
      }
    },
  };
}

const wordsOf = (error: unknown): string => {
  if (error instanceof ApiProblem) return error.problem.errors?.[0]?.message ?? error.problem.title;
  return errorWords(error);
};
