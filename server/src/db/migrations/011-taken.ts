import { type PatternOfAnyFormat, upgradePattern } from '@lanakit/core/pattern';
import { proposeStandsFor, type ToolSort } from '@lanakit/core/shelf';
import type { Database } from 'better-sqlite3';

/**
 * Documents of patterns in the seventh format: what is taken in a swap says of what sort it is. Tools say what they are in
 * the lists of patterns, so that a room is held against the shelf by that and not by names.
 */
export function taken(db: Database): void {
  db.exec('DROP TRIGGER revision_is_unchangeable');
  for (const table of ['pattern', 'revision'] as const) {
    const rows = db.prepare<[], { id: string; document: string }>(`SELECT id, document FROM ${table}`).all();
    const write = db.prepare(`UPDATE ${table} SET document = ? WHERE id = ?`);
    for (const { id, document } of rows) {
      write.run(JSON.stringify(upgradePattern(JSON.parse(document) as PatternOfAnyFormat)), id);
    }
  }
  nameTools(db);
  db.exec(`
    CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
    BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;
  `);
}

function nameTools(db: Database): void {
  const rows = db
    .prepare<[], { id: string; name: string; properties: string }>(
      `SELECT id, name, properties FROM item WHERE kind = 'tool'`,
    )
    .all();
  const write = db.prepare('UPDATE item SET properties = ? WHERE id = ?');
  for (const { id, name, properties } of rows) {
    const tool = JSON.parse(properties) as { sort: ToolSort };
    write.run(JSON.stringify({ ...tool, standsFor: proposeStandsFor({ name, sort: tool.sort }) }), id);
  }
}
