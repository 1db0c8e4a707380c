import memoryEnv from '../server/memoryEnv.json' with { type: 'json' };
import Database from 'better-sqlite3';
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** How long an answer may take before it counts as a hang. */
const HANG_MS = 15_000;
/** What waits for a thread of its own, in a queue and behind whoever only asks: papers, backups, a whole studio. */
const IN_A_QUEUE =
  /\/(studio-files?|backups|brought-in|put-back|arrivals|papers|guide|pattern-files|pictures)\b/;
const HANG_IN_QUEUE_MS = 120_000;
/**
 * What adds up all runs ahead. A fuzz leaves some three hundred of them, each as large as its bounds allow, where a studio of ten lives
 * has two dozen; and writes between every two questions, so that each has to be added up anew.
 */
const OF_ALL_RUNS = /\/(bench|promised|runs)\b/;
const HANG_OF_ALL_RUNS_MS = 60_000;

function patienceMs(path: string): number {
  if (IN_A_QUEUE.test(path)) return HANG_IN_QUEUE_MS;
  return OF_ALL_RUNS.test(path) ? HANG_OF_ALL_RUNS_MS : HANG_MS;
}

/** A thread without work is let go of after ten seconds. */
export const REST_MS = 30_000;
const REST_LOOKS = 15;

export interface Answer {
  readonly status: number;
  readonly body: unknown;
  /** The header by which a version is told; empty where there is none. */
  readonly etag: string;
  readonly ms: number;
}

export interface Asked {
  readonly method: string;
  /** Below the server. */
  readonly path: string;
  readonly body?: string | Uint8Array;
  readonly headers?: Readonly<Record<string, string>>;
}

const running = new Set<Studio>();

/** A built Lanakit in a process of its own. */
export class Studio {
  readonly dataDir: string;
  readonly #process: ChildProcess;
  #url = '';
  #output = '';

  private constructor(dataDir: string, isDemo: boolean) {
    this.dataDir = dataDir;
    const env = {
      ...memoryEnv,
      ...process.env,
      PORT: '0',
      LANAKIT_DATA: dataDir,
      LANAKIT_DEMO: isDemo ? '1' : '0',
      LOG_LEVEL: 'silent',
    };
    this.#process = spawn(process.execPath, ['dist/server/main.js'], {
      env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    running.add(this);
    this.#process.stdout?.on('data', (chunk) => (this.#output += String(chunk)));
    this.#process.stderr?.on('data', (chunk) => (this.#output += String(chunk)));
  }

  /** Those that a trial left behind when it gave up: one that stays keeps the harness from ending. */
  static async killAll(): Promise<void> {
    await Promise.all([...running].map((studio) => studio.kill()));
  }

  /** Spawned, and not yet up. */
  static spawned(dataDir: string, isDemo: boolean): Studio {
    return new Studio(dataDir, isDemo);
  }

  /** @throws what it said, where it ended instead of listening */
  static async started(dataDir: string, isDemo = false): Promise<Studio> {
    const studio = new Studio(dataDir, isDemo);
    await studio.listening();
    return studio;
  }

  /** Everything it wrote. */
  get output(): string {
    return this.#output;
  }

  get pid(): number {
    return this.#process.pid ?? 0;
  }

  async listening(): Promise<void> {
    const ended = once(this.#process, 'exit');
    for (;;) {
      this.#url = /http:\S+/.exec(this.#output)?.[0] ?? '';
      if (this.#url !== '') return;
      const over = await Promise.race([ended.then(() => true), pause(5).then(() => false)]);
      if (over) throw new Error(`it ended: ${this.#output}`);
    }
  }

  /** @throws where nothing answers, or not within the time a hang takes */
  async ask({ method, path, body, headers = {} }: Asked): Promise<Answer> {
    const begun = performance.now();
    const response = await fetch(this.#url + path, {
      method,
      headers: { 'X-Lanakit': '1', ...headers },
      ...(body !== undefined && { body: body as BodyInit }),
      signal: AbortSignal.timeout(patienceMs(path)),
    });
    const bytes = Buffer.from(await response.arrayBuffer());
    return {
      status: response.status,
      body: parsed(bytes, response.headers.get('content-type') ?? ''),
      etag: response.headers.get('etag') ?? '',
      ms: performance.now() - begun,
    };
  }

  readonly get = (path: string): Promise<Answer> => this.ask({ method: 'GET', path: `/api${path}` });

  readonly send = (
    method: 'POST' | 'PUT' | 'DELETE',
    path: string,
    body: unknown,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Answer> =>
    this.ask({
      method,
      path: `/api${path}`,
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json', ...headers },
    });

  /** As when the power goes. */
  async kill(): Promise<void> {
    await this.#end('SIGKILL');
  }

  /** As when its window is closed. */
  async stop(): Promise<void> {
    await this.#end('SIGTERM');
  }

  /** Its exit code. */
  async over(): Promise<number | null> {
    if (this.#process.exitCode === null && this.#process.signalCode === null)
      await once(this.#process, 'exit');
    return this.#process.exitCode;
  }

  residentMb(): number {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.pid}/status`, 'utf8'))?.[1]) / 1024;
  }

  /** Nothing asked of it for so long that it has let its threads go and collected what it let lie. */
  async residentAtRestMb(restMs: number): Promise<number> {
    let leastMb = this.residentMb();
    for (let looks = 0; looks < REST_LOOKS; looks++) {
      await pause(restMs / REST_LOOKS);
      leastMb = Math.min(leastMb, this.residentMb());
    }
    return leastMb;
  }

  peakMb(): number {
    return Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${this.pid}/status`, 'utf8'))?.[1]) / 1024;
  }

  handles(): number {
    return readdirSync(`/proc/${this.pid}/fd`).length;
  }

  async #end(signal: NodeJS.Signals): Promise<void> {
    running.delete(this);
    if (this.#process.exitCode !== null || this.#process.signalCode !== null) return;
    const gone = once(this.#process, 'exit');
    this.#process.kill(signal);
    await gone;
  }
}

function parsed(bytes: Buffer, type: string): unknown {
  if (!type.includes('json')) return bytes;
  try {
    return JSON.parse(bytes.toString('utf8')) as unknown;
  } catch {
    return null;
  }
}

export const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Looks into a studio’s file with nobody at it. */
export function within<T>(dataDir: string, look: (db: Database.Database) => T): T {
  const db = new Database(join(dataDir, 'lanakit.sqlite'));
  try {
    return look(db);
  } finally {
    db.close();
  }
}

/** What SQLite finds wrong with it; empty: nothing. */
export const faultsOf = (dataDir: string): string[] =>
  within(dataDir, (db) => {
    const found = db.pragma('integrity_check(5)') as readonly { readonly integrity_check: string }[];
    const broken = db.pragma('foreign_key_check') as readonly { readonly table: string }[];
    return [
      ...found.map(({ integrity_check: text }) => text).filter((text) => text !== 'ok'),
      ...broken.map(({ table }) => `${table} names something that is not there`),
    ];
  });
