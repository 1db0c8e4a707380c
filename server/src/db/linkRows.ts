import { itemsUsed, type Pattern } from '@lanakit/core/pattern';
import { revisionsOfRun, type RunInput } from '@lanakit/core/run';
import { itemsNamed } from '@lanakit/core/shelf';
import type Database from 'better-sqlite3';
import type { ApartValue, Sheet, SheetRow } from './sheets.ts';

/** What names what: written anew from each row that comes in, so that it cannot say anything else than the row does. */
export function linkWriter(db: Database.Database) {
  const into = (table: string, from: string, to: string) => {
    const insert = db.prepare(`INSERT OR IGNORE INTO ${table} (${from}, ${to}) VALUES (?, ?)`);
    return (id: unknown, named: readonly string[]) => {
      for (const namedId of named) insert.run(id, namedId);
    };
  };
  const ofItem = into('item_link', 'item_id', 'names_id');
  const ofPattern = into('pattern_item', 'pattern_id', 'item_id');
  const ofRevision = into('revision_item', 'revision_id', 'item_id');
  const ofRun = into('run_revision', 'run_id', 'revision_id');
  const documentOf = <T>(apart: Readonly<Record<string, ApartValue>>) =>
    JSON.parse(String(apart['document'])) as T;
  return ({ table, itemKind }: Sheet, row: SheetRow, apart: Readonly<Record<string, ApartValue>>): void => {
    if (itemKind !== null) ofItem(row['id'], itemsNamed(itemKind, row['properties']));
    if (table === 'pattern') ofPattern(row['id'], itemsUsed(documentOf<Pattern>(apart)));
    if (table === 'revision') ofRevision(row['id'], itemsUsed(documentOf<Pattern>(apart)));
    if (table === 'run') ofRun(row['id'], revisionsOfRun(documentOf<RunInput>(apart)));
  };
}
