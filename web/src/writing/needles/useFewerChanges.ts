import { type Ordering, orderingTask } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { FewerApi } from './fewer.worker.ts';

export type Fewer =
  | { readonly kind: 'working'; readonly share: number; readonly stop: () => void }
  | { readonly kind: 'done'; readonly ordering: Ordering }
  | { readonly kind: 'stopped' | 'failed' };

const nothing = () => undefined;

/** The order with the fewest changes, looked for in a worker; it begins again only when order or needles change. */
export function useFewerChanges(pattern: Pattern): Fewer {
  const [state, setState] = useState<Fewer>({ kind: 'working', share: 0, stop: nothing });
  const task = useMemo(() => JSON.stringify(orderingTask(pattern)), [pattern]);
  useEffect(() => {
    const worker = new Worker(new URL('./fewer.worker.ts', import.meta.url), { type: 'module' });
    const api: Remote<FewerApi> = wrap<FewerApi>(worker);
    // Progress comes by a way of its own, and may come after the answer.
    let isOver = false;
    const stop = () => {
      isOver = true;
      worker.terminate();
      setState({ kind: 'stopped' });
    };
    worker.onerror = () => setState({ kind: 'failed' });
    void api
      .fewest(
        JSON.parse(task) as ReturnType<typeof orderingTask>,
        proxy((share: number) => {
          if (!isOver) setState({ kind: 'working', share, stop });
        }),
      )
      .then((ordering) => {
        isOver = true;
        setState(ordering ? { kind: 'done', ordering } : { kind: 'stopped' });
      })
      .catch(() => setState({ kind: 'failed' }));
    return () => {
      isOver = true;
      worker.terminate();
    };
  }, [task]);
  return state;
}
