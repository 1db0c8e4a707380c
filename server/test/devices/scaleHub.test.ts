import { afterEach, describe, expect, test } from '@jest/globals';
import type { ScaleState } from '@lanakit/core/scale';
import { execFileSync } from 'node:child_process';
import { once } from 'node:events';
import { appendFileSync, createWriteStream, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { scaleHub } from '../../src/devices/scaleHub.ts';
import { readWires } from '../../src/devices/readWires.ts';
import { fileAdapter, socketAdapter } from '../../src/devices/wireAdapter.ts';

const closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.splice(0)) close();
});

/** A scale on a wire: what is written to it by the test is what it says. */
async function wired() {
  const sockets: Socket[] = [];
  const heard: string[] = [];
  const server: Server = createServer((socket) => {
    sockets.push(socket);
    socket.on('data', (chunk) => heard.push(...String(chunk).trim().split('\n')));
    socket.on('error', () => undefined);
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  const hub = scaleHub([socketAdapter('Scale by the window', '127.0.0.1', port)]);
  closing.push(() => {
    hub.close();
    for (const socket of sockets) socket.destroy();
    server.close();
  });
  const states: ScaleState[] = [];
  hub.watch('scale-1', (state) => states.push(state));
  await until(() => sockets.length === 1);
  return { hub, states, heard, server, socket: () => sockets.at(-1) as Socket, sockets };
}

/** Waits for something to become so, as long as a test may take. */
async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 5));
}
const last = (states: readonly ScaleState[]) => states.at(-1);

describe('a scale on a wire', () => {
  test('half a line before it went is no beginning of what it says when it is back', async () => {
    const { states, sockets } = await wired();
    sockets[0]?.write('scale 1 unit g step 0.1 most 500\nat 18.6 stable\nat 1');
    await until(() => last(states)?.massG === 18.6);
    sockets[0]?.destroy();
    await until(() => sockets.length === 2);
    sockets[1]?.write('2.5 stable\nat 4.0 stable\n');
    await until(() => last(states)?.massG === 4);
    expect(states.some(({ massG }) => massG === 12.5)).toBe(false);
  });
  test('is read in whatever pieces its lines come, and hears tare', async () => {
    const { hub, states, heard, socket } = await wired();
    socket().write('scale 1 unit g step 0.1 most 500\nat 18.');
    await until(() => last(states)?.stepG === 0.1);
    expect(last(states)?.massG).toBeNull();
    socket().write('6 stable\r\nat 18.');
    await until(() => last(states)?.massG === 18.6);
    expect(hub.say('scale-1', 'tare')).toBe(true);
    await until(() => heard.includes('tare'));
    expect(hub.act('scale-1', { act: 'clear' })).toBe(false);
    expect(hub.remove('scale-1')).toBe(false);
  });
  test('lines that are none are counted and change nothing', async () => {
    const { states, socket } = await wired();
    socket().write('at 5 stable\nhello\n\u0000\u0007\nat five stable\nat 6 moving\n');
    await until(() => last(states)?.massG === 6);
    expect(last(states)).toMatchObject({ notRead: 3, isStable: false });
  });
  test('unplugged in the middle of a line it shows nothing; it comes back by itself, and half a line of before is none of now', async () => {
    const { states, socket, sockets } = await wired();
    socket().write('at 7 stable\nat 9');
    await until(() => last(states)?.massG === 7);
    socket().destroy();
    await until(() => last(states)?.isHere === false);
    expect(last(states)?.massG).toBeNull();
    await until(() => sockets.length === 2);
    socket().write('9 stable\nat 3 stable\n');
    await until(() => last(states)?.massG === 3);
    expect(states.some(({ massG }) => massG === 99)).toBe(false);
  });
  test('five thousand lines at once are told on in a few, the last of them always', async () => {
    const { states, socket } = await wired();
    const before = states.length;
    socket().write(
      Array.from({ length: 5000 }, (_, at) => `at ${at / 10} moving\n`).join('') + 'at 500 stable\n',
    );
    await until(() => last(states)?.isStable === true);
    expect(last(states)?.massG).toBe(500);
    expect(states.length - before).toBeLessThan(200);
  });
  test('what never ends fills nothing', async () => {
    const { states, socket } = await wired();
    for (let at = 0; at < 50; at++) socket().write('x'.repeat(10_000));
    socket().write('\nat 4 stable\n');
    await until(() => last(states)?.massG === 4);
    expect(last(states)?.notRead).toBe(1);
  });
});

