import { workerData } from 'node:worker_threads';
import { beginStudio } from './beginStudio.ts';
import { openDatabase } from './db/index.ts';
import { studioDeps } from './openStudio.ts';
import { workshopHere } from './workers/workshop.ts';

/** Fills the demo studio's data directory, in a thread of its own: it is a second of work that nobody else should wait for. */
function fill(dataDir: string): void {
  const opened = openDatabase(dataDir);
  if (!opened.ok) throw new Error(opened.refusal.code);
  beginStudio(studioDeps(opened, dataDir, workshopHere()), true);
  opened.db.close();
}

fill(workerData as string);
