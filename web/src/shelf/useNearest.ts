import type { Candidate, Nearest } from '@lanakit/core/shelf';
import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { NearestApi } from './nearest.worker.ts';

export type Nearness =
  | { readonly kind: 'searching'; readonly fraction: number }
  | { readonly kind: 'found'; readonly nearest: Nearest }
  | { readonly kind: 'failed' };

/** Fractions come by the hundred; the eye needs one now and then. */
const PROGRESS_STEP = 0.05;

/**
 * The nearest colours, worked out in a worker; a new question ends the one before.
 * @param candidates the same array while nothing has changed
 */
export function useNearest(wanted: string, candidates: readonly Candidate[]): Nearness {
  const question = useMemo(() => ({ wanted, candidates }), [wanted, candidates]);
  const [answer, setAnswer] = useState<{ question: object; nearness: Nearness } | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL('./nearest.worker.ts', import.meta.url), { type: 'module' });
    const api: Remote<NearestApi> = wrap<NearestApi>(worker);
    const told = (nearness: Nearness) => setAnswer({ question, nearness });
    let last = 0;
    const onProgress = proxy((fraction: number) => {
      if (fraction - last < PROGRESS_STEP) return;
      last = fraction;
      told({ kind: 'searching', fraction });
    });
    worker.onerror = () => told({ kind: 'failed' });
    void api
      .nearest(question.wanted, question.candidates, onProgress)
      .then((nearest) => told({ kind: 'found', nearest }))
      .catch(() => told({ kind: 'failed' }));
    return () => worker.terminate();
  }, [question]);
  return answer?.question === question ? answer.nearness : { kind: 'searching', fraction: 0 };
}
