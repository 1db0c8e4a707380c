import type { Db } from './openDatabase.ts';

/** Deleting that can be undone, the same for every table with `version` and `deleted_at`. */
export function softDelete(db: Db, table: 'item' | 'pattern' | 'run') {
  const mark = db.prepare(
    `UPDATE ${table} SET deleted_at = @at, version = version + 1
     WHERE id = @id AND version = @version AND deleted_at IS NULL`,
  );
  const unmark = db.prepare(
    `UPDATE ${table} SET deleted_at = NULL, version = version + 1 WHERE id = ? AND deleted_at IS NOT NULL`,
  );
  return {
    /** False when the version is no longer the stored one; nothing is written then. */
    remove: (id: string, version: number, at: string): boolean => mark.run({ id, version, at }).changes === 1,
    /** False when there is nothing of that id to bring back. */
    restore: (id: string): boolean => unmark.run(id).changes === 1,
  };
}
