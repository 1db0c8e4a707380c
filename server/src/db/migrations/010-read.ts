import { type PatternOfAnyFormat, type Rights, upgradePattern } from '@lanakit/core/pattern';
import type { Database } from 'better-sqlite3';

/**
 * Documents of patterns in the sixth format. Whose a technique is stood with the technique alone: each use of it takes
 * the rights of the version it was written from, where that is still known.
 */
export function read(db: Database): void {
  db.exec('DROP TRIGGER revision_is_unchangeable');
  const rightsOf = techniqueRights(db);
  for (const table of ['pattern', 'revision'] as const) {
    const rows = db.prepare<[], { id: string; document: string }>(`SELECT id, document FROM ${table}`).all();
    const write = db.prepare(`UPDATE ${table} SET document = ? WHERE id = ?`);
    for (const { id, document } of rows) {
      const pattern = upgradePattern(JSON.parse(document) as PatternOfAnyFormat);
      const techniques = pattern.techniques.map((use) => ({
        ...use,
        rights: rightsOf(use.techniqueId, use.version) ?? use.rights,
      }));
      write.run(JSON.stringify({ ...pattern, techniques }), id);
    }
  }
  db.exec(`
    CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
    BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;
  `);
}

function techniqueRights(db: Database): (techniqueId: string, version: number) => Rights | null {
  const find = db
    .prepare<[string, number], string>(
      'SELECT document FROM technique_version WHERE technique_id = ? AND version = ?',
    )
    .pluck();
  return (techniqueId, version) => {
    const document = find.get(techniqueId, version);
    return document === undefined ? null : (JSON.parse(document) as { rights: Rights }).rights;
  };
}
