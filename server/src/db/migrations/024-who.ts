import type { Database } from 'better-sqlite3';
import { bringRunsForward } from './bringRunsForward.ts';

const TABLES = `
-- Every write, and who did it: only ever added to; what is older than it is kept may go.
CREATE TABLE write_log (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  role TEXT,
  device TEXT NOT NULL,
  operation TEXT NOT NULL,
  thing_id TEXT
);
CREATE INDEX write_log_by_device ON write_log (device, id);
CREATE TRIGGER write_log_stays BEFORE UPDATE ON write_log
BEGIN SELECT RAISE(ABORT, 'what was done is not changed'); END;
CREATE TRIGGER write_log_is_kept BEFORE DELETE ON write_log
WHEN OLD.at > strftime('%Y-%m-%dT%H:%M:%SZ', 'now', '-399 days')
BEGIN SELECT RAISE(ABORT, 'what was done is kept'); END;

-- By these a learner opens the pattern of one pack.
CREATE TABLE pack_code (
  code TEXT PRIMARY KEY,
  run_id TEXT NOT NULL REFERENCES run (id),
  number INTEGER NOT NULL,
  made_at TEXT NOT NULL,
  UNIQUE (run_id, number)
) WITHOUT ROWID;
`;

/** Who did what is kept, packs have codes, and a class says for how long those open its patterns: so far, not at all. */
export function who(db: Database): void {
  db.exec(TABLES);
  bringRunsForward(db);
}
