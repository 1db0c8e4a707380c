import type { ScannerInfo, Scans } from '@lanakit/core/api';
import { lineSplitter } from '@lanakit/core/base';
import { readScanLine, scanFilter } from '@lanakit/core/labelling';
import type { DeviceAdapter, DeviceEars, OpenDevice } from './adapter.ts';

/** However fast it says them, so often codes are told on. */
const TOLD_EVERY_MS = 40;
/** Codes that nobody has taken up; the oldest of more are let go. */
const MOST_AT_ONCE = 50;

/** Done to a simulated scanner. */
export type ScannerAct =
  { readonly act: 'scan'; readonly text: string } | { readonly act: 'unplug' | 'plug' };

interface Held {
  readonly adapter: DeviceAdapter | SimulatedScanner;
  readonly watchers: Set<(scans: Scans) => void>;
  isHere: boolean;
  codes: string[];
  timer: NodeJS.Timeout | null;
  open: OpenDevice | null;
}

interface SimulatedScanner extends DeviceAdapter {
  readonly do: (act: ScannerAct) => void;
}

export type ScannerHub = ReturnType<typeof scannerHub>;

/** Scanners: each says a code a line, to whoever looks at it. What nobody looks at is not kept. */
export function scannerHub(wired: readonly DeviceAdapter[] = []) {
  const adapters = [...wired, simulatedScanner('Simulated scanner')];
  const held = new Map(adapters.map((adapter, at) => [`scanner-${at + 1}`, heldOf(adapter)]));
  return {
    all: (): ScannerInfo[] =>
      [...held].map(([id, { adapter, isHere }]) => ({ id, name: adapter.name, kind: adapter.kind, isHere })),
    /** @returns how to stop; null: there is no such scanner */
    watch(id: string, watcher: (scans: Scans) => void): (() => void) | null {
      const scanner = held.get(id);
      if (!scanner) return null;
      scanner.watchers.add(watcher);
      listen(scanner);
      watcher({ isHere: scanner.isHere, codes: [] });
      return () => scanner.watchers.delete(watcher);
    },
    /** Something is done to a simulated one. */
    act(id: string, act: ScannerAct): boolean {
      const scanner = held.get(id);
      if (!scanner || !('do' in scanner.adapter)) return false;
      listen(scanner);
      scanner.adapter.do(act);
      return true;
    },
    close(): void {
      for (const { open, timer } of held.values()) {
        if (timer) clearTimeout(timer);
        open?.close();
      }
      held.clear();
    },
  };
}

const heldOf = (adapter: DeviceAdapter): Held => ({
  adapter,
  watchers: new Set(),
  isHere: false,
  codes: [],
  timer: null,
  open: null,
});

function listen(scanner: Held): void {
  if (scanner.open) return;
  let split = lineSplitter();
  const isNew = scanFilter();
  scanner.open = scanner.adapter.open({
    text(chunk) {
      scanner.isHere = true;
      for (const line of split(chunk)) {
        const code = readScanLine(line);
        if (code === null || !isNew(code, performance.now())) continue;
        scanner.codes = [...scanner.codes, code].slice(-MOST_AT_ONCE);
      }
      tellSoon(scanner);
    },
    gone() {
      // Half a line of before is no beginning of what comes next.
      split = lineSplitter();
      scanner.isHere = false;
      tellSoon(scanner);
    },
  });
}

function tellSoon(scanner: Held): void {
  scanner.timer ??= setTimeout(() => {
    scanner.timer = null;
    const { isHere, codes } = scanner;
    scanner.codes = [];
    for (const watcher of scanner.watchers) watcher({ isHere, codes });
  }, TOLD_EVERY_MS);
  scanner.timer.unref();
}

function simulatedScanner(name: string): SimulatedScanner {
  let ears: DeviceEars | null = null;
  let isPlugged = true;
  return {
    name,
    kind: 'simulated',
    hears: false,
    do(act) {
      if (act.act === 'scan') {
        // As one does that types: its line, and the end of it.
        if (isPlugged) ears?.text(`${act.text}\r\n`);
        return;
      }
      isPlugged = act.act === 'plug';
      if (isPlugged) ears?.text('\r\n');
      else ears?.gone();
    },
    open(listening) {
      ears = listening;
      if (isPlugged) ears.text('\r\n');
      return { say: () => undefined, close: () => (ears = null) };
    },
  };
}
