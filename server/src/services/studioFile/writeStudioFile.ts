import { type FindingMeasure, type StockUnit, unitOfFinding } from '@lanakit/core/shelf';
import { Pattern } from '@lanakit/core/pattern';
import { CommissionInput } from '@lanakit/core/commissions';
import { TranslationInput } from '@lanakit/core/translation';
import { MakingInput } from '@lanakit/core/logbook';
import { RunInput } from '@lanakit/core/run';
import Database from 'better-sqlite3';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { apartColumns, apartReader, countRows, sheetRows } from '../../db/sheetRows.ts';
import { type ApartValue, type CellKind, type Sheet, type SheetRow, SHEETS } from '../../db/sheets.ts';
import { csvOfSheet, type Names, type SheetCsv } from './csvOfSheet.ts';
import { apartPath, MANIFEST, NEWEST_STUDIO_FORMAT, STUDIO_FORMAT, type StudioManifest } from './format.ts';
import { LeftOut } from './leftOut.ts';
import { readMe } from './readMe.ts';
import { described, sheetSchema } from './sheetSchema.ts';

type Connection = Database.Database;

/** Rows are written so many at a time. */
const ROWS_AT_ONCE = 500;

/**
 * Writes the whole studio as open files into one ZIP: as it is at one moment, beside whoever writes, and of however many
 * rows without holding them all.
 * @param studioFile the database
 * @param to where the ZIP goes
 */
export async function writeStudioFile(studioFile: string, to: string, madeAt: string): Promise<void> {
  const db = new Database(studioFile, { readonly: true, fileMustExist: true });
  try {
    db.exec('BEGIN');
    const zip = new ZipFile();
    const mtime = new Date(madeAt);
    const addLater = (path: string, parts: () => Iterable<string | Buffer>, compress = true) =>
      zip.addReadStreamLazy(path, { mtime, compress }, (done) =>
        done(null, Readable.from(parts(), { objectMode: false })),
      );
    const leftOut = new LeftOut();
    const names = namesIn(db);
    addLater('READ ME.txt', () => [readMe(madeAt)]);
    for (const [name, schema] of [
      ...SHEETS.map((sheet) => [sheet.name, sheetSchema(sheet)] as const),
      ...DOCUMENT_SCHEMAS,
    ])
      addLater(`schemas/${name.replaceAll('/', '-')}.schema.json`, () => [jsonText(schema)]);
    for (const sheet of SHEETS) {
      const apart = apartColumns(sheet).length > 0 ? apartOf(db, sheet, leftOut) : null;
      const rows = () => apart?.map(({ row }) => row) ?? soundRows(db, sheet, leftOut);
      addLater(`${sheet.name}.json`, () => jsonLines(rows()));
      addLater(`${sheet.name}.csv`, () => csvLines(rows(), csvOfSheet(sheet, names)));
      for (const { path, bytes } of apart?.flatMap(({ files }) => files) ?? [])
        addLater(path, () => [bytes()], path.endsWith('.json') || path.endsWith('.svg'));
    }
    // Written when all the rest is: only then it is known what could not be read.
    addLater(MANIFEST, () => [jsonText(manifestOf(db, madeAt, leftOut.told))]);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(to, { mode: 0o600 }));
  } finally {
    db.close();
  }
}

/** Documents that have files of their own. */
const DOCUMENT_SCHEMAS = [
  ['pattern', described(Pattern, 'pattern', 'A pattern, as a draft or as it was published')],
  ['run', described(RunInput, 'run', 'The plan of a class or a batch of kits')],
  ['translation', described(TranslationInput, 'translation', 'Texts of a pattern in another language')],
  ['commission', described(CommissionInput, 'commission', 'What somebody asked for')],
  ['making', described(MakingInput, 'making', 'A figure that was made, as it was written down')],
] as const;

const jsonText = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

function manifestOf(db: Connection, madeAt: string, leftOut: StudioManifest['leftOut']): StudioManifest {
  const lost = (name: string) => leftOut.filter(({ sheet }) => sheet === name).length;
  const rows = Object.fromEntries(
    SHEETS.map((sheet) => [sheet.name, countRows(db, sheet) - lost(sheet.name)]),
  );
  return { format: STUDIO_FORMAT, formatVersion: NEWEST_STUDIO_FORMAT, madeAt, rows, leftOut };
}

/** Every row that can be read, of what can be read. */
const soundRows = (db: Connection, sheet: Sheet, leftOut: LeftOut): Iterable<SheetRow> =>
  leftOut.without(
    sheet,
    sheetRows(db, sheet, (id) => leftOut.add(sheet, id)),
  );

