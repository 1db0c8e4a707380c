import memoryEnv from '../server/memoryEnv.json' with { type: 'json' };
import { spawn } from 'node:child_process';
import { Agent, get as httpGet } from 'node:http';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { rowOf, time, type Row } from './measure.ts';

export interface RunningServer {
  readonly url: string;
  readonly pid: number;
  /** From being spawned to listening. */
  readonly startMs: number;
  stop(): void;
}

/** The built server, on this directory, or with the demo data in one of its own. */
export async function startServer(
  dataDir = mkdtempSync(join(tmpdir(), 'lanakit-bench-')),
  settings: Readonly<Record<string, string>> = {},
): Promise<RunningServer> {
  const begun = performance.now();
  const env = { ...memoryEnv, ...process.env, PORT: '0', LANAKIT_DATA: dataDir, ...settings };
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  for await (const chunk of child.stdout) {
    const url = /http:\S+/.exec(String(chunk))?.[0];
    if (url === undefined) continue;
    const stop = () => {
      child.kill();
      rmSync(dataDir, { recursive: true, force: true });
    };
    return { url, pid: child.pid ?? 0, startMs: performance.now() - begun, stop };
  }
  throw new Error('the server did not start');
}

const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

export async function benchServer(server: RunningServer): Promise<Row[]> {
  const list = (await (await fetch(`${server.url}/api/patterns`)).json()) as { items: { id: string }[] };
  const agent = new Agent({ keepAlive: true });
  const get = (path: string) =>
    new Promise<void>((resolve, reject) => {
      httpGet(server.url + path, { agent }, (response) => response.resume().on('end', resolve)).on(
        'error',
        reject,
      );
    });
  const rows = [
    rowOf('server start, demo data loaded', 'first time', [server.startMs], 'ms'),
    await time(
      'answers a pattern',
      '9 parts, 16 steps',
      () => get(`/api/patterns/${list.items[1]?.id}`),
      400,
    ),
    await time('answers the bench', '3 runs, 5 patterns', () => get('/api/bench'), 200),
  ];
  agent.destroy();
  return [...rows, rowOf('memory of the server', 'after those', [residentMb(server.pid)], 'MB')];
}
