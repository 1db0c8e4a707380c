import type { Database } from 'better-sqlite3';
import { MIGRATIONS, type Migration } from './migrations/index.ts';
import { sealAll } from './sealed.ts';

export interface NewerDatabase {
  readonly code: 'database_newer';
  readonly found: number;
  readonly known: number;
}

/** The version from which documents are sealed. */
const SEALED_SINCE = 12;

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
  // A table that others name can only be made anew while nobody watches; before each step is done, all names are checked.
  const watches = db.pragma('foreign_keys', { simple: true }) as number;
  db.pragma('foreign_keys = OFF');
  try {
    migrations.slice(from).forEach((migration, index) => {
      db.transaction(() => {
        if (typeof migration === 'string') db.exec(migration);
        else migration(db);
        // Within the step: ended right after it, no document is left with the seal of another.
        if (from + index + 1 === SEALED_SINCE) sealAll(db);
        assertNamesHold(db);
        db.pragma(`user_version = ${from + index + 1}`);
      })();
    });
  } finally {
    db.pragma(`foreign_keys = ${watches === 1 ? 'ON' : 'OFF'}`);
  }
  return { ok: true, from };
}

function assertNamesHold(db: Database): void {
  const broken = db.pragma('foreign_key_check') as readonly {
    readonly table: string;
    readonly parent: string;
  }[];
  const [first] = broken;
  if (first) throw new Error(`after migrating, ${first.table} names a ${first.parent} that is not there`);
}
