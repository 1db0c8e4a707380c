import { useCallback } from 'react';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useNotice, type Notice } from './Notice.tsx';

/** A notice whose undo may still fail; if it does, that is said in its place. */
interface Done extends Omit<Notice, 'undo'> {
  readonly undo?: () => Promise<unknown>;
}

/**
 * Does something and says what came of it: the notice it resolves to, or in words why it could not be done.
 *
 * @param beside takes a refusal that is shown where its cause is, and answers true; anything else is a notice
 */
export type Attempt = (
  work: () => Promise<Done | undefined>,
  beside?: (problem: ApiProblem) => boolean,
) => Promise<void>;

export function useAttempt(): Attempt {
  const say = useNotice();
  return useCallback<Attempt>(
    async (work, beside = () => false) => {
      const fail = (error: unknown) => {
        if (error instanceof ApiProblem && beside(error)) return;
        say({ text: errorWords(error), isProblem: true });
      };
      try {
        const done = await work();
        if (!done) return;
        const { undo, ...notice } = done;
        say(undo ? { ...notice, undo: () => void undo().catch(fail) } : notice);
      } catch (error) {
        fail(error);
      }
    },
    [say],
  );
}
