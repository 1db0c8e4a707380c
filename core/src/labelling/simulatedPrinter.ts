import { lineSplitter } from '../base/index.ts';
import { LONGEST_PRINTER_LINE, pieceReader } from './pieceLines.ts';
import type { PrinterPiece } from './printerLabel.ts';
import type { PrinterLine } from './printerState.ts';

/** Done to a printer by hand. */
export type PrinterAct =
  | { readonly act: 'load'; readonly pieces: number }
  | { readonly act: 'jam' | 'clear' | 'unplug' | 'plug' | 'empty-tray' };

/** A roll, and how long a piece takes. Ours. */
const ROLL_PIECES = 100;
const SECONDS_A_PIECE = 0.4;
/** What lies in its tray; the oldest fall out. */
const MOST_IN_TRAY = 500;

interface Inside {
  split: (chunk: string) => string[];
  read: (line: string) => PrinterPiece | null;
  readonly queue: PrinterPiece[];
  readonly tray: PrinterPiece[];
  left: number;
  isJammed: boolean;
  isPlugged: boolean;
  /** That nothing is left was said: it is said once. */
  isSaidOut: boolean;
  lastId: string | null;
  /** Since it was last busy, seconds. */
  elapsed: number;
}

/** A printer that is not there: takes lines, prints one piece after another, runs out, jams, and goes on. */
export function simulatedPrinter(pieces = ROLL_PIECES) {
  const inside: Inside = {
    split: lineSplitter(LONGEST_PRINTER_LINE),
    read: pieceReader(),
    queue: [],
    tray: [],
    left: pieces,
    isJammed: false,
    isPlugged: true,
    isSaidOut: false,
    lastId: null,
    elapsed: 0,
  };
  return {
    hello: () => helloOf(inside),
    isPlugged: () => inside.isPlugged,
    tray: (): readonly PrinterPiece[] => inside.tray,
    /** What is said to it, in whatever pieces it comes. */
    hear(chunk: string): void {
      if (!inside.isPlugged) return;
      for (const line of inside.split(chunk)) {
        const piece = inside.read(line);
        if (piece) inside.queue.push(piece);
      }
    },
    /** So much later. @returns what it says meanwhile */
    after(seconds: number): PrinterLine[] {
      if (!inside.isPlugged) return [];
      inside.elapsed += seconds;
      return worked(inside);
    },
    /** @returns what it says to it */
    do(act: PrinterAct): PrinterLine[] {
      const lines = handled(inside, act);
      return inside.isPlugged ? lines : [];
    },
  };
}

const helloOf = ({ left, lastId }: Inside): PrinterLine => ({ kind: 'hello', left, lastId });

/** Prints as many as the time is for. */
function worked(inside: Inside): PrinterLine[] {
  const lines: PrinterLine[] = [];
  while (inside.queue.length > 0 && !inside.isJammed && inside.elapsed >= SECONDS_A_PIECE) {
    if (inside.left === 0) {
      if (!inside.isSaidOut) lines.push({ kind: 'out' });
      inside.isSaidOut = true;
      break;
    }
    lines.push(printed(inside));
  }
  // Time in which it could not work is not made up for.
  if (inside.queue.length === 0 || inside.isJammed || inside.left === 0)
    inside.elapsed = Math.min(inside.elapsed, SECONDS_A_PIECE);
  return lines;
}

function printed(inside: Inside): PrinterLine {
  const piece = inside.queue.shift() as PrinterPiece;
  inside.elapsed -= SECONDS_A_PIECE;
  inside.left -= 1;
  inside.lastId = piece.id;
  inside.tray.push(piece);
  if (inside.tray.length > MOST_IN_TRAY) inside.tray.shift();
  return { kind: 'done', id: piece.id, left: inside.left };
}

function handled(inside: Inside, act: PrinterAct): PrinterLine[] {
  switch (act.act) {
    case 'load':
      inside.left = act.pieces;
      inside.isSaidOut = false;
      return [{ kind: 'ready', left: inside.left }];
    case 'jam':
      inside.isJammed = true;
      return [{ kind: 'jam' }];
    case 'clear':
      inside.isJammed = false;
      return [{ kind: 'ready', left: inside.left }];
    case 'unplug':
      // What it had in mind is gone; what is printed is printed.
      inside.isPlugged = false;
      inside.queue.length = 0;
      inside.split = lineSplitter(LONGEST_PRINTER_LINE);
      inside.read = pieceReader();
      return [];
    case 'plug':
      inside.isPlugged = true;
      inside.isSaidOut = false;
      return inside.isJammed ? [helloOf(inside), { kind: 'jam' }] : [helloOf(inside)];
    case 'empty-tray':
      inside.tray.length = 0;
      return [];
  }
}
