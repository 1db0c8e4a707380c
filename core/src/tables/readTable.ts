import Papa from 'papaparse';
import { type Cells, headerKey } from './columns.ts';

export const DELIMITERS = [',', ';', '\t', '|'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: Cells }[];
}

/** The sign that parts the cells of the first line most often. */
export function guessDelimiter(text: string): Delimiter {
  const [first = ''] = text.split(/\r\n|\n|\r/, 1);
  const counts = DELIMITERS.map((delimiter) => first.split(delimiter).length);
  return DELIMITERS[counts.indexOf(Math.max(...counts))] ?? ',';
}

/** A comma between digits, where commas do not part the cells, is a decimal comma. */
export function guessDecimal(text: string, delimiter: Delimiter): '.' | ',' {
  if (delimiter === ',') return '.';
  const start = text.slice(0, 20_000);
  const commas = start.match(/\d,\d/g)?.length ?? 0;
  const points = start.match(/\d\.\d/g)?.length ?? 0;
  return commas > 0 && commas >= points ? ',' : '.';
}

/** A list as cells by heading, each row with the line it begins in. Lines in quotes are counted too. */
export function readTable(text: string, delimiter: Delimiter): Table {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { delimiter, skipEmptyLines: false });
  const [first = [], ...rest] = data;
  const header = first.map((cell) => cell.trim());
  const keys = header.map(headerKey);
  let line = 1 + breaksIn(first);
  const rows = rest.flatMap((cells) => {
    line += 1;
    const begins = line;
    line += breaksIn(cells);
    if (cells.every((cell) => cell.trim() === '')) return [];
    return [{ line: begins, cells: new Map(keys.map((key, index) => [key, plainCell(cells[index] ?? '')])) }];
  });
  return { header, rows };
}

const breaksIn = (cells: readonly string[]): number =>
  cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 0);

/** What a spreadsheet would run as a formula, behind any number of marks. */
const FORMULA_START = /^'*[=+\-@\t\r]/;

/** Takes off the mark that `safeCell` put before a formula. */
function plainCell(cell: string): string {
  const trimmed = cell.trim();
  return trimmed.startsWith("'") && FORMULA_START.test(trimmed.slice(1)) ? trimmed.slice(1) : trimmed;
}

/** A cell no spreadsheet will run: a formula stands behind an apostrophe. */
const safeCell = (cell: string | number): string =>
  typeof cell === 'string' && FORMULA_START.test(cell) ? `'${cell}` : String(cell);

/** A list in UTF-8 with its mark, so that spreadsheets read it rightly. What is a number adds up there, also below nothing. */
export function writeTable(
  header: readonly (string | number)[],
  rows: readonly (readonly (string | number)[])[],
): string {
  const data = [header, ...rows].map((row) => row.map(safeCell));
  return `\ufeff${Papa.unparse(data, { newline: '\r\n' })}\r\n`;
}
