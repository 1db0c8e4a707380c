import type Database from 'better-sqlite3';
import { packed, unpacked } from './packed.ts';
import { linkWriter } from './linkRows.ts';
import { sealColumnOf, sealOf } from './sealed.ts';
import type { ApartValue, Sheet, SheetColumn, SheetRow } from './sheets.ts';

type Connection = Database.Database;

export const apartColumns = ({ columns }: Sheet): readonly SheetColumn[] =>
  columns.filter(({ isApart }) => isApart);

const ofKind = ({ itemKind }: Sheet): string => (itemKind === null ? '' : `WHERE kind = '${itemKind}'`);

/** Told of a row whose document cannot be read, by what stands first in it. */
type UnreadableRow = (id: unknown) => void;

/**
 * Every row in order; of what stands apart, whether it is there.
 * @param onUnreadable told of those that are left out
 */
export function* sheetRows(db: Connection, sheet: Sheet, onUnreadable: UnreadableRow): Generator<SheetRow> {
  const { columns } = sheet;
  const list = columns
    .map(({ column, isApart }) => (isApart ? `"${column}" IS NOT NULL` : `"${column}"`))
    .join(', ');
  const rows = db
    .prepare<[], unknown[]>(`SELECT ${list} FROM "${sheet.table}" ${ofKind(sheet)} ORDER BY ${sheet.order}`)
    .raw()
    .iterate();
  for (const values of rows) {
    try {
      yield Object.fromEntries(columns.map((column, at) => [column.key, shown(column, values[at])]));
    } catch {
      onUnreadable(values[0]);
    }
  }
}

export const countRows = (db: Connection, sheet: Sheet): number =>
  db
    .prepare<[], number>(`SELECT count(*) FROM "${sheet.table}" ${ofKind(sheet)}`)
    .pluck()
    .get() ?? 0;

/** What stands apart of one row. */
export function apartReader(db: Connection, { table }: Sheet, { column }: SheetColumn) {
  const select = db.prepare<[string], ApartValue>(`SELECT "${column}" FROM "${table}" WHERE id = ?`).pluck();
  return (id: string): ApartValue => select.get(id) ?? null;
}

function shown({ is, isPacked, isApart }: SheetColumn, value: unknown): unknown {
  if (value === null) return null;
  if (is === 'yesNo' || isApart) return value === 1;
  if (is !== 'document') return value;
  const text = isPacked ? unpacked(value as Buffer) : (value as string);
  return JSON.parse(text) as unknown;
}

/** Writes rows of a sheet as they are, their documents sealed, and what they name. */
export function rowWriter(db: Connection, sheet: Sheet) {
  const { columns, table, itemKind } = sheet;
  const link = linkWriter(db);
  const seals = columns.map(({ column }) => sealColumnOf(table, column));
  const names = [
    ...columns.map(({ column }) => column),
    ...seals.flatMap((seal) => seal ?? []),
    ...(itemKind === null ? [] : ['kind']),
  ];
  const insert = db.prepare(
    `INSERT INTO "${table}" (${names.map((name) => `"${name}"`).join(', ')})
     VALUES (${names.map(() => '?').join(', ')})`,
  );
  return (row: SheetRow, apart: Readonly<Record<string, ApartValue>>): void => {
    const values = columns.map((column) =>
      column.isApart ? (apart[column.key] ?? null) : stored(column, row[column.key]),
    );
    const sealed = seals.flatMap((seal, at) => (seal === null ? [] : [sealOfValue(values[at])]));
    insert.run(...values, ...sealed, ...(itemKind === null ? [] : [itemKind]));
    link(sheet, row, apart);
  };
}

export type RowWriter = ReturnType<typeof rowWriter>;

const sealOfValue = (value: unknown): number | null => (typeof value === 'string' ? sealOf(value) : null);

function stored({ is, isPacked }: SheetColumn, value: unknown): unknown {
  if (value === null || value === undefined) return null;
  if (is === 'yesNo') return value === true ? 1 : 0;
  if (is !== 'document') return value;
  const text = JSON.stringify(value);
  return isPacked ? packed(text) : text;
}
