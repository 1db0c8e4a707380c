import { type PatternOfAnyFormat, upgradePattern } from '@lanakit/core/pattern';
import type { Database } from 'better-sqlite3';

/**
 * Documents of patterns in the second format: layers instead of one core and one coat, joins, cut lengths. Published
 * revisions keep their numbers, their grams and their days; only how they are written down changes, so their guard is
 * lifted for this step alone.
 */
export function woolEngine(db: Database): void {
  db.exec('DROP TRIGGER revision_is_unchangeable');
  for (const table of ['pattern', 'revision'] as const) {
    const rows = db.prepare<[], { id: string; document: string }>(`SELECT id, document FROM ${table}`).all();
    const write = db.prepare(`UPDATE ${table} SET document = ? WHERE id = ?`);
    for (const { id, document } of rows) {
      write.run(JSON.stringify(upgradePattern(JSON.parse(document) as PatternOfAnyFormat)), id);
    }
  }
  db.exec(`
    CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
    BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;`);
}
