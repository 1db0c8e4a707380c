import type { NeedleTray } from '@lanakit/core/api';
import type { ResolveInput, Tapped } from '@lanakit/core/needles';
import { nanoid } from 'nanoid';
import { mutate } from 'swr';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useNotice } from '../shell/Notice.tsx';
import { perform, type Mutation } from '../api/mutations/mutation.ts';
import { closeTray, reopenTray, resolveNeedle, tapTray } from '../api/mutations/runs.ts';

/** What may be done at the tray. Every tap has a key of its own, so that one sent twice counts once. */
export function useTrayActions(runId: string) {
  const say = useNotice();
  const path = `/runs/${runId}/tray`;
  /** The tray is shown as the server answers, before anything else is asked for again. */
  const move = async (mutation: Mutation<NeedleTray>): Promise<void> => {
    await perform(mutation, (tray) => void mutate(path, tray, { revalidate: false }));
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
      const tap = tapTray(runId, { key: nanoid(16), needleId, pile, amount });
      return attempt(() => move(tap));
    },
    close: (): Promise<void> => attempt(() => move(closeTray(runId))),
    reopen: (): Promise<void> => attempt(() => move(reopenTray(runId))),
    /** Words of what stands in its way; null when it is done. */
    resolve: async (input: Omit<ResolveInput, 'key'>): Promise<string | null> => {
      try {
        await move(resolveNeedle(runId, { ...input, key: nanoid(16) }));
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
