import type { BroughtIn } from '@lanakit/core/api';
import type Database from 'better-sqlite3';
import { settleFates, type ThingMapping } from './arrivalFates.ts';
import { bringTogether } from './bringTogether.ts';
import { type FateOf, renamed, renamedEvidence, renamedMark, renamedNumbers } from './renamed.ts';
import { apartColumns, apartReader, rowWriter, sheetRows } from './sheetRows.ts';
import { type ApartValue, type Sheet, type SheetColumn, type SheetRow, SHEETS } from './sheets.ts';

type Connection = Database.Database;

interface Merge {
  /** The studio that is open. */
  readonly here: Connection;
  /** The one that came. */
  readonly came: Connection;
  /** Nothing was ever in it: it becomes the same as the one that came. */
  readonly isEmpty: boolean;
  readonly fateOf: FateOf;
  /** Runs whose wool left a ledger that is not brought in. */
  readonly backToPlanned: ReadonlySet<string>;
}

/** Nothing was ever put into it. */
export const isEmptyStudio = (db: Connection): boolean =>
  [
    'item',
    'pattern',
    'technique',
    'run',
    'picture',
    'movement',
    'import',
    'hand_measure',
    'history',
    'purchase_order',
    'setting',
  ].every((table) => db.prepare(`SELECT 1 FROM ${table} LIMIT 1`).get() === undefined);

/**
 * Brings a studio into another, all of it or nothing. What is here already stays as it is; of what comes, everything is
 * called what it is called here. Stock comes with the ledger that says so: what is here the same keeps its own.
 * @param mapping things of the shelf that are one of this shelf’s, or are put on it; of others the same id tells
 */
export async function mergeStudio(
  here: Connection,
  came: Connection,
  { mapping, newId }: { readonly mapping: readonly ThingMapping[]; readonly newId: () => string },
): Promise<BroughtIn> {
  return bringTogether(here, () => {
    const isEmpty = isEmptyStudio(here);
    const fateOf = settleFates({ here, came, mapping, newId });
    const merge: Merge = { here, came, isEmpty, fateOf, backToPlanned: withoutTheirLedger(came, fateOf) };
    backFromBin(merge);
    const counts = SHEETS.map((sheet) => [sheet.table, bringSheet(merge, sheet)] as const);
    const sum = (table: string) =>
      counts.filter(([name]) => name === table).reduce((total, [, count]) => total + count, 0);
    return {
      counts: { pattern: sum('pattern'), run: sum('run'), item: sum('item'), technique: sum('technique') },
      movements: sum('movement'),
      backToPlanned: merge.backToPlanned.size,
    };
  });
}

/** What lies in the bin here and not there is wanted. */
function backFromBin({ here, came, fateOf }: Merge): void {
  for (const table of ['item', 'lot', 'pattern', 'run'] as const) {
    const restore = here.prepare(
      `UPDATE "${table}" SET deleted_at = NULL, version = version + 1 WHERE id = ? AND deleted_at IS NOT NULL`,
    );
    for (const id of came
      .prepare<[], string>(`SELECT id FROM "${table}" WHERE deleted_at IS NULL`)
      .pluck()
      .all()) {
      const fate = fateOf(table, id);
      if (fate.isHere) restore.run(fate.id);
    }
  }
}

/** A line of what left or came is brought in with its lot; of what is counted without lots, with its thing. */
const isLedgerHere = (
  fateOf: FateOf,
  row: { readonly itemId: unknown; readonly lotId: unknown },
): boolean => {
  if (typeof row.lotId === 'string') return fateOf('lot', row.lotId).isHere;
  const itemId = String(row.itemId);
  const fate = fateOf('item', itemId);
  return fate.isHere && fate.id === itemId;
};

function withoutTheirLedger(came: Connection, fateOf: FateOf): Set<string> {
  const rows = came
    .prepare<[], { runId: string; itemId: string; lotId: string | null }>(
      'SELECT run_id AS runId, item_id AS itemId, lot_id AS lotId FROM run_taking',
    )
    .all();
  return new Set(
    rows
      .filter((row) => !fateOf('run', row.runId).isHere && isLedgerHere(fateOf, row))
      .map(({ runId }) => runId),
  );
}

/** @returns how many rows came in */
function bringSheet(merge: Merge, sheet: Sheet): number {
  const { here, came } = merge;
  const write = rowWriter(here, sheet);
  const readers = apartColumns(sheet).map((column) => ({ column, read: apartReader(came, sheet, column) }));
  const fit = fitter(merge, sheet);
  const isLeft = leaver(merge, sheet);
  let count = 0;
  for (const row of sheetRows(came, sheet, () => undefined)) {
    if (isLeft(row)) continue;
    const id = String(row['id']);
    const apart = Object.fromEntries(
      readers.map(({ column, read }) => [column.key, renamedApart(merge, sheet, column, read(id))]),
    );
    const [fitted, fittedApart] = fit(renamedRow(merge, sheet, row), apart);
    write(fitted, fittedApart);
    count += 1;
  }
  return count;
}

