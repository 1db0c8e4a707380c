import { Agent, get, request } from 'node:http';
import { rowOf, type Row } from './measure.ts';
import { startServer } from './server.ts';
import { cpuTicks } from './cpuTicks.ts';

const TAPS = 200;
const DEVICES = 20;
const WATCHED_S = 10;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

interface Class {
  readonly url: string;
  readonly agent: Agent;
  readonly runId: string;
}

function post({ url, agent, runId }: Class, key: string, at: number): Promise<void> {
  const what = { act: 'help', seatKey: String(1 + (at % 8)), isWanted: at % 2 === 0 };
  const event = { key, from: 'bench', at: new Date().toISOString(), seen: at, what };
  return new Promise((resolve, reject) => {
    const headers = { 'Content-Type': 'application/json' };
    const sent = request(`${url}/api/runs/${runId}/class-day/events`, { method: 'POST', agent, headers }, (answer) =>
      answer.resume().on('end', resolve),
    );
    sent.on('error', reject);
    sent.end(JSON.stringify(event));
  });
} // prettier-ignore

/** A device that looks at a class as the page does: told that there is more, it asks for what is new. */
function device({ url, runId }: Class, onNew: () => void): () => void {
  const agent = new Agent({ keepAlive: true });
  let seen = 0;
  const ask = () =>
    get(`${url}/api/runs/${runId}/class-day/events?after=${seen}`, { agent }, (answer) => {
      let text = '';
      answer.on('data', (chunk) => (text += String(chunk)));
      answer.on('end', () => {
        const { items } = JSON.parse(text) as { items: { seq: number }[] };
        seen = items.at(-1)?.seq ?? seen;
        onNew();
      });
    });
  const line = get(`${url}/api/runs/${runId}/news`, (answer) =>
    answer.on('data', (chunk) => {
      if (String(chunk).includes('class-day')) ask();
    }),
  );
  line.on('error', () => undefined);
  return () => {
    line.destroy();
    agent.destroy();
  };
}

/** A tap until it is kept, and until another device has it; twenty devices on one class. */
export async function benchClassDay(): Promise<Row[]> {
  const server = await startServer(undefined, {});
  try {
    const { items } = (await (await fetch(`${server.url}/api/runs`)).json()) as { items: { id: string }[] };
    const taught: Class = { url: server.url, agent: new Agent({ keepAlive: true }), runId: items[0]?.id ?? '' };
    const [kept, told]: [number[], number[]] = [[], []];
    let arrived = () => undefined as void;
    const stop = device(taught, () => arrived());
    await pause(1000);
    for (let at = 0; at < TAPS; at++) {
      const begun = performance.now();
      const isThere = new Promise<void>((resolve) => (arrived = resolve));
      await post(taught, `tap-${at}`, at);
      kept.push(performance.now() - begun);
      await isThere;
      told.push(performance.now() - begun);
    }
    stop();
    const share = await sharePercent(server.pid, taught);
    return [
      rowOf('a tap in a class is kept', `${TAPS} taps`, kept, 'ms'),
      rowOf('and is with another device', `${TAPS} taps`, told, 'ms'),
      rowOf('a device on a class, a tap a second', `${DEVICES} at once`, [share], '% of a core'),
    ];
  } finally {
    server.stop();
  }
} // prettier-ignore

/** Of the server, for each device: with a tap a second, less what it does without anybody. */
async function sharePercent(pid: number, taught: Class): Promise<number> {
  await pause(5000);
  const idle = cpuTicks(pid);
  await pause(WATCHED_S * 1000);
  const quiet = cpuTicks(pid) - idle;
  const stops = Array.from({ length: DEVICES }, () => device(taught, () => undefined));
  await pause(2000);
  const begun = cpuTicks(pid);
  for (let second = 0; second < WATCHED_S; second++) {
    await post(taught, `share-${second}`, TAPS + second);
    await pause(1000);
  }
  const busy = cpuTicks(pid) - begun;
  for (const stop of stops) stop();
  return Math.max(0, busy - quiet) / WATCHED_S / DEVICES;
}
