import type { Wool } from '@lanakit/core/engine';
import type { Guide, GuideRequest } from '@lanakit/core/papers';
import type { PageSize } from '@lanakit/core/run';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { GuideApi } from './guide.worker.ts';

type Laid =
  | { readonly kind: 'working' }
  | { readonly kind: 'laid'; readonly guide: Guide }
  | { readonly kind: 'failed'; readonly error: Error };

/** A guide on its pages, laid out away from the page; null as a request: none is wanted. */
export function useGuide(request: GuideRequest | null, wool: Wool, page: PageSize): Laid {
  const [laid, setLaid] = useState<Laid>({ kind: 'working' });
  useEffect(() => {
    if (!request) return undefined;
    const worker = new Worker(new URL('./guide.worker.ts', import.meta.url), { type: 'module' });
    let isWanted = true;
    const settle = (next: Laid) => {
      worker.terminate();
      if (isWanted) setLaid(next);
    };
    wrap<GuideApi>(worker)
      .guide(request, wool, page)
      .then((guide) => settle({ kind: 'laid', guide }))
      .catch((error: unknown) =>
        settle({ kind: 'failed', error: error instanceof Error ? error : new Error(String(error)) }),
      );
    return () => {
      isWanted = false;
      worker.terminate();
    };
  }, [request, wool, page]);
  return laid;
}