/**
 * What of a sheet stands in files of its own: its rows with the names of those, and how each is read. What cannot be read
 * is found out before its row is written: a row that names a file without a document would come in nowhere.
 */
function apartOf(db: Connection, sheet: Sheet, leftOut: LeftOut): readonly ApartRow[] {
  const readers = apartColumns(sheet).map((column) => ({ ...column, read: apartReader(db, sheet, column) }));
  const rows: ApartRow[] = [];
  for (const row of soundRows(db, sheet, leftOut)) {
    const id = String(row['id']);
    const there = readers.filter(({ key }) => row[key] === true);
    const isWhole = there.every(({ key, is, read }) => {
      const value = readable(is, () => read(id));
      return value !== null && !leftOut.isNothingWithout(sheet, key, value);
    });
    const files = there.map(({ key, is, read }) => ({
      key,
      path: apartPath(sheet, key, row),
      bytes: () => fileBytes(is, read(id)),
    }));
    if (isWhole) rows.push({ row: withPaths(row, readers, files), files });
    else leftOut.add(sheet, id);
  }
  return rows;
}

interface ApartRow {
  readonly row: SheetRow;
  readonly files: readonly {
    readonly key: string;
    readonly path: string;
    readonly bytes: () => string | Buffer;
  }[];
}

const withPaths = (
  row: SheetRow,
  columns: readonly { readonly key: string }[],
  files: ApartRow['files'],
): SheetRow => ({
  ...row,
  ...Object.fromEntries(
    columns.map(({ key }) => [key, files.find((file) => file.key === key)?.path ?? null]),
  ),
});

const fileBytes = (is: CellKind, value: ApartValue): string | Buffer =>
  is === 'bytes' ? (value ?? '') : jsonText(JSON.parse(String(value)));

/** Null: a disk has changed it, or it can no longer be read. */
function readable(is: CellKind, read: () => ApartValue): ApartValue {
  try {
    const value = read();
    if (is === 'document') JSON.parse(String(value));
    return value;
  } catch {
    return null;
  }
}

/** An array of JSON with a row on each line: to be read whole, or line by line. */
function* jsonLines(rows: Iterable<SheetRow>): Generator<string> {
  let mark = '[\n';
  for (const some of inBatches(rows)) {
    yield mark + some.map((row) => JSON.stringify(row)).join(',\n');
    mark = ',\n';
  }
  yield mark === '[\n' ? '[]\n' : '\n]\n';
}

function* csvLines(rows: Iterable<SheetRow>, csv: SheetCsv): Generator<string> {
  yield csv.header();
  for (const some of inBatches(rows)) yield csv.lines(some);
}

function* inBatches<T>(values: Iterable<T>): Generator<T[]> {
  let some: T[] = [];
  for (const value of values) {
    some.push(value);
    if (some.length < ROWS_AT_ONCE) continue;
    yield some;
    some = [];
  }
  if (some.length > 0) yield some;
}

/** By table and id; what is in the bin is called what it was called. */
function namesIn(db: Connection): Names {
  const names = new Map<string, string>();
  const units = new Map<string, StockUnit>();
  for (const [table, select] of Object.entries(NAMES))
    for (const { id, name } of db.prepare<[], { id: string; name: string }>(select).iterate())
      names.set(`${table} ${id}`, name);
  for (const { id, kind, measured } of db.prepare<[], MeasuredItem>(MEASURED_ITEMS).iterate())
    units.set(id, unitOf(kind, measured));
  return {
    nameOf: (table, id) => names.get(`${table} ${id}`) ?? '',
    unitOf: (itemId) => units.get(itemId) ?? null,
  };
}

const NAMES = {
  item: 'SELECT id, name FROM item',
  lot: 'SELECT id, name FROM lot',
  run: 'SELECT id, name FROM run',
  pattern: 'SELECT id, title AS name FROM pattern',
  import: 'SELECT id, file_name AS name FROM import',
} as const;

interface MeasuredItem {
  readonly id: string;
  readonly kind: string;
  readonly measured: FindingMeasure['by'] | null;
}

const MEASURED_ITEMS = `SELECT id, kind,
  CASE WHEN json_valid(properties) THEN json_extract(properties, '$.measure.by') END AS measured FROM item`;

function unitOf(kind: string, measured: MeasuredItem['measured']): StockUnit {
  if (kind === 'fibre' || kind === 'blend') return 'g';
  return measured === null ? 'piece' : unitOfFinding({ by: measured });
}
