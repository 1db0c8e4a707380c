import type { ClassAct } from '@lanakit/core/classDay';
import type { MakingInput } from '@lanakit/core/logbook';
import type { Pattern } from '@lanakit/core/pattern';
import { revisionsOfRun, type RunInput } from '@lanakit/core/run';
import { itemsNamed } from '@lanakit/core/shelf';
import type Database from 'better-sqlite3';
import { patternLinks, unknownCountOf, woolOnlyFlag } from './patternLinks.ts';
import type { ApartValue, Sheet, SheetRow } from './sheets.ts';

/** What names what: written anew from each row that comes in, so that it cannot say anything else than the row does. */
export function linkWriter(db: Database.Database) {
  // A blend may name one that comes after it: whether all is there is looked at when all has come.
  const nameItem = db.prepare('INSERT OR IGNORE INTO item_link (item_id, names_id) VALUES (?, ?)');
  const nameRevision = db.prepare('INSERT OR IGNORE INTO run_revision (run_id, revision_id) VALUES (?, ?)');
  const links = patternLinks(db);
  const setUnknown = db.prepare('UPDATE pattern SET unknown_count = ? WHERE id = ?');
  const setWoolOnly = db.prepare('UPDATE revision SET is_wool_only = 1 WHERE id = ?');
  const ofPattern = (id: string, pattern: Pattern) => {
    links.ofPattern(id, pattern);
    const unknown = unknownCountOf(pattern);
    if (unknown > 0) setUnknown.run(unknown, id);
  };
  const ofRevision = (id: string, pattern: Pattern) => {
    links.ofRevision(id, pattern);
    if (woolOnlyFlag(pattern) === 1) setWoolOnly.run(id);
  };
  const usePicture = db.prepare('INSERT OR IGNORE INTO picture_use (owner_id, picture_id) VALUES (?, ?)');
  const ofEvent = (runId: string, what: ClassAct) => {
    if (what.act === 'photo' || what.act === 'box-photo') usePicture.run(runId, what.pictureId);
  };
  const documentOf = <T>(apart: Readonly<Record<string, ApartValue>>) =>
    JSON.parse(String(apart['document'])) as T;
  return ({ table, itemKind }: Sheet, row: SheetRow, apart: Readonly<Record<string, ApartValue>>): void => {
    if (itemKind !== null)
      for (const itemId of itemsNamed(itemKind, row['properties'])) nameItem.run(row['id'], itemId);
    if (table === 'pattern') ofPattern(String(row['id']), documentOf<Pattern>(apart));
    if (table === 'revision') ofRevision(String(row['id']), documentOf<Pattern>(apart));
    if (table === 'making' || table === 'commission')
      for (const { pictureId } of documentOf<Pick<MakingInput, 'pictures'>>(apart).pictures)
        usePicture.run(row['id'], pictureId);
    if (table === 'class_event') ofEvent(String(row['runId']), row['what'] as ClassAct);
    if (table === 'run')
      for (const id of revisionsOfRun(documentOf<RunInput>(apart))) nameRevision.run(row['id'], id);
  };
}
