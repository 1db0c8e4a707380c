import type { Database } from 'better-sqlite3';
import { MIGRATIONS, type Migration } from './migrations/index.ts';

export interface NewerDatabase {
  readonly code: 'database_newer';
  readonly found: number;
  readonly known: number;
}

export type MigrateResult = { ok: true; from: number } | { ok: false; refusal: NewerDatabase };

/**
 * Brings a database forward, each step in its own transaction. A database of a newer Lanakit is left untouched.
 * @throws what SQLite says when a step fails; that step is then undone whole
 */
export function migrate(db: Database, migrations: readonly Migration[] = MIGRATIONS): MigrateResult {
  const from = db.pragma('user_version', { simple: true }) as number;
  if (from > migrations.length) {
    return { ok: false, refusal: { code: 'database_newer', found: from, known: migrations.length } };
  }
  migrations.slice(from).forEach((migration, index) => {
    db.transaction(() => {
      if (typeof migration === 'string') db.exec(migration);
      else migration(db);
      db.pragma(`user_version = ${from + index + 1}`);
    })();
  });
  return { ok: true, from };
}
