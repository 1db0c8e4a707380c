import type { Express } from 'express';
import { existsSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import { nanoid } from 'nanoid';
import pino, { type Logger } from 'pino';
import { type Config, readConfig } from './config.ts';
import { createApp } from './createApp.ts';
import { databaseFault, holdStudio, openDatabase, WRITES_KEPT_DAYS } from './db/index.ts';
import { beginStudio } from './beginStudio.ts';
import { demoStudio } from './demoStudio.ts';
import { hostNames, isLoopback } from './http/hostNames.ts';
import { studioDoor } from './http/studioDoor.ts';
import { readTls, type TlsFiles } from './access/certificate.ts';
import { keepPaired, pairedBefore } from './services/pairedDevices.ts';
import { readWires } from './devices/readWires.ts';
import type { Devices } from './devices/index.ts';
import { printerHub } from './devices/printerHub.ts';
import { scaleHub } from './devices/scaleHub.ts';
import { scannerHub } from './devices/scannerHub.ts';
import { studioUrls } from './http/studioUrls.ts';
import { type OwnerKey, readOwner } from './access/passphrase.ts';
import { studioDeps } from './openStudio.ts';
import { poolRunner } from './workers/pools.ts';
import { workshopOf } from './workers/workshop.ts';
import { createServices, isRefusal, type Services, type WorkDeps } from './services/index.ts';
import { startRefusalOf, startRefusalWords, type StartRefusal } from './startRefusalWords.ts';

/** Built, this file lies in dist/server and the interface beside it; from source there may be none yet. */
const webDir = join(dirname(fileURLToPath(import.meta.url)), '../web');

/**
 * On a machine with much memory the engine lets four times as much garbage lie as is in use, and a studio is kept on
 * machines that have other work: at most this share more than what is in use, for some hundredths of the time.
 */
const GARBAGE_PERCENT = 60;

/** A picture brought in and put on no step is kept this long: somebody may still be at it in another tab. */
const UNUSED_PICTURES_MS = 7 * 24 * 3_600_000;

/** Nobody sends a request again after so long. */
const KEYS_KEPT_MS = 2 * 24 * 3_600_000;

/** So often it is looked whether the backup of the day is due; the first time a while after the start, which is to be quick. */
const BACKUP_LOOK_MS = 3_600_000;
const FIRST_LOOK_MS = 60_000;
/** Who never stops Lanakit has things tidied all the same. */
const TIDY_EVERY_MS = 24 * 3_600_000;

/** A connection that nothing goes over. */
const KEPT_OPEN_MS = 65_000;

function refuse(refusal: StartRefusal): never {
  console.error(`Lanakit did not start.\n${startRefusalWords(refusal)}`);
  process.exit(1);
}

/** What was read of what it is started with. */
function orRefuse<T extends object>(read: T | StartRefusal): T {
  if ('code' in read) refuse(read);
  return read;
}

/** What nobody uses or asks for any more. A disk without room keeps it, and keeps nobody from the rest. */
function tidyUp({ store }: WorkDeps, services: Services): void {
  services.studioFile.sweep();
  const before = (ms: number) => new Date(Date.now() - ms).toISOString();
  store.pictures.sweep(before(UNUSED_PICTURES_MS));
  store.answeredKeys.sweep(before(KEYS_KEPT_MS));
  store.history.thin(new Date());
  store.writeLog.sweep(before(WRITES_KEPT_DAYS * 24 * 3_600_000));
  services.persons.forgetDue();
}

/** What is done beside answering: backups, the file looked through, things tidied. What fails of it must not end the rest. */
function lookAfter(deps: WorkDeps, services: Services): void {
  const logFailure = (what: string) => (error: unknown) =>
    console.error(`${what}: ${error instanceof Error ? error.message : String(error)}`);
  const backUp = () =>
    void services.keeping.backUpDaily().then((made) => {
      if (isRefusal(made)) console.error(`No backup was made: ${made.message}`);
    }, logFailure('No backup was made'));
  // Whoever opens the bench first need not wait for all that runs ahead want.
  void services.bench.today().catch(logFailure('The bench was not worked out ahead'));
  void services.keeping.check().catch(logFailure('The studio’s file was not looked through'));
  setTimeout(backUp, FIRST_LOOK_MS).unref();
  setInterval(backUp, BACKUP_LOOK_MS).unref();
  const tidy = () => {
    try {
      tidyUp(deps, services);
    } catch (error) {
      logFailure('Nothing was tidied up')(error);
    }
  };
  setInterval(tidy, TIDY_EVERY_MS).unref();
}

const WITHOUT_TLS =
  'Without TLS: whoever is on this network can read along, the passphrase too. For a network others use: npm run certificate.';

const listening = (app: Express, tls: TlsFiles | null): Server =>
  tls ? createTlsServer({ ...tls, minVersion: 'TLSv1.2' }, app) : createServer(app);

/** The one it got, where any would do. */
function portOf(server: Server, { port }: Config): number {
  const address = server.address();
  return typeof address === 'object' && address ? address.port : port;
}

/** Devices that were paired before are known again. */
const doorOf = (
  config: Config,
  owner: OwnerKey | null,
  { isSecure, log, port }: { readonly isSecure: boolean; readonly log: Logger; readonly port: () => number },
) =>
  studioDoor({
    owner,
    newId: () => nanoid(12),
    before: owner === null ? [] : pairedBefore(config.dataDir, owner),
    keep: (paired) => {
      if (owner !== null) keepPaired(config.dataDir, owner, paired);
    },
    urls: () => (owner === null ? [] : studioUrls({ ...config, port: port() }, isSecure)),
    onWrong: (address) => log.warn({ address }, 'a wrong passphrase or code'),
  });

/** Those that are there, and one of each that is simulated. */
const devicesOf = ({ scales, scanners, printers }: Config): Devices => ({
  scales: scaleHub(orRefuse(readWires('LANAKIT_SCALES', scales))),
  scanners: scannerHub(orRefuse(readWires('LANAKIT_SCANNERS', scanners))),
  printers: printerHub(orRefuse(readWires('LANAKIT_PRINTERS', printers))),
});

function start(): void {
  setFlagsFromString(`--heap-growing-percent=${GARBAGE_PERCENT}`);
  const config = readConfig(process.env);
  if ('code' in config) refuse(config);
  const owner = isLoopback(config.host) ? null : readOwner(config.dataDir);
  if (!isLoopback(config.host) && owner === null) refuse({ code: 'no_passphrase', host: config.host });
  const tls = isLoopback(config.host) ? null : orRefuse(readTls(config.dataDir, config.tls, new Date())).tls;
  const devices = devicesOf(config);
  // Only who runs Lanakit may read what it writes: rosters are in it.
  process.umask(0o077);
  const held = holdStudio(config.dataDir);
  if (!held.ok) refuse(held.refusal);
  const opened = openDatabase(config.dataDir);
  if (!opened.ok) refuse(opened.refusal);
  const deps = studioDeps(opened, config.dataDir, workshopOf(poolRunner()));
  const services = createServices(deps);
  try {
    beginStudio(deps, config.isDemo);
    tidyUp(deps, services);
  } catch (error) {
    const fault = databaseFault(error);
    if (!fault) throw error;
    refuse(startRefusalOf(fault, config.dataDir));
  }
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });
  const shown = {
    log,
    names: hostNames(config.host, config.names),
    door: doorOf(config, owner, { isSecure: tls !== null, log, port: () => portOf(server, config) }),
    devices,
    webDir: existsSync(webDir) ? webDir : null,
  };
  const demo = demoStudio({ dataDir: config.dataDir, ...shown });
  const app = createApp({ ...deps, ...shown, services, demoStudio: demo.handle });
  const server = listening(app, tls);
  server.once('error', (error: NodeJS.ErrnoException) =>
    refuse({ code: 'cannot_listen', reason: error.code ?? error.message, ...config }),
  );
  server.listen(config.port, config.host, () => {
    const port = portOf(server, config);
    const scheme = tls ? 'https' : 'http';
    console.log(`Lanakit is running at ${scheme}://${config.host}:${port}\nData in ${config.dataDir}`);
    if (owner && !tls) console.log(WITHOUT_TLS);
  });
  // Longer than any browser keeps a connection that nothing goes over: closed here first, a write would be lost on its way.
  server.keepAliveTimeout = KEPT_OPEN_MS;
  lookAfter(deps, services);
  whenTold(() => {
    server.close(() => {
      demo.close();
      for (const hub of [devices.scales, devices.scanners, devices.printers]) hub.close();
      opened.db.close();
      held.hold.release();
      process.exit(0);
    });
    server.closeAllConnections();
  });
}

/** Once: when it is told to end, or whoever started it has gone. */
function whenTold(end: () => void): void {
  let isEnding = false;
  const endOnce = () => {
    if (!isEnding) end();
    isEnding = true;
  };
  for (const told of ['SIGINT', 'SIGTERM', 'disconnect']) process.on(told, endOnce);
}

start();
