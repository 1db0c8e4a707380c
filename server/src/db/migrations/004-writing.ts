import { type PatternOfAnyFormat, upgradePattern } from '@lanakit/core/pattern';
import type { Database } from 'better-sqlite3';

/**
 * Documents of patterns in the third format, and what belongs to writing them: pictures, techniques with their versions,
 * what a revision was published for, patterns put away. Published revisions keep their numbers, grams and days, so their
 * guard is lifted for this step alone.
 */
export function writing(db: Database): void {
  db.exec('DROP TRIGGER revision_is_unchangeable');
  for (const table of ['pattern', 'revision'] as const) {
    const rows = db.prepare<[], { id: string; document: string }>(`SELECT id, document FROM ${table}`).all();
    const write = db.prepare(`UPDATE ${table} SET document = ? WHERE id = ?`);
    for (const { id, document } of rows) {
      write.run(JSON.stringify(upgradePattern(JSON.parse(document) as PatternOfAnyFormat)), id);
    }
  }
  db.exec(`
    ALTER TABLE revision ADD COLUMN note TEXT NOT NULL DEFAULT '';
    ALTER TABLE pattern ADD COLUMN archived_at TEXT;

    CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
    BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;

    -- A picture is known by what is in it: brought in twice, it is kept once.
    CREATE TABLE picture (
      id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 1 AND 40),
      sha256 TEXT NOT NULL UNIQUE CHECK (length(sha256) = 64),
      mime TEXT NOT NULL CHECK (mime IN ('image/jpeg', 'image/png', 'image/webp', 'image/svg+xml')),
      width INTEGER NOT NULL CHECK (width > 0),
      height INTEGER NOT NULL CHECK (height > 0),
      large BLOB NOT NULL,
      small BLOB NOT NULL,
      created_at TEXT NOT NULL
    ) STRICT;

    CREATE TABLE technique (
      id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 1 AND 40),
      version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0),
      archived_at TEXT,
      created_at TEXT NOT NULL
    ) STRICT;

    CREATE TABLE technique_version (
      technique_id TEXT NOT NULL REFERENCES technique (id),
      version INTEGER NOT NULL CHECK (version > 0),
      document TEXT NOT NULL CHECK (json_valid(document)),
      created_at TEXT NOT NULL,
      PRIMARY KEY (technique_id, version)
    ) STRICT, WITHOUT ROWID;

    CREATE TRIGGER technique_version_is_unchangeable BEFORE UPDATE ON technique_version
    BEGIN SELECT RAISE(ABORT, 'a version of a technique cannot be changed'); END;`);
}
