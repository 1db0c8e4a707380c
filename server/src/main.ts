import { nanoid } from 'nanoid';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pino from 'pino';
import { readConfig } from './config.ts';
import { createApp } from './createApp.ts';
import { backUpDaily, createStore, openDatabase } from './db/index.ts';
import { loadDemo } from '@lanakit/demo';
import { createServices } from './services/index.ts';
import { poolRunner } from './workers/pools.ts';
import { workshopOf } from './workers/workshop.ts';
import { startRefusalWords, type StartRefusal } from './startRefusalWords.ts';

/** Built, this file lies in dist/server and the interface beside it; from source there may be none yet. */
const webDir = join(dirname(fileURLToPath(import.meta.url)), '../web');

/** A picture brought in and put on no step is kept this long: somebody may still be at it in another tab. */
const UNUSED_PICTURES_MS = 7 * 24 * 3_600_000;

/** So often it is looked whether the backup of the day is due; the first time a while after the start, which is to be quick. */
const BACKUP_LOOK_MS = 3_600_000;
const FIRST_LOOK_MS = 60_000;

function refuse(refusal: StartRefusal): never {
  console.error(`Lanakit did not start.\n${startRefusalWords(refusal)}`);
  process.exit(1);
}

function start(): void {
  const config = readConfig(process.env);
  if ('code' in config) refuse(config);
  const opened = openDatabase(config.dataDir);
  if (!opened.ok) refuse(opened.refusal);
  const store = createStore(opened.db);
  const deps = {
    store,
    now: () => new Date(),
    newId: () => nanoid(12),
    work: workshopOf(poolRunner()),
  };
  if (opened.isNew && config.isDemo)
    store.together(() => loadDemo((at) => createServices({ ...deps, now: () => at }), new Date()));
  store.pictures.sweep(new Date(Date.now() - UNUSED_PICTURES_MS).toISOString());
  const app = createApp({
    ...deps,
    log: pino({ level: process.env['LOG_LEVEL'] ?? 'warn' }),
    host: config.host,
    webDir: existsSync(webDir) ? webDir : null,
  });
  const server = app.listen(config.port, config.host, (error?: NodeJS.ErrnoException) => {
    if (error) refuse({ code: 'cannot_listen', reason: error.code ?? error.message, ...config });
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    console.log(`Lanakit is running at http://${config.host}:${port}\nData in ${config.dataDir}`);
  });
  const backUp = () =>
    void backUpDaily(opened.db, config.dataDir, new Date()).then((made) => {
      if (made && !made.ok) console.error(`No backup was made: ${made.reason}`);
    });
  setTimeout(backUp, FIRST_LOOK_MS).unref();
  setInterval(backUp, BACKUP_LOOK_MS).unref();
  const stop = () => {
    server.close(() => {
      opened.db.close();
      process.exit(0);
    });
    server.closeAllConnections();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

start();
