import type { ImportRecord } from '@lanakit/core/files';
import type { Db } from './openDatabase.ts';

/** What an import did to one item. */
export interface ImportChange {
  readonly itemId: string;
  /** Its properties before, as JSON; null when the import made it. */
  readonly before: string | null;
  readonly versionAfter: number;
}

/** Every query on imports, prepared once. */
export function importQueries(db: Db) {
  const insertImport = db.prepare(`INSERT INTO import (id, file_name, at) VALUES (@id, @fileName, @at)`);
  const insertChange = db.prepare(`
    INSERT INTO import_change (import_id, item_id, before, version_after)
    VALUES (@importId, @itemId, @before, @versionAfter)`);
  const selectRecent = db.prepare<[number], ImportRecord>(`
    SELECT i.id, i.file_name AS fileName, i.at, i.undone_at AS undoneAt,
      (SELECT count(*) FROM import_change c WHERE c.import_id = i.id AND c.before IS NULL) AS created,
      (SELECT count(*) FROM import_change c WHERE c.import_id = i.id AND c.before IS NOT NULL) AS updated,
      (SELECT count(*) FROM movement m WHERE m.import_id = i.id AND m.reason = 'counted') AS counted
    FROM import i ORDER BY i.at DESC, i.rowid DESC LIMIT ?`);
  const selectOne = db.prepare<[string], { undoneAt: string | null }>(
    `SELECT undone_at AS undoneAt FROM import WHERE id = ?`,
  );
  const selectChanges = db.prepare<[string], ImportChange>(`
    SELECT item_id AS itemId, before, version_after AS versionAfter FROM import_change WHERE import_id = ?`);
  const selectMoves = db.prepare<[string], { itemId: string; lotId: string | null; amountMilli: number }>(`
    SELECT item_id AS itemId, lot_id AS lotId, amount_milli AS amountMilli FROM movement WHERE import_id = ?`);
  const markUndone = db.prepare(`UPDATE import SET undone_at = @at WHERE id = @id AND undone_at IS NULL`);
  return {
    insert: (id: string, fileName: string, at: string): void => {
      insertImport.run({ id, fileName, at });
    },
    noteChange: (importId: string, change: ImportChange): void => {
      insertChange.run({ importId, ...change });
    },
    /** The last ones first. */
    recent: (limit: number): ImportRecord[] => selectRecent.all(limit),
    find: (id: string) => selectOne.get(id) ?? null,
    changesOf: (id: string): ImportChange[] => selectChanges.all(id),
    movesOf: (id: string) => selectMoves.all(id),
    /** False when it was undone already. */
    markUndone: (id: string, at: string): boolean => markUndone.run({ id, at }).changes === 1,
  };
}
