import type { Codec, CsvStyle } from './codecs.ts';
import type { RowProblem } from './problem.ts';

/** One column of a list: its heading, where its value stands in the thing, and how it is written. */
export interface Column {
  readonly header: string;
  readonly path: readonly string[];
  readonly codec: Codec;
  /** Without it the file is not of this kind. */
  readonly isNeeded?: true;
}

export const column = (header: string, path: string, codec: Codec): Column => ({
  header,
  path: path.split('.'),
  codec,
});

export const neededColumn = (header: string, path: string, codec: Codec): Column => ({
  ...column(header, path, codec),
  isNeeded: true,
});

/** The cells of one row by heading, as in `headerKey`; a column that is not in the file has none. */
export type Cells = ReadonlyMap<string, string>;

/** Headings are the same whatever their capitals, spaces and signs: “g per m²” is “G/m2 ”. */
export const headerKey = (header: string): string =>
  header
    .toLowerCase()
    .replaceAll('²', '2')
    .replaceAll('³', '3')
    .replaceAll('/', 'per')
    .replaceAll(/[^\p{L}\p{N}]/gu, '');

export interface RowReading<T> {
  readonly value: T;
  readonly problems: readonly RowProblem[];
}

/**
 * `start` with every cell of the row put in its place. A column the file has not leaves what `start` has, so that a
 * short list changes only what it names. `isIn` leaves out columns that do not belong to this thing.
 */
export function readRow<T extends object>(
  columns: readonly Column[],
  cells: Cells,
  start: T,
  style: CsvStyle,
): RowReading<T> {
  const value = structuredClone(start) as Record<string, unknown>;
  const problems: RowProblem[] = [];
  for (const { header, path, codec } of columns) {
    const cell = cells.get(headerKey(header));
    if (cell === undefined || !hasPlace(value, path)) continue;
    const reading = codec.read(cell, style);
    if (reading.ok) putAt(value, path, reading.value);
    else
      problems.push({
        code: 'cell_not_read',
        pointer: `/${path.join('/')}`,
        column: header,
        text: cell,
        wanted: reading.wanted,
      });
  }
  return { value: value as T, problems };
}

/** A row of cells in the order of the columns; what the thing has not is empty. */
export const writeRow = (columns: readonly Column[], thing: object): string[] =>
  columns.map(({ path, codec }) => {
    const value = valueAt(thing, path);
    return value === undefined ? '' : codec.write(value);
  });

function valueAt(thing: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>(
    (inner, name) =>
      typeof inner === 'object' && inner !== null ? (inner as Record<string, unknown>)[name] : undefined,
    thing,
  );
}

/** A place is there when everything around it is: a bead has no diameter of wire. */
function hasPlace(thing: object, path: readonly string[]): boolean {
  const around = path
    .slice(0, -1)
    .reduce<unknown>(
      (inner, name) =>
        typeof inner === 'object' && inner !== null ? (inner as Record<string, unknown>)[name] : undefined,
      thing,
    );
  return typeof around === 'object' && around !== null && (path.at(-1) ?? '') in around;
}

function putAt(thing: Record<string, unknown>, path: readonly string[], value: unknown): void {
  let inner = thing;
  for (const name of path.slice(0, -1)) inner = inner[name] as Record<string, unknown>;
  inner[path.at(-1) ?? ''] = value;
}
