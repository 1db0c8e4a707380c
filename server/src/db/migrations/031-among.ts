import type { Database } from 'better-sqlite3';
import { bringDocumentsForward } from './bringForward.ts';

/** Patterns know of one another: their series, and what is made before or goes with them, kept apart so that no document is read for it. */
export function among(db: Database): void {
  db.exec(`
    CREATE TABLE pattern_among (
      pattern_id TEXT PRIMARY KEY REFERENCES pattern (id) ON DELETE CASCADE,
      series TEXT,
      related TEXT NOT NULL
    ) STRICT;
  `);
  // A data directory of the state before has them: what is worked out of patterns does not read translations.
  for (const change of ['insert', 'update', 'delete'])
    db.exec(`DROP TRIGGER IF EXISTS translation_${change}_is_counted`);
  bringDocumentsForward(db);
}