/** Whether a row is not brought in. */
function leaver({ fateOf, isEmpty, here, backToPlanned }: Merge, sheet: Sheet): (row: SheetRow) => boolean {
  if (isEmpty) return () => false;
  const isOfRunHere = (row: SheetRow) => {
    const runId = String(row['runId']);
    return fateOf('run', runId).isHere || backToPlanned.has(runId);
  };
  switch (sheet.table) {
    case 'import':
    case 'import_change':
    case 'history':
    // What is in force here stays; what came of makings can be taken anew.
    case 'learnt':
      return () => true;
    case 'hand_measure':
      return isThere(here, 'hand_measure', { key: 'name', column: 'name' });
    case 'movement':
      return (row) => isLedgerHere(fateOf, { itemId: row['itemId'], lotId: row['lotId'] });
    case 'evidence_choice':
      return isThere(here, 'evidence_choice', { key: 'evidenceId', column: 'evidence_id' });
    case 'takings':
      return isThere(here, 'takings', { key: 'runId', column: 'run_id' });
    case 'setting':
      return isThere(here, 'setting', { key: 'name', column: 'name' });
    case 'stock_level':
      return (row) => isLevelHere(here, fateOf, row);
    case 'technique_version':
      return (row) => fateOf('technique', String(row['techniqueId'])).isHere;
    case 'run_taking':
    case 'needle_closing':
      return isOfRunHere;
    // Each counts once, whichever way it came.
    case 'run_tick':
    case 'needle_tap':
    case 'class_event': {
      const key = KEYS_OF_DEEDS[sheet.table];
      const isKeyHere = isThere(here, sheet.table, key);
      return (row) => isOfRunHere(row) || isKeyHere(row);
    }
    default:
      return (row) => fateOf(sheet.table, String(row['id'])).isHere;
  }
}

/** What is here already keeps the level it has, or that it has none. */
const isLevelHere = (here: Connection, fateOf: FateOf, row: SheetRow): boolean => {
  const fate = fateOf('item', String(row['itemId']));
  return (
    fate.isHere || here.prepare('SELECT 1 FROM stock_level WHERE item_id = ?').get(fate.id) !== undefined
  );
};

const KEYS_OF_DEEDS = {
  run_tick: { key: 'tickKey', column: 'tick_key' },
  needle_tap: { key: 'tapKey', column: 'tap_key' },
  class_event: { key: 'eventKey', column: 'event_key' },
} as const;

function isThere(
  here: Connection,
  table: string,
  { key, column }: Pick<SheetColumn, 'key' | 'column'>,
): (row: SheetRow) => boolean {
  const select = here.prepare<[unknown]>(`SELECT 1 FROM ${table} WHERE ${column} = ?`);
  return (row) => select.get(row[key]) !== undefined;
}

/** Called what it is called here. */
function renamedRow({ fateOf, isEmpty }: Merge, { table, columns }: Sheet, row: SheetRow): SheetRow {
  if (isEmpty) return row;
  return Object.fromEntries(
    columns.map(({ key, is, refersTo }): [string, unknown] => {
      const value = row[key];
      // What is only in an order goes to the end of it.
      if (key === 'id') return [key, is === 'whole' ? null : fateOf(table, String(value)).id];
      if (key === 'importId') return [key, null];
      if (refersTo !== null && typeof value === 'string') return [key, fateOf(refersTo, value).id];
      if (key === 'mark') return [key, renamedMark(String(value), fateOf)];
      if (key === 'evidenceId') return [key, renamedEvidence(String(value), fateOf)];
      return [key, is === 'document' ? renamed(value, fateOf) : value];
    }),
  );
}

function renamedApart(
  { fateOf, isEmpty }: Merge,
  { table }: Sheet,
  { key, is }: SheetColumn,
  value: ApartValue,
): ApartValue {
  if (isEmpty || is === 'bytes' || typeof value !== 'string') return value;
  const document = JSON.parse(value) as unknown;
  return JSON.stringify(
    table === 'run' && key === 'frozen' ? renamedNumbers(document, fateOf) : renamed(document, fateOf),
  );
}

type Fit = (row: SheetRow, apart: Record<string, ApartValue>) => [SheetRow, Record<string, ApartValue>];

/** Makes room for it among what is here: a lot of a name that is taken, a revision of a number that is. */
function fitter({ here, isEmpty, backToPlanned, fateOf }: Merge, { table }: Sheet): Fit {
  if (isEmpty) return (row, apart) => [row, apart];
  if (table === 'lot') {
    const isTaken = here
      .prepare<[unknown, string], number>(
        'SELECT 1 FROM lot WHERE item_id = ? AND lower(trim(name)) = lower(trim(?)) AND deleted_at IS NULL',
      )
      .pluck();
    return (row, apart) => {
      const name = freeName(String(row['name']), (tried) => isTaken.get(row['itemId'], tried) !== undefined);
      return [{ ...row, name, properties: { ...(row['properties'] as object), name } }, apart];
    };
  }
  if (table === 'revision') {
    const isTaken = here.prepare('SELECT 1 FROM revision WHERE pattern_id = ? AND number = ?');
    const last = here
      .prepare<[unknown], number>('SELECT max(number) FROM revision WHERE pattern_id = ?')
      .pluck();
    return (row, apart) =>
      isTaken.get(row['patternId'], row['number']) === undefined
        ? [row, apart]
        : [{ ...row, number: (last.get(row['patternId']) ?? 0) + 1 }, apart];
  }
  if (table === 'run') {
    const planned = new Set([...backToPlanned].map((id) => fateOf('run', id).id));
    return (row, apart) =>
      planned.has(String(row['id']))
        ? [
            { ...row, state: 'planned' },
            { ...apart, frozen: null },
          ]
        : [row, apart];
  }
  return (row, apart) => [row, apart];
}

function freeName(name: string, isTaken: (name: string) => boolean): string {
  let [tried, at] = [name, 2];
  while (isTaken(tried)) tried = `${name} (${at++})`;
  return tried;
}
