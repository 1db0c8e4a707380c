import {
  type PrinterAct,
  printerLine,
  type PrinterLine,
  type PrinterPiece,
  simulatedPrinter,
} from '@lanakit/core/labelling';
import type { DeviceAdapter, DeviceEars } from './adapter.ts';

/** So often it looks whether a piece is done. */
const EVERY_MS = 100;

export interface SimulatedPrinter extends DeviceAdapter {
  readonly do: (act: PrinterAct) => void;
  readonly tray: () => readonly PrinterPiece[];
}

/** A printer that is not there. */
export function simulatedPrinterAdapter(name: string): SimulatedPrinter {
  const printer = simulatedPrinter();
  let ears: DeviceEars | null = null;
  const say = (lines: readonly PrinterLine[]) => {
    if (lines.length > 0) ears?.text(lines.map((line) => `${printerLine(line)}\n`).join(''));
  };
  return {
    name,
    kind: 'simulated',
    hears: true,
    tray: printer.tray,
    do(act) {
      const lines = printer.do(act);
      if (act.act === 'unplug') ears?.gone();
      say(lines);
    },
    open(listening) {
      ears = listening;
      if (printer.isPlugged()) say([printer.hello()]);
      const timer = setInterval(() => say(printer.after(EVERY_MS / 1000)), EVERY_MS);
      timer.unref();
      return {
        say: (line) => printer.hear(`${line}\n`),
        close: () => {
          clearInterval(timer);
          ears = null;
        },
      };
    },
  };
}
