import type { Express, RequestHandler } from 'express';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { createApp, type AppDeps } from './createApp.ts';
import { openDatabase } from './db/index.ts';
import { studioDeps } from './openStudio.ts';
import { poolRunner } from './workers/pools.ts';
import { workshopOf } from './workers/workshop.ts';

/**
 * A studio that has been at work for a while, beside one's own: in a directory within it, so that nothing done there can
 * touch what is one's own. Made when somebody first looks, and anew after each start: its classes are always just ahead.
 *
 * @param dataDir of one's own studio
 */
export function demoStudio({ dataDir, ...shown }: DemoStudioDeps): DemoStudio {
  const demoDir = join(dataDir, 'demo-studio');
  let coming: Promise<Express> | null = null;
  let close = (): void => undefined;
  const open = async (): Promise<Express> => {
    rmSync(demoDir, { recursive: true, force: true });
    await filled(demoDir);
    const opened = openDatabase(demoDir);
    if (!opened.ok) throw new Error(`the demo studio: ${opened.refusal.code}`);
    close = () => opened.db.close();
    return createApp({ ...studioDeps(opened, demoDir, workshopOf(poolRunner())), ...shown });
  };
  return {
    handle: async (request, response, next) => {
      coming ??= open();
      try {
        const app = await coming;
        app(request, response, next);
      } catch (error) {
        // A disk that was full may have room by the next time.
        coming = null;
        next(error);
      }
    },
    close: () => close(),
  };
}

type DemoStudioDeps = Pick<AppDeps, 'dataDir' | 'names' | 'door' | 'log' | 'webDir' | 'devices'>;

interface DemoStudio {
  readonly handle: RequestHandler;
  /** Lets its file go. */
  readonly close: () => void;
}

const filled = (demoDir: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(workerFile(), { workerData: demoDir });
    worker.once('error', reject);
    worker.once('exit', () => resolve());
  });

/** Built, the worker lies beside the application; from source it is where it was written. */
function workerFile(): string {
  const built = fileURLToPath(new URL('./demoStudioWorker.js', import.meta.url));
  return existsSync(built) ? built : fileURLToPath(new URL('./demoStudioWorker.ts', import.meta.url));
}
