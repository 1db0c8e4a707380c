import type { BuildSummary } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { BuildsApi } from './builds.worker.ts';

export type Builds =
  | { readonly kind: 'working'; readonly fraction: number }
  | { readonly kind: 'done'; readonly builds: readonly BuildSummary[] }
  | { readonly kind: 'failed' };

const PROGRESS_STEP = 0.02;

/** Every allowed build, worked out in a worker that ends with who asked. */
export function useBuilds(pattern: Pattern, wool: Wool): Builds {
  const [state, setState] = useState<Builds>({ kind: 'working', fraction: 0 });
  useEffect(() => {
    const worker = new Worker(new URL('./builds.worker.ts', import.meta.url), { type: 'module' });
    const api: Remote<BuildsApi> = wrap<BuildsApi>(worker);
    let last = 0;
    // Progress comes by a way of its own, and may come after the answer.
    let isOver = false;
    const onProgress = proxy((fraction: number) => {
      if (isOver || fraction - last < PROGRESS_STEP) return;
      last = fraction;
      setState({ kind: 'working', fraction });
    });
    worker.onerror = () => setState({ kind: 'failed' });
    void api
      .summarise(pattern, wool, onProgress)
      .then((builds) => {
        isOver = true;
        setState({ kind: 'done', builds });
      })
      .catch(() => setState({ kind: 'failed' }));
    return () => {
      isOver = true;
      worker.terminate();
    };
  }, [pattern, wool]);
  return state;
}
