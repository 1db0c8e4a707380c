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

/** On two cores it would take from what is drawn; it comes when that is there, and never later than this. */
const AT_LATEST_MS = 400;
const atRest = (): Promise<void> =>
  new Promise((go) => {
    // Not every browser tells when it is idle.
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => go(), { timeout: AT_LATEST_MS });
    else setTimeout(go, 0);
  });

/** The review of a pattern, worked out beside the page: writing never waits for it. Fails when the worker does. */
export async function askReview(pattern: Pattern, wool: Wool): Promise<ReviewRead> {
  await atRest();
  const { api, broken } = (reviewer ??= begin());
  if (wool !== woolThere) {
    woolThere = wool;
    void api.takeWool(wool);
  }
  return Promise.race([api.review(pattern), broken]);
}
