import pLimit from 'p-limit';
import { Refusal } from '../services/refusal.ts';

/**
 * So much of one sort of work at a time; the rest waits its turn, and past a number is sent away at once. Who no longer
 * waits is passed over.
 */
export function oneAfterAnother(atOnce: number, mostWaiting: number) {
  const limit = pLimit(atOnce);
  return async <T>(work: () => Promise<T>, signal?: AbortSignal): Promise<T> => {
    if (limit.pendingCount >= mostWaiting) throw new Refusal({ code: 'too_busy' });
    return limit(async () => {
      signal?.throwIfAborted();
      return work();
    });
  };
}
