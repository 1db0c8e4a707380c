import { isWoolOnly, missingForPublishing, type Pattern } from '@lanakit/core/pattern';
import type { Database } from 'better-sqlite3';
import { gaugesIn } from '../patternLinks.ts';

/**
 * Lists by page: what they show, sort and search by stands in indexes, so that no document is read but those in sight. What
 * a pattern names (gauges, techniques, pictures) stands in tables of its own.
 */
export function listed(db: Database): void {
  db.exec(`
    ALTER TABLE pattern ADD COLUMN unknown_count INTEGER NOT NULL DEFAULT 0;
    ALTER TABLE revision ADD COLUMN is_wool_only INTEGER NOT NULL DEFAULT 0;

    CREATE TABLE pattern_gauge (
      pattern_id TEXT NOT NULL REFERENCES pattern (id),
      gauge REAL NOT NULL,
      PRIMARY KEY (pattern_id, gauge)
    ) STRICT, WITHOUT ROWID;
    CREATE TABLE pattern_technique (
      pattern_id TEXT NOT NULL REFERENCES pattern (id),
      use_id TEXT NOT NULL,
      technique_id TEXT NOT NULL,
      version INTEGER NOT NULL,
      PRIMARY KEY (pattern_id, use_id)
    ) STRICT, WITHOUT ROWID;
    -- Of a draft or a revision.
    CREATE TABLE picture_use (
      owner_id TEXT NOT NULL,
      picture_id TEXT NOT NULL,
      PRIMARY KEY (owner_id, picture_id)
    ) STRICT, WITHOUT ROWID;
  `);
  notePatterns(db);
  noteRevisions(db);
  db.exec(`
    CREATE INDEX pattern_gauge_by_gauge ON pattern_gauge (gauge, pattern_id);
    CREATE INDEX pattern_technique_by_technique ON pattern_technique (technique_id, pattern_id);
    CREATE INDEX picture_use_by_picture ON picture_use (picture_id);

    DROP INDEX pattern_by_update;
    DROP INDEX pattern_by_title;
    DROP INDEX revision_by_title;
    DROP INDEX run_by_date;
    CREATE INDEX pattern_by_update ON pattern (archived_at IS NOT NULL, updated_at DESC, id, title, unknown_count)
      WHERE deleted_at IS NULL;
    CREATE INDEX pattern_by_title ON pattern (archived_at IS NOT NULL, title COLLATE NOCASE, id, unknown_count)
      WHERE deleted_at IS NULL;
    CREATE INDEX pattern_unknown ON pattern (updated_at DESC, id)
      WHERE deleted_at IS NULL AND archived_at IS NULL AND unknown_count > 0;
    CREATE INDEX pattern_there ON pattern (id, title) WHERE deleted_at IS NULL;
    CREATE INDEX revision_by_title ON revision
      (title COLLATE NOCASE, number DESC, id, pattern_id, is_wool_only, published_at, note);
    CREATE INDEX run_by_date ON run (date, created_at, id, name, kind, state) WHERE deleted_at IS NULL;

    CREATE INDEX pattern_binned ON pattern (deleted_at, id, title) WHERE deleted_at IS NOT NULL;
    CREATE INDEX run_binned ON run (deleted_at, id, name) WHERE deleted_at IS NOT NULL;
    CREATE INDEX item_binned ON item (deleted_at, id, name, kind) WHERE deleted_at IS NOT NULL;
  `);
}

/**
 * One that cannot be read any more is left as it is: it is told where it is asked for. Nobody knows which pictures it wants,
 * so it is given all of them: none of them is tidied away before it can be read again.
 */
function eachDocument(
  db: Database,
  table: 'pattern' | 'revision',
  note: (id: string, pattern: Pattern) => void,
): void {
  const ids = db.prepare<[], string>(`SELECT id FROM ${table}`).pluck().all();
  const select = db.prepare<[string], string>(`SELECT document FROM ${table} WHERE id = ?`).pluck();
  const keepPictures = db.prepare('INSERT OR IGNORE INTO picture_use SELECT ?, id FROM picture');
  for (const id of ids) {
    const pattern = parsed(select.get(id));
    if (pattern) note(id, pattern);
    else keepPictures.run(id);
  }
}

function parsed(text: string | undefined): Pattern | null {
  try {
    const pattern = JSON.parse(text ?? '') as Partial<Pattern>;
    return pattern.format === 'lanakit-pattern' && pattern.parts && pattern.techniques
      ? (pattern as Pattern)
      : null;
  } catch {
    return null;
  }
}

function notePatterns(db: Database): void {
  const count = db.prepare('UPDATE pattern SET unknown_count = ? WHERE id = ?');
  const gauge = db.prepare('INSERT INTO pattern_gauge VALUES (?, ?)');
  const technique = db.prepare('INSERT OR IGNORE INTO pattern_technique VALUES (?, ?, ?, ?)');
  const picture = db.prepare('INSERT OR IGNORE INTO picture_use VALUES (?, ?)');
  eachDocument(db, 'pattern', (id, pattern) => {
    const unknown = missingForPublishing(pattern).length;
    if (unknown > 0) count.run(unknown, id);
    for (const asked of gaugesIn(pattern)) gauge.run(id, asked);
    for (const use of pattern.techniques) technique.run(id, use.id, use.techniqueId, use.version);
    for (const { id: pictureId } of pattern.pictures) picture.run(id, pictureId);
  });
}

function noteRevisions(db: Database): void {
  const flag = db.prepare('UPDATE revision SET is_wool_only = 1 WHERE id = ?');
  const picture = db.prepare('INSERT OR IGNORE INTO picture_use VALUES (?, ?)');
  eachDocument(db, 'revision', (id, pattern) => {
    if (isWoolOnly(pattern)) flag.run(id);
    for (const { id: pictureId } of pattern.pictures) picture.run(id, pictureId);
  });
}
