import {
  closeSync,
  createReadStream,
  createWriteStream,
  openSync,
  readSync,
  type ReadStream,
  statSync,
  type WriteStream,
} from 'node:fs';
import { connect, type Socket } from 'node:net';
import type { DeviceAdapter, DeviceEars } from './adapter.ts';

/** So long after it was lost it is looked for again. */
const AGAIN_MS = 2000;

/** Opens, and again whenever it was lost, until it is closed. @param begin gives back how to stop, and how to say something */
function keptOpen(
  ears: DeviceEars,
  begin: (lost: () => void) => { readonly stop: () => void; readonly write: (text: string) => void },
) {
  let isClosed = false;
  let again: NodeJS.Timeout | null = null;
  let link: ReturnType<typeof begin> | null = null;
  const open = () => {
    let isLost = false;
    link = begin(() => {
      if (isLost || isClosed) return;
      isLost = true;
      ears.gone();
      again = setTimeout(open, AGAIN_MS);
      again.unref();
    });
  };
  open();
  return {
    say: (line: string) => link?.write(`${line}\n`),
    close: () => {
      isClosed = true;
      if (again) clearTimeout(again);
      link?.stop();
    },
  };
}

/** A scale, or a program for one, that says its lines over TCP. */
export const socketAdapter = (name: string, host: string, port: number): DeviceAdapter => ({
  name,
  kind: 'wire',
  hears: true,
  open: (ears) =>
    keptOpen(ears, (lost) => {
      const socket: Socket = connect({ host, port });
      socket.setEncoding('utf8');
      socket.on('data', (chunk) => ears.text(String(chunk)));
      // An error closes it: once is enough.
      socket.on('error', () => undefined);
      socket.on('close', lost);
      return { stop: () => socket.destroy(), write: (text) => void socket.write(text) };
    }),
});

/** So often a file is looked at for what a program has written on. */
const FILE_LOOKED_AT_MS = 100;
/** At most so much of it at once. */
const CHUNK_BYTES = 65_536;

/** What is written into a file, as it is written: it has no end, and what stands in it already is read first. */
function followed(path: string, ears: DeviceEars) {
  let at = 0;
  let isThere = false;
  const look = () => {
    try {
      const { size } = statSync(path);
      // Begun anew by whoever writes it.
      if (size < at) at = 0;
      isThere = true;
      if (size > at) at += readOn(path, at, ears);
    } catch {
      if (isThere) ears.gone();
      [at, isThere] = [0, false];
    }
  };
  look();
  const timer = setInterval(look, FILE_LOOKED_AT_MS);
  timer.unref();
  return { say: () => undefined, close: () => clearInterval(timer) };
}

/** @returns how many bytes were read */
function readOn(path: string, at: number, ears: DeviceEars): number {
  const file = openSync(path, 'r');
  try {
    const chunk = Buffer.alloc(CHUNK_BYTES);
    const bytes = readSync(file, chunk, 0, CHUNK_BYTES, at);
    if (bytes > 0) ears.text(chunk.toString('utf8', 0, bytes));
    return bytes;
  } finally {
    closeSync(file);
  }
}

const isPlainFile = (path: string): boolean => {
  try {
    return statSync(path).isFile();
  } catch {
    return false;
  }
};

/** A file, a device or a pipe that lines are read from, such as `/dev/ttyUSB0`; commands are written to it where it may be written. */
export const fileAdapter = (name: string, path: string): DeviceAdapter => ({
  name,
  kind: 'wire',
  hears: mayWrite(path),
  open: (ears) => {
    if (isPlainFile(path)) return followed(path, ears);
    return keptOpen(ears, (lost) => {
      const stream: ReadStream = createReadStream(path, { encoding: 'utf8' });
      stream.on('data', (chunk) => ears.text(String(chunk)));
      stream.on('error', lost);
      stream.on('close', lost);
      let out: WriteStream | null = null;
      return {
        stop: () => {
          stream.destroy();
          out?.destroy();
        },
        write: (text) => {
          out ??= createWriteStream(path, { flags: 'a' }).on('error', () => undefined);
          out.write(text);
        },
      };
    });
  },
});

function mayWrite(path: string): boolean {
  if (!path.startsWith('/dev/')) return false;
  try {
    closeSync(openSync(path, 'a'));
    return true;
  } catch {
    return false;
  }
}
