import { parentPort } from 'node:worker_threads';
import { setPdf, type PdfTask } from './setPdf.ts';

/** Sets papers away from the thread that answers. */
parentPort?.on('message', (task: PdfTask) => {
  setPdf(task).then(
    (bytes) => parentPort?.postMessage({ bytes }),
    (error: unknown) =>
      parentPort?.postMessage({ problem: error instanceof Error ? error.message : String(error) }),
  );
});
