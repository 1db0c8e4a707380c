import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  afterPrinterLine,
  NO_PRINTER,
  pieceLines,
  pieceReader,
  type PrinterLabel,
  printerLine,
  type PrinterLine,
  type PrinterPiece,
  readPrinterLine,
  readScanLine,
  scanFilter,
  simulatedPrinter,
} from '../../src/labelling/index.ts';

const label = (more: Partial<PrinterLabel> = {}): PrinterLabel => ({
  widthMm: 64,
  heightMm: 38,
  xMm: 0,
  yMm: 0,
  title: 'Seat 3, Mara',
  bag: 'session 1',
  lines: [{ amount: '12.4 g', text: 'Chalk, carded', colour: '#f2efe6' }],
  notes: ['may bleed'],
  foot: 'Saturday pears',
  code: '23456789ABCD',
  ...more,
});
const piece = (id: string, labels: readonly PrinterLabel[] = [label()]): PrinterPiece => ({
  id,
  widthMm: 64,
  heightMm: 38,
  labels,
});
const reread = (lines: readonly string[]): PrinterPiece[] => {
  const read = pieceReader();
  return lines.flatMap((line) => read(line) ?? []);
};

describe('what is said to a printer', () => {
  test('is read back as it was: a label, and a sheet of many', () => {
    const sheet = piece('s', [label(), label({ xMm: 66.4, bag: '', notes: [], foot: '', code: '' })]);
    expect(reread([...pieceLines(piece('a')), ...pieceLines(sheet)])).toEqual([piece('a'), sheet]);
  });
  test('words of whatever kind end no line and begin no other', () => {
    const words = fc.string({ unit: 'grapheme', maxLength: 60 });
    fc.assert(
      fc.property(words, words, words, (title, text, amount) => {
        const odd = label({ title: `${title}\nend a\r`, lines: [{ amount, text: `${text}|x`, colour: null }] });
        const [came, ...more] = reread(pieceLines(piece('a', [odd])));
        expect(more).toEqual([]);
        expect(came?.labels.length).toBe(1);
        expect(came?.labels[0]?.lines.length).toBe(1);
        expect(came?.labels[0]?.code).toBe(odd.code);
      }),
    );
  }); // prettier-ignore
  test('a piece that is not whole is none, and what follows it is', () => {
    const cut = pieceLines(piece('a')).slice(0, 4);
    expect(reread([...cut, ...pieceLines(piece('b'))]).map(({ id }) => id)).toEqual(['b']);
    expect(reread(['line 3 g|nobody|', 'end a', 'bosh', ''])).toEqual([]);
  });
});

describe('what a printer says', () => {
  test.each<[string, PrinterLine]>([
    ['printer 1 left 40 last -', { kind: 'hello', left: 40, lastId: null }],
    ['printer 1 left 0 last id12', { kind: 'hello', left: 0, lastId: 'id12' }],
    ['done id12 left 39', { kind: 'done', id: 'id12', left: 39 }],
    ['out', { kind: 'out' }],
    ['jam', { kind: 'jam' }],
    ['ready left 100', { kind: 'ready', left: 100 }],
  ])('%s', (text, line) => {
    expect(readPrinterLine(text)).toEqual(line);
    expect(printerLine(line)).toBe(text);
  });
  test.each(['', 'done', 'done  left 3', 'out of paper', 'ready left -1', 'printer 2 left 3 last -', 'x'.repeat(500)])(
    '%j is no line of it',
    (text) => expect(readPrinterLine(text)).toBeNull(),
  ); // prettier-ignore
  test('a jam is over when it is ready, or prints', () => {
    const jammed = afterPrinterLine({ ...NO_PRINTER, left: 5 }, { kind: 'jam' });
    expect(jammed).toMatchObject({ trouble: 'jam', left: 5, isHere: true });
    expect(afterPrinterLine(jammed, { kind: 'ready', left: 5 }).trouble).toBeNull();
    expect(afterPrinterLine(jammed, { kind: 'done', id: 'a', left: 4 })).toMatchObject({ trouble: null, lastId: 'a' });
  }); // prettier-ignore
});

