import { once } from 'node:events';
import { Agent, get, request } from 'node:http';
import { createServer, type Socket } from 'node:net';
import { cpuTicks } from './cpuTicks.ts';
import { rowOf, type Row } from './measure.ts';
import { startServer } from './server.ts';

const READINGS = 200;
const DEVICES = 20;
const WATCHED_S = 10;
const TICKS = 200;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Every message of a scale. @returns how to stop */
function listen(url: string, onData: (text: string) => void): () => void {
  const asked = get(url, { agent: new Agent() }, (answer) =>
    answer.on('data', (chunk) => onData(String(chunk))),
  );
  asked.on('error', () => undefined);
  return () => asked.destroy();
}

/** A reading from its line to whoever looks; twenty that look; a tick until it is kept. */
export async function benchScale(): Promise<Row[]> {
  let socket: Socket | null = null;
  const wire = createServer((connected) => (socket = connected)).listen(0, '127.0.0.1');
  await once(wire, 'listening');
  const { port } = wire.address() as { port: number };
  const server = await startServer(undefined, { LANAKIT_SCALES: `Wire=tcp://127.0.0.1:${port}` });
  try {
    return [
      rowOf(
        'a reading, from its line to the page',
        `${READINGS} lines`,
        await readingsMs(server.url, () => socket),
        'ms',
      ),
      rowOf('a device looking at a scale', `${DEVICES} at once`, [await sharePercent(server)], '% of a core'),
      rowOf('a tick is kept', `${TICKS} ticks`, await ticksMs(server.url), 'ms'),
    ];
  } finally {
    server.stop();
    wire.close();
  }
}

async function readingsMs(url: string, socketOf: () => Socket | null): Promise<number[]> {
  let [seen, text] = ['', ''];
  const stop = listen(`${url}/api/scales/scale-1/readings`, (chunk) => {
    text = (text + chunk).slice(-2000);
    seen = text;
  });
  while (socketOf() === null) await pause(5);
  const samples: number[] = [];
  for (let at = 1; at <= READINGS; at++) {
    await pause(50);
    const begun = performance.now();
    socketOf()?.write(`at ${at}.5 stable\n`);
    while (!seen.includes(`"massG":${at}.5,`)) {
      if (performance.now() - begun > 5000)
        throw new Error(`reading ${at} did not come: ${seen.slice(-200)}`);
      await pause(1);
    }
    samples.push(performance.now() - begun);
  }
  stop();
  return samples;
}

async function sharePercent(server: { readonly url: string; readonly pid: number }): Promise<number> {
  await pause(12_000);
  const idle = cpuTicks(server.pid);
  await pause(WATCHED_S * 1000);
  const quiet = cpuTicks(server.pid) - idle;
  const stops = Array.from({ length: DEVICES }, () =>
    listen(`${server.url}/api/scales/scale-2/readings`, () => undefined),
  );
  await pause(1000);
  const begun = cpuTicks(server.pid);
  await pause(WATCHED_S * 1000);
  const busy = cpuTicks(server.pid) - begun;
  for (const stop of stops) stop();
  return Math.max(0, busy - quiet) / WATCHED_S / DEVICES;
}

async function ticksMs(url: string): Promise<number[]> {
  const { items } = (await (await fetch(`${url}/api/runs`)).json()) as { items: { id: string }[] };
  const agent = new Agent({ keepAlive: true });
  const samples: number[] = [];
  for (let at = 0; at < TICKS; at++) {
    const begun = performance.now();
    await new Promise<void>((resolve, reject) => {
      const headers = { 'Content-Type': 'application/json' };
      const sent = request(
        `${url}/api/runs/${items[0]?.id}/ticks`,
        { method: 'POST', agent, headers },
        (answer) => answer.resume().on('end', resolve),
      );
      sent.on('error', reject);
      sent.end(JSON.stringify({ key: `bench-${at}`, mark: `in|seat 1|${at}`, isDone: true, massG: 0 }));
    });
    samples.push(performance.now() - begun);
  }
  return samples;
}
