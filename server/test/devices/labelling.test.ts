import { afterEach, expect, test } from '@jest/globals';
import type { PrinterInfo, Scans } from '@lanakit/core/api';
import { pieceReader, type PrinterPiece } from '@lanakit/core/labelling';
import { once } from 'node:events';
import { appendFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { printerHub } from '../../src/devices/printerHub.ts';
import { scannerHub } from '../../src/devices/scannerHub.ts';
import { fileAdapter, socketAdapter } from '../../src/devices/wireAdapter.ts';

const closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.splice(0)) close();
});

async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 5));
}

const piece = (id: string): PrinterPiece => ({ id, widthMm: 64, heightMm: 38, labels: [] });

/** A printer on a wire, played by the test. */
async function wiredPrinter() {
  const sockets: Socket[] = [];
  const heard: string[] = [];
  const server = createServer((socket) => {
    sockets.push(socket);
    const read = pieceReader();
    socket.on('error', () => undefined);
    socket.on('data', (bytes) => {
      for (const line of String(bytes).split('\n')) {
        const whole = read(line);
        if (whole) heard.push(whole.id);
      }
    });
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  const hub = printerHub([socketAdapter('By the door', '127.0.0.1', port)]);
  closing.push(() => {
    hub.close();
    for (const socket of sockets) socket.destroy();
    server.close();
  });
  const infos: PrinterInfo[] = [];
  hub.watch('printer-1', (info) => infos.push(info));
  await until(() => sockets.length === 1);
  return { hub, heard, sockets, last: () => infos.at(-1), say: (text: string) => sockets.at(-1)?.write(`${text}\n`) };
} // prettier-ignore

test('a printer on a wire is given one piece at a time, waits while it is out or jammed, and goes on', async () => {
  const { hub, heard, last, say } = await wiredPrinter();
  hub.print('printer-1', [piece('a'), piece('b'), piece('c')]);
  expect(heard).toEqual([]);
  say('printer 1 left 2 last -');
  await until(() => heard.length === 1);
  say('done a left 1');
  await until(() => heard.length === 2);
  say('jam');
  await until(() => last()?.state.trouble === 'jam');
  expect(last()?.waiting).toBe(2);
  say('ready left 1');
  say('bosh');
  say('done b left 0');
  say('out');
  await until(() => last()?.state.trouble === 'out');
  await until(() => heard.length === 3);
  expect([heard, last()?.waiting]).toEqual([['a', 'b', 'c'], 1]);
  say('ready left 100');
  say('done c left 99');
  await until(() => last()?.waiting === 0);
  expect(heard).toEqual(['a', 'b', 'c']);
});

test.each([
  ['had printed it: it is not printed twice', 'a', ['a', 'b']],
  ['had not: it is sent again', '-', ['a', 'a']],
])('a printer that went away in the middle of a piece, and %s', async (_name, lastId, expected) => {
  const { hub, heard, say, sockets } = await wiredPrinter();
  hub.print('printer-1', [piece('a'), piece('b')]);
  say('printer 1 left 9 last -');
  await until(() => heard.length === 1);
  sockets[0]?.destroy();
  await until(() => sockets.length === 2);
  say(`printer 1 left 8 last ${lastId}`);
  await until(() => heard.length === 2);
  expect(heard).toEqual(expected);
});

test('what is given up is not printed, but for the piece that is with the printer', async () => {
  const { hub, heard, last, say } = await wiredPrinter();
  hub.print('printer-1', [piece('a'), piece('b')]);
  say('printer 1 left 9 last -');
  await until(() => heard.length === 1);
  expect(hub.giveUp('printer-1')).toBe(true);
  say('done a left 8');
  await until(() => last()?.waiting === 0);
  hub.print('printer-1', [piece('c')]);
  await until(() => heard.length === 2);
  expect(heard).toEqual(['a', 'c']);
});

test('the simulated printer fills its tray, runs out, jams, and goes on', async () => {
  const hub = printerHub();
  closing.push(() => hub.close());
  const infos: PrinterInfo[] = [];
  hub.watch('printer-1', (info) => infos.push(info));
  const last = () => infos.at(-1);
  hub.act('printer-1', { act: 'load', pieces: 1 });
  hub.print('printer-1', [piece('a'), piece('b')]);
  await until(() => last()?.state.trouble === 'out');
  expect(last()?.tray.map(({ id }) => id)).toEqual(['a']);
  hub.act('printer-1', { act: 'jam' });
  hub.act('printer-1', { act: 'load', pieces: 5 });
  hub.act('printer-1', { act: 'clear' });
  await until(() => last()?.waiting === 0);
  expect(last()?.tray.map(({ id }) => id)).toEqual(['b', 'a']);
  hub.act('printer-1', { act: 'unplug' });
  hub.print('printer-1', [piece('c')]);
  expect(last()).toMatchObject({ waiting: 1, state: { isHere: false } });
  hub.act('printer-1', { act: 'plug' });
  await until(() => last()?.waiting === 0);
  expect(last()?.tray.map(({ id }) => id)).toEqual(['c', 'b', 'a']);
  expect(hub.act('printer-9', { act: 'jam' })).toBe(false);
});

test('more than a printer can take is refused whole', () => {
  const hub = printerHub();
  closing.push(() => hub.close());
  expect(
    hub.print(
      'printer-1',
      Array.from({ length: 2001 }, (_, at) => piece(`p${at}`)),
    ),
  ).toBe(false);
  expect(hub.all()[0]?.waiting).toBe(0);
  expect(hub.print('printer-9', [])).toBe(false);
});

test('a scanner on a file: half lines wait, a thousand in a second are kept apart, and what is no code is passed over', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'lanakit-scan-'));
  const path = join(dir, 'scans');
  writeFileSync(path, '');
  const hub = scannerHub([fileAdapter('Gun', path)]);
  closing.push(() => {
    hub.close();
    rmSync(dir, { recursive: true });
  });
  const codes: string[] = [];
  const told: Scans[] = [];
  hub.watch('scanner-1', (scans) => {
    told.push(scans);
    codes.push(...scans.codes);
  });
  appendFileSync(path, '2345-6789-');
  appendFileSync(path, 'ABCD\r\n\r\n');
  await until(() => codes.length === 1);
  expect(codes).toEqual(['2345-6789-ABCD']);
  appendFileSync(path, Array.from({ length: 1000 }, (_, at) => `code-${at}\n`).join(''));
  await until(() => codes.at(-1) === 'code-999');
  // Nobody could look at more at once; the last ones are those that count.
  expect(codes.length).toBeGreaterThan(1);
  expect(told.every((scans) => scans.codes.length <= 50)).toBe(true);
});

test('a scanner unplugged in the middle of a line says nothing of it, and reads on when it is back', async () => {
  const sockets: Socket[] = [];
  const server = createServer((socket) => {
    sockets.push(socket);
    socket.on('error', () => undefined);
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  const hub = scannerHub([socketAdapter('Gun', '127.0.0.1', port)]);
  closing.push(() => {
    hub.close();
    for (const socket of sockets) socket.destroy();
    server.close();
  });
  const codes: string[] = [];
  let isHere = false;
  hub.watch('scanner-1', (scans) => {
    codes.push(...scans.codes);
    isHere = scans.isHere;
  });
  await until(() => sockets.length === 1);
  sockets[0]?.write('first\nsec');
  await until(() => codes.length === 1 && isHere);
  sockets[0]?.destroy();
  await until(() => !isHere);
  await until(() => sockets.length === 2);
  sockets[1]?.write('third\n');
  await until(() => codes.length === 2);
  expect(codes).toEqual(['first', 'third']);
});