describe('a printer that is not there', () => {
  const send = (printer: ReturnType<typeof simulatedPrinter>, id: string) =>
    printer.hear(pieceLines(piece(id)).map((line) => `${line}\n`).join('')); // prettier-ignore

  test('prints one after another, runs out, is loaded, and goes on with what it had', () => {
    const printer = simulatedPrinter(2);
    for (const id of ['a', 'b', 'c']) send(printer, id);
    expect(printer.after(0.39)).toEqual([]);
    expect(printer.after(0.02)).toEqual([{ kind: 'done', id: 'a', left: 1 }]);
    expect(printer.after(10)).toEqual([{ kind: 'done', id: 'b', left: 0 }, { kind: 'out' }]);
    expect(printer.after(10)).toEqual([]);
    expect(printer.do({ act: 'load', pieces: 9 })).toEqual([{ kind: 'ready', left: 9 }]);
    expect(printer.after(0.5)).toEqual([{ kind: 'done', id: 'c', left: 8 }]);
    expect(printer.tray().map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });
  test('jammed it prints nothing until it is cleared', () => {
    const printer = simulatedPrinter();
    send(printer, 'a');
    expect(printer.do({ act: 'jam' })).toEqual([{ kind: 'jam' }]);
    expect(printer.after(20)).toEqual([]);
    expect(printer.do({ act: 'clear' })[0]?.kind).toBe('ready');
    expect(printer.after(0.4).map(({ kind }) => kind)).toEqual(['done']);
  });
  test('unplugged in the middle of a piece it forgets it, and says when it is back what it printed last', () => {
    const printer = simulatedPrinter();
    send(printer, 'a');
    printer.after(1);
    printer.hear(pieceLines(piece('b')).slice(0, 3).map((line) => `${line}\n`).join('') + 'line 3 g|Chal');
    expect(printer.do({ act: 'unplug' })).toEqual([]);
    printer.hear('k|\nend b\n');
    expect(printer.do({ act: 'plug' })).toEqual([{ kind: 'hello', left: 99, lastId: 'a' }]);
    printer.hear('k|\nend b\n');
    expect(printer.after(5)).toEqual([]);
    send(printer, 'b');
    expect(printer.after(1).map(({ kind }) => kind)).toEqual(['done']);
  }); // prettier-ignore
  test('a thousand lines in whatever pieces they come are as many labels', () => {
    const text = Array.from({ length: 125 }, (_, at) => pieceLines(piece(`p${at}`)).map((line) => `${line}\r\n`).join('')).join('');
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 40 }), (cuts) => {
        const printer = simulatedPrinter(1000);
        for (let at = 0, turn = 0; at < text.length; turn += 1) {
          const size = cuts[turn % cuts.length] as number;
          printer.hear(text.slice(at, at + size));
          at += size;
        }
        expect(printer.after(1000).length).toBe(125);
      }),
      { numRuns: 10 },
    );
  }); // prettier-ignore
});

describe('what a scanner says', () => {
  test.each([
    ['2345-6789-ABCD', '2345-6789-ABCD'],
    [']Q323456789ABCD', '23456789ABCD'],
    ['\u0002 23456789abcd \u0003', '23456789abcd'],
    ['', null],
    ['   ', null],
    ['x'.repeat(121), null],
  ])('%j is the code %j', (text, code) => expect(readScanLine(text)).toBe(code));
  test('a trigger that is held reads once; another code, and the same later, are new', () => {
    const isNew = scanFilter();
    expect([isNew('a', 0), isNew('a', 300), isNew('a', 900), isNew('b', 1000), isNew('a', 1100), isNew('a', 1900)]).toEqual([
      true,
      false,
      false,
      true,
      true,
      true,
    ]);
  }); // prettier-ignore
});
