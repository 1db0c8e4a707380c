import {
  closeSync,
  createReadStream,
  createWriteStream,
  openSync,
  type ReadStream,
  type WriteStream,
} from 'node:fs';
import { connect, type Socket } from 'node:net';
import type { ScaleAdapter, ScaleEars } from './adapter.ts';

/** So long after it was lost it is looked for again. */
const AGAIN_MS = 2000;

/** Opens, and again whenever it was lost, until it is closed. @param begin gives back how to stop, and how to say something */
function keptOpen(
  ears: ScaleEars,
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
    say: (command: string) => link?.write(`${command}\n`),
    close: () => {
      isClosed = true;
      if (again) clearTimeout(again);
      link?.stop();
    },
  };
}

/** A scale, or a program for one, that says its lines over TCP. */
export const socketAdapter = (name: string, host: string, port: number): ScaleAdapter => ({
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

/** A device or a pipe that lines are read from, such as `/dev/ttyUSB0`; commands are written to it where it may be written. */
export const fileAdapter = (name: string, path: string): ScaleAdapter => ({
  name,
  kind: 'wire',
  hears: mayWrite(path),
  open: (ears) =>
    keptOpen(ears, (lost) => {
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
    }),
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
