import type { NeedleTray } from '@lanakit/core/api';
import type { ResolveInput, Tapped } from '@lanakit/core/needles';
import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { mutate } from 'swr';
import { ApiProblem, errorWords } from '../api/client.ts';
import { outboxSender, useOutbox } from '../shell/outboxSender.ts';
import { useNotice } from '../shell/Notice.tsx';
import { type UnsentTap, unsentTaps } from './unsentTaps.ts';
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
  const sendTaps = useTapSender(runId);
  return {
    tap: async (needleId: string, pile: Tapped, amount: number): Promise<void> => {
      unsentTaps(runId).put({ needleId, pile, amount });
      await sendTaps();
    },
    // What was counted before it is closed belongs to it.
    close: (): Promise<void> =>
      attempt(async () => {
        await sendTaps();
        // It is said already why not.
        if (unsentTaps(runId).waiting.length === 0) await move(closeTray(runId));
      }),
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

/** Taps wait on this device until the server has them, and go in the order in which they were made. */
function useTapSender(runId: string): () => Promise<void> {
  const say = useNotice();
  const outbox = unsentTaps(runId);
  const sendAll = useMemo(() => {
    const path = `/runs/${runId}/tray`;
    return outboxSender<UnsentTap>({
      outbox,
      send: async ({ key, what }) => {
        await perform(
          tapTray(runId, { key, ...what }),
          (tray) => void mutate(path, tray, { revalidate: false }),
        );
      },
      refused: async (problem) => {
        say({ text: wordsOf(problem), isProblem: true });
        await mutate(path);
      },
      say,
      subject: 'What is counted',
    });
  }, [outbox, runId, say]);
  useOutbox(outbox, sendAll);
  return sendAll;
}

const wordsOf = (error: unknown): string => {
  if (error instanceof ApiProblem) return error.problem.errors?.[0]?.message ?? error.problem.title;
  return errorWords(error);
};
