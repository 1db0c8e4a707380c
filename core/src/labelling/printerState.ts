/** What a printer shows. */
export interface PrinterState {
  readonly isHere: boolean;
  /** Pieces that are left in it; null: it has not said. */
  readonly left: number | null;
  readonly trouble: 'out' | 'jam' | null;
  /** The piece it printed last; null: none since it was switched on, or it has not said. */
  readonly lastId: string | null;
}

export const NO_PRINTER: PrinterState = { isHere: false, left: null, trouble: null, lastId: null };

/** A line a printer says. */
export type PrinterLine =
  /** When it is switched on, or reached anew. */
  | { readonly kind: 'hello'; readonly left: number; readonly lastId: string | null }
  | { readonly kind: 'done'; readonly id: string; readonly left: number }
  /** Nothing is left; what it was to print it prints when there is. */
  | { readonly kind: 'out' }
  | { readonly kind: 'jam' }
  /** Going on. */
  | { readonly kind: 'ready'; readonly left: number };

const HELLO = /^printer 1 left (\d{1,6}) last ([\w-]{1,40})$/u;
const DONE = /^done ([\w-]{1,40}) left (\d{1,6})$/u;
const READY = /^ready left (\d{1,6})$/u;
const NONE = '-';

export function printerLine(line: PrinterLine): string {
  switch (line.kind) {
    case 'hello':
      return `printer 1 left ${line.left} last ${line.lastId ?? NONE}`;
    case 'done':
      return `done ${line.id} left ${line.left}`;
    case 'ready':
      return `ready left ${line.left}`;
    case 'out':
    case 'jam':
      return line.kind;
  }
}

/** @returns null: no line of a printer */
export function readPrinterLine(text: string): PrinterLine | null {
  if (text === 'out' || text === 'jam') return { kind: text };
  const [hello, done, ready] = [HELLO.exec(text), DONE.exec(text), READY.exec(text)];
  if (hello) return { kind: 'hello', left: Number(hello[1]), lastId: hello[2] === NONE ? null : (hello[2] ?? null) };
  if (done) return { kind: 'done', id: done[1] ?? '', left: Number(done[2]) };
  return ready ? { kind: 'ready', left: Number(ready[1]) } : null;
} // prettier-ignore

export function afterPrinterLine(state: PrinterState, line: PrinterLine): PrinterState {
  switch (line.kind) {
    case 'hello':
      return { isHere: true, left: line.left, trouble: line.left === 0 ? 'out' : null, lastId: line.lastId };
    case 'done':
      return { isHere: true, left: line.left, trouble: null, lastId: line.id };
    case 'out':
      return { ...state, isHere: true, left: 0, trouble: 'out' };
    case 'jam':
      return { ...state, isHere: true, trouble: 'jam' };
    case 'ready':
      return { ...state, isHere: true, left: line.left, trouble: null };
  }
}
