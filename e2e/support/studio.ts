import { test as base, expect } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const SERVER = fileURLToPath(new URL('../../dist/server/main.js', import.meta.url));

/** A built Lanakit with a data directory of its own, that a test may kill and start again. */
export class Studio {
  #process: ChildProcess | null = null;
  #port = 0;
  #scheme = 'http';
  #host = '127.0.0.1';
  readonly #dataDir = mkdtempSync(join(tmpdir(), 'lanakit-e2e-'));
  readonly #isDemo: boolean;

  /** @param from a data directory to begin with a copy of */
  constructor(isDemo: boolean, from?: string) {
    this.#isDemo = isDemo;
    if (from !== undefined) cpSync(from, this.#dataDir, { recursive: true });
  }

  get dataDir(): string {
    return this.#dataDir;
  }

  get url(): string {
    return `${this.#scheme}://${this.#host}:${this.#port}`;
  }

  /** Starts, on the same port as before if there was one. @param change of what the environment decides */
  async start(change: Readonly<Record<string, string>> = {}): Promise<void> {
    const env = {
      ...process.env,
      PORT: String(this.#port),
      LANAKIT_DATA: this.#dataDir,
      LANAKIT_DEMO: this.#isDemo ? '1' : '0',
      ...change,
    };
    const started = spawn(process.execPath, [SERVER], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    this.#process = started;
    for await (const chunk of started.stdout) {
      const [, scheme, host, port] = /(https?):\/\/([\d.]+):(\d+)/.exec(String(chunk)) ?? [];
      if (scheme === undefined || host === undefined || port === undefined) continue;
      this.#scheme = scheme;
      this.#host = host;
      this.#port = Number(port);
      return;
    }
    throw new Error('the server ended before it listened');
  }

  /** Starts another beside this one that is meant to stop at once: how it ended, and what it said. */
  async startAgainst(change: Record<string, string>): Promise<{ code: number | null; words: string }> {
    const env = { ...process.env, PORT: '0', LANAKIT_DATA: this.#dataDir, ...change };
    const started = spawn(process.execPath, [SERVER], { env, stdio: ['ignore', 'ignore', 'pipe'] });
    let words = '';
    started.stderr.on('data', (chunk) => (words += String(chunk)));
    const [code] = (await once(started, 'close')) as [number | null];
    return { code, words };
  }

  /** As when its window is closed: everything is in the file when it is gone. */
  async stop(): Promise<void> {
    const running = this.#process;
    if (!running) return;
    const gone = once(running, 'exit');
    running.kill('SIGTERM');
    await gone;
  }

  /** As when the power goes: no goodbye. */
  async kill(): Promise<void> {
    const running = this.#process;
    if (!running || running.exitCode !== null || running.signalCode !== null) return;
    const gone = once(running, 'exit');
    running.kill('SIGKILL');
    await gone;
  }

  async dispose(): Promise<void> {
    await this.kill();
    rmSync(this.#dataDir, { recursive: true, force: true });
  }
}

interface Fixtures {
  /** With the demo data. */
  demo: Studio;
  /** With nothing in it. */
  empty: Studio;
  /** How the figure was looked at last on this device; null: nobody has looked yet. */
  drawn: 'pieces' | 'together' | null;
  /** Fails the test when the page asks any other host for anything, or when it reports an error. */
  watched: undefined;
}

interface WorkerFixtures {
  /** A data directory with the demo in it, made once a worker; every test has a copy of its own. */
  demoData: string;
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  demoData: [
    async ({}, use) => {
      const studio = new Studio(true);
      await studio.start();
      await studio.stop();
      await use(studio.dataDir);
      await studio.dispose();
    },
    { scope: 'worker' },
  ],
  demo: async ({ demoData }, use) => {
    const studio = new Studio(true, demoData);
    await studio.start();
    await use(studio);
    await studio.dispose();
  },
  empty: async ({}, use) => {
    const studio = new Studio(false);
    await studio.start();
    await use(studio);
    await studio.dispose();
  },
  drawn: ['pieces', { option: true }],
  watched: [
    async ({ context, drawn }, use) => {
      await context.addInitScript((shown) => {
        const key = 'lanakit.table.drawn';
        // A page of nothing at all keeps nothing.
        if (location.protocol === 'about:' || shown === null) return;
        if (localStorage.getItem(key) === null) localStorage.setItem(key, shown);
      }, drawn);
      const strange: string[] = [];
      const errors: string[] = [];
      context.on('request', (request) => {
        const { protocol, hostname } = new URL(request.url());
        if (protocol.startsWith('http') && !hostname.startsWith('127.')) strange.push(request.url());
      });
      context.on('weberror', (error) => errors.push(error.error().message));
      await use(undefined);
      expect(strange, 'asked another host').toEqual([]);
      expect(errors, 'threw in the page').toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };
