import type { PrinterInfo } from '@lanakit/core/api';
import { lineSplitter } from '@lanakit/core/base';
import {
  afterPrinterLine,
  NO_PRINTER,
  pieceLines,
  type PrinterAct,
  type PrinterPiece,
  type PrinterState,
  readPrinterLine,
} from '@lanakit/core/labelling';
import type { DeviceAdapter, OpenDevice } from './adapter.ts';
import { type SimulatedPrinter, simulatedPrinterAdapter } from './simulatedPrinter.ts';

/** More than a whole class of labels. */
const MOST_WAITING = 2000;

interface Held {
  readonly id: string;
  readonly adapter: DeviceAdapter | SimulatedPrinter;
  readonly watchers: Set<(info: PrinterInfo) => void>;
  /** To be printed, the first one is with the printer if `isSent`. */
  waiting: PrinterPiece[];
  isSent: boolean;
  state: PrinterState;
  open: OpenDevice | null;
}

export type PrinterHub = ReturnType<typeof printerHub>;

/**
 * Printers of labels. Each piece goes when the one before is said to be done; what was with a printer that went away is sent again,
 * unless the printer says when it is back that it was the last it printed: none is lost and none is there twice.
 */
export function printerHub(wired: readonly DeviceAdapter[] = []) {
  const adapters = [...wired, simulatedPrinterAdapter('Simulated printer')];
  const held = new Map(
    adapters.map((adapter, at) => [`printer-${at + 1}`, heldOf(`printer-${at + 1}`, adapter)]),
  );
  return {
    all: (): PrinterInfo[] => [...held.values()].map(infoOf),
    /** @returns how to stop; null: there is no such printer */
    watch(id: string, watcher: (info: PrinterInfo) => void): (() => void) | null {
      const printer = held.get(id);
      if (!printer) return null;
      printer.watchers.add(watcher);
      listen(printer);
      watcher(infoOf(printer));
      return () => printer.watchers.delete(watcher);
    },
    /** @returns false: there is no such printer, or too much waits */
    print(id: string, pieces: readonly PrinterPiece[]): boolean {
      const printer = held.get(id);
      if (!printer || printer.waiting.length + pieces.length > MOST_WAITING) return false;
      printer.waiting = [...printer.waiting, ...pieces];
      listen(printer);
      sendNext(printer);
      tell(printer);
      return true;
    },
    /** What is not with the printer yet is not printed. */
    giveUp(id: string): boolean {
      const printer = held.get(id);
      if (!printer) return false;
      printer.waiting = printer.isSent && printer.state.isHere ? printer.waiting.slice(0, 1) : [];
      if (printer.waiting.length === 0) printer.isSent = false;
      tell(printer);
      return true;
    },
    /** Something is done to a simulated one. */
    act(id: string, act: PrinterAct): boolean {
      const printer = held.get(id);
      if (!printer || !('do' in printer.adapter)) return false;
      listen(printer);
      printer.adapter.do(act);
      tell(printer);
      return true;
    },
    close(): void {
      for (const { open } of held.values()) open?.close();
      held.clear();
    },
  };
}

const heldOf = (id: string, adapter: DeviceAdapter): Held => ({
  id,
  adapter,
  watchers: new Set(),
  waiting: [],
  isSent: false,
  state: NO_PRINTER,
  open: null,
});

const infoOf = ({ id, adapter, state, waiting }: Held): PrinterInfo => ({
  id,
  name: adapter.name,
  kind: adapter.kind,
  state,
  waiting: waiting.length,
  tray: 'tray' in adapter ? adapter.tray().toReversed() : [],
});

function tell(printer: Held): void {
  const info = infoOf(printer);
  for (const watcher of printer.watchers) watcher(info);
}

function sendNext(printer: Held): void {
  const [next] = printer.waiting;
  if (!next || printer.isSent || !printer.state.isHere) return;
  printer.isSent = true;
  for (const line of pieceLines(next)) printer.open?.say(line);
}

function listen(printer: Held): void {
  if (printer.open) return;
  let split = lineSplitter();
  printer.open = printer.adapter.open({
    text: (chunk) => {
      for (const line of split(chunk)) heard(printer, line);
    },
    gone: () => {
      split = lineSplitter();
      printer.state = { ...printer.state, isHere: false };
      tell(printer);
    },
  });
}

function heard(printer: Held, text: string): void {
  const line = readPrinterLine(text);
  if (!line) return;
  printer.state = afterPrinterLine(printer.state, line);
  const [first] = printer.waiting;
  const doneId = line.kind === 'done' ? line.id : line.kind === 'hello' ? line.lastId : null;
  if (first && printer.isSent && doneId === first.id) {
    printer.waiting = printer.waiting.slice(1);
    printer.isSent = false;
  } else if (line.kind === 'hello') printer.isSent = false;
  sendNext(printer);
  tell(printer);
}
