import type { PrinterLabel, PrinterPiece } from './printerLabel.ts';

/** A line to a printer is never longer. */
export const LONGEST_PRINTER_LINE = 400;
/** A piece that has no end is given up. */
const MOST_LABELS = 400;

const size = ({ widthMm, heightMm }: Pick<PrinterLabel, 'widthMm' | 'heightMm'>): string =>
  `${tenths(widthMm)}x${tenths(heightMm)}`;
const tenths = (mm: number): string => String(Math.round(mm * 10) / 10);

/** No word of a maker’s may end a line, or part one. */
const plain = (words: string): string =>
  words
    .replaceAll(/[\p{C}\s]+/gu, ' ')
    .replaceAll('|', '/')
    .trim()
    .slice(0, 200);

/** A piece as it is said to a printer, line by line. See docs/labels.md. */
export function pieceLines(piece: PrinterPiece): string[] {
  return [
    `piece ${piece.id} ${size(piece)}`,
    ...piece.labels.flatMap((label) => [
      `label ${size(label)} at ${tenths(label.xMm)} ${tenths(label.yMm)}`,
      `title ${plain(label.title)}`,
      ...(label.bag === '' ? [] : [`bag ${plain(label.bag)}`]),
      ...label.lines.map(({ amount, text, colour }) => `line ${plain(amount)}|${plain(text)}|${colour ?? ''}`),
      ...label.notes.map((note) => `note ${plain(note)}`),
      ...(label.foot === '' ? [] : [`foot ${plain(label.foot)}`]),
      ...(label.code === '' ? [] : [`code ${label.code}`]),
    ]),
    `end ${piece.id}`,
  ];
} // prettier-ignore

interface Begun {
  readonly id: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly labels: PrinterLabel[];
}

const PIECE = /^piece ([\w-]{1,40}) ([\d.]{1,6})x([\d.]{1,6})$/u;
const LABEL = /^label ([\d.]{1,6})x([\d.]{1,6}) at ([\d.]{1,6}) ([\d.]{1,6})$/u;
const COLOUR = /^#[\da-f]{6}$/iu;

/** Puts pieces together again out of their lines; what is no line of one, or of none that is begun, is passed over. */
export function pieceReader(): (line: string) => PrinterPiece | null {
  let begun: Begun | null = null;
  return (line) => {
    const piece = PIECE.exec(line);
    if (piece) {
      const [, id = '', width, height] = piece;
      begun = { id, widthMm: Number(width), heightMm: Number(height), labels: [] };
      return null;
    }
    if (!begun) return null;
    if (line === `end ${begun.id}`) {
      const done = begun;
      begun = null;
      return done;
    }
    const label = LABEL.exec(line);
    if (label) {
      const [widthMm = 0, heightMm = 0, xMm = 0, yMm = 0] = label.slice(1).map(Number);
      const blank = { title: '', bag: '', lines: [], notes: [], foot: '', code: '' };
      begun.labels.push({ widthMm, heightMm, xMm, yMm, ...blank });
      if (begun.labels.length > MOST_LABELS) begun = null;
      return null;
    }
    const at = begun.labels.length - 1;
    const last = begun.labels[at];
    if (last) begun.labels[at] = withLine(last, line);
    return null;
  };
}

function withLine(label: PrinterLabel, line: string): PrinterLabel {
  const gap = line.indexOf(' ');
  const [word, rest] = gap < 0 ? [line, ''] : [line.slice(0, gap), line.slice(gap + 1)];
  switch (word) {
    case 'title':
    case 'bag':
    case 'foot':
    case 'code':
      return { ...label, [word]: rest };
    case 'note':
      return { ...label, notes: [...label.notes, rest] };
    case 'line': {
      const [amount = '', text = '', colour = ''] = rest.split('|');
      return { ...label, lines: [...label.lines, { amount, text, colour: COLOUR.test(colour) ? colour : null }] };
    }
    default:
      return label;
  }
} // prettier-ignore