test('a pipe that the same lines are written into is a scale as well', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'lanakit-scale-')), 'pipe');
  execFileSync('mkfifo', [path]);
  const hub = scaleHub([fileAdapter('Pipe', path)]);
  closing.push(() => hub.close());
  const states: ScaleState[] = [];
  hub.watch('scale-1', (state) => states.push(state));
  const out = createWriteStream(path);
  out.write('scale 1 unit oz step 0.01 most 20\nat 1 stable\n');
  await until(() => last(states)?.massG === 28.349523);
  expect(hub.say('scale-1', 'tare')).toBe(false);
  out.end();
  await until(() => last(states)?.isHere === false);
});

test('a file that a program writes on is one too: read as it grows, and from its beginning where it is begun anew', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'lanakit-scale-')), 'scale.txt');
  writeFileSync(path, 'scale 1 unit g step 0.1 most 500\nat 3 stable\nat 4.');
  const hub = scaleHub([fileAdapter('File', path)]);
  closing.push(() => hub.close());
  const states: ScaleState[] = [];
  hub.watch('scale-1', (state) => states.push(state));
  await until(() => last(states)?.massG === 3);
  appendFileSync(path, '5 stable\n');
  await until(() => last(states)?.massG === 4.5);
  writeFileSync(path, 'at 9 stable\n');
  await until(() => last(states)?.massG === 9);
  rmSync(path);
  await until(() => last(states)?.isHere === false);
  writeFileSync(path, 'at 2 moving\n');
  await until(() => last(states)?.massG === 2);
});

describe('a simulated one', () => {
  test('settles at what is put on, for whoever looks; is read once for all of them', async () => {
    const hub = scaleHub();
    closing.push(() => hub.close());
    const [first, other]: [ScaleState[], ScaleState[]] = [[], []];
    hub.watch('scale-1', (state) => first.push(state));
    hub.watch('scale-1', (state) => other.push(state));
    expect(hub.act('scale-1', { act: 'put', massG: 18.6 })).toBe(true);
    await until(() => (last(first)?.massG ?? 0) > 15 && last(first)?.isStable === true);
    expect(Math.abs((last(first)?.massG ?? 0) - 18.6)).toBeLessThanOrEqual(0.2);
    expect(last(other)).toEqual(last(first));
    expect(first.length - other.length).toBeLessThanOrEqual(1);
    expect(hub.all()[0]).toMatchObject({
      name: 'Simulated scale',
      kind: 'simulated',
      hears: true,
      loadG: 18.6,
    });
    hub.act('scale-1', { act: 'unplug' });
    await until(() => last(first)?.isHere === false);
    hub.act('scale-1', { act: 'plug' });
    await until(() => last(first)?.isHere === true);
  });
  test('several at once, each by itself; no more than eight; put away by a press', () => {
    const hub = scaleHub();
    closing.push(() => hub.close());
    const ids = Array.from({ length: 7 }, () => hub.simulate('Another')?.id);
    expect(new Set(ids).size).toBe(7);
    expect(hub.simulate('One too many')).toBeNull();
    expect(hub.remove(ids[0] ?? '')).toBe(true);
    expect(hub.simulate('Again')).not.toBeNull();
    expect(hub.watch('scale-99', () => undefined)).toBeNull();
    expect(hub.say('scale-99', 'tare')).toBe(false);
  });
});

describe('LANAKIT_SCALES', () => {
  test.each([
    ['', 0],
    ['Window=tcp://127.0.0.1:7001', 1],
    [' Window = tcp://scale.local:7001 , Door=file:/dev/null', 2],
    ['Six=tcp://[::1]:7001', 1],
  ])('%j: %p of them', (text, count) => {
    const read = readWires('LANAKIT_SCALES', text);
    expect('code' in read ? read : read.length).toBe(count);
  });
  test.each([
    'Window',
    '=tcp://a:1',
    'W=tcp://a',
    'W=tcp://a:0',
    'W=tcp://a:70000',
    'W=http://a:1',
    'W=file:relative',
  ])('%j is told', (text) =>
    expect(readWires('LANAKIT_SCALES', `Fine=file:/dev/null,${text}`)).toEqual({
      code: 'wires_not_read',
      setting: 'LANAKIT_SCALES',
      text,
    }),
  );
});
