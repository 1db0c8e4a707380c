import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { ReviewRead } from '@lanakit/core/words';
import { type Remote, wrap } from 'comlink';
import type { ReviewApi } from './review.worker.ts';

interface Reviewer {
  readonly api: Remote<ReviewApi>;
  /** Tells everybody who waits that no answer will come. */
  readonly broken: Promise<never>;
}

let reviewer: Reviewer | null = null;
/** The shelf is large and seldom changes: it is sent when it has. */
let woolThere: Wool | null = null;

function begin(): Reviewer {
  const worker = new Worker(new URL('./review.worker.ts', import.meta.url), { type: 'module' });
  const broken = new Promise<never>((_, fail) => {
    worker.onerror = (event) => {
      reviewer = null;
      woolThere = null;
      worker.terminate();
      fail(new Error(event.message));
    };
  });
  broken.catch(() => undefined);
  return { api: wrap<ReviewApi>(worker), broken };
}

/** The review of a pattern, worked out beside the page: writing never waits for it. Fails when the worker does. */
export async function askReview(pattern: Pattern, wool: Wool): Promise<ReviewRead> {
  const { api, broken } = (reviewer ??= begin());
  if (wool !== woolThere) {
    woolThere = wool;
    void api.takeWool(wool);
  }
  return Promise.race([api.review(pattern), broken]);
}
