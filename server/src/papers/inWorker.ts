import { Worker } from 'node:worker_threads';
import type { PdfTask } from './setPdf.ts';

type Answer = { readonly bytes: Uint8Array } | { readonly problem: string };

/** A small nursery: setting makes much that is let go at once, and would keep half as much again of it lying about. */
const LIMITS = { maxYoungGenerationSizeMb: 8, maxOldGenerationSizeMb: 512 } as const;

/** Sets a paper in a worker of its own: a hundred pages hold nobody up, and their memory is given back afterwards. */
export const setInWorker =
  (worker: URL) =>
  (task: PdfTask): Promise<Buffer> =>
    new Promise((resolve, reject) => {
      const thread = new Worker(worker, { resourceLimits: LIMITS });
      const end = (finish: () => void) => {
        finish();
        void thread.terminate();
      };
      thread.once('message', (answer: Answer) =>
        end(() => {
          if ('bytes' in answer) resolve(Buffer.from(answer.bytes));
          else reject(new Error(answer.problem));
        }),
      );
      thread.once('error', (error) => end(() => reject(error)));
      thread.postMessage(task);
    });
