import { type PatternOfAnyFormat, upgradePattern } from '@lanakit/core/pattern';
import type { Database } from 'better-sqlite3';
import { sealOf, unsealed } from '../sealed.ts';

/** Documents of patterns and revisions in the format of today. */
export function bringDocumentsForward(db: Database): void {
  // As it was: it lets be written what a list shows of a revision.
  const guard = db
    .prepare<[], string>(
      `SELECT sql FROM sqlite_master WHERE type = 'trigger' AND name = 'revision_is_unchangeable'`,
    )
    .pluck()
    .get();
  db.exec('DROP TRIGGER revision_is_unchangeable');
  for (const table of ['pattern', 'revision'] as const) bringForward(db, table);
  if (guard !== undefined) db.exec(guard);
}

interface Row {
  readonly document: string;
  readonly document_seal: number | null;
}

/** One at a time, however many there are; one that cannot be read any more is left as it is, and told where it is asked for. */
function bringForward(db: Database, table: 'pattern' | 'revision'): void {
  const ids = db.prepare<[], string>(`SELECT id FROM ${table}`).pluck().all();
  const select = db.prepare<[string], Row>(`SELECT document, document_seal FROM ${table} WHERE id = ?`);
  const write = db.prepare(`UPDATE ${table} SET document = ?, document_seal = ? WHERE id = ?`);
  for (const id of ids) {
    const pattern = brought(select.get(id));
    if (pattern !== null) write.run(pattern, sealOf(pattern), id);
  }
}

function brought(row: Row | undefined): string | null {
  if (!row) return null;
  try {
    const document = unsealed<PatternOfAnyFormat>(row.document, row.document_seal);
    return document.format === 'lanakit-pattern' ? JSON.stringify(upgradePattern(document)) : null;
  } catch {
    return null;
  }
}
