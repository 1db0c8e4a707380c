import { nanoid } from 'nanoid';
import { createStore, type openDatabase } from './db/index.ts';
import type { WorkDeps } from './services/index.ts';
import type { Workshop } from './services/workshop.ts';

type Opened = Extract<ReturnType<typeof openDatabase>, { ok: true }>;

/** What a studio's services need, of its open file and whoever does what takes long. */
export const studioDeps = ({ db }: Opened, dataDir: string, work: Workshop): WorkDeps => ({
  store: createStore(db),
  now: () => new Date(),
  newId: () => nanoid(12),
  work,
  dataDir,
});
