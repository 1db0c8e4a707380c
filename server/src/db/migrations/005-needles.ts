import { type PatternOfAnyFormat, type Step, upgradeNeedle, upgradePattern } from '@lanakit/core/pattern';
import type { Database } from 'better-sqlite3';

/**
 * Documents of patterns in the fourth format, techniques whose needles may have a profile, what a class needs to know of
 * its needles, and the tray they are counted out of and back into. Published revisions and versions keep everything but
 * the form they are written in, so their guards are lifted for this step alone.
 */
export function needles(db: Database): void {
  db.exec('DROP TRIGGER revision_is_unchangeable; DROP TRIGGER technique_version_is_unchangeable');
  for (const table of ['pattern', 'revision'] as const) {
    const rows = db.prepare<[], { id: string; document: string }>(`SELECT id, document FROM ${table}`).all();
    const write = db.prepare(`UPDATE ${table} SET document = ? WHERE id = ?`);
    for (const { id, document } of rows) {
      write.run(JSON.stringify(upgradePattern(JSON.parse(document) as PatternOfAnyFormat)), id);
    }
  }
  upgradeTechniques(db);
  db.exec(`
    CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
    BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;
    CREATE TRIGGER technique_version_is_unchangeable BEFORE UPDATE ON technique_version
    BEGIN SELECT RAISE(ABORT, 'a version of a technique cannot be changed'); END;

    ALTER TABLE run ADD COLUMN seats_per_table INTEGER NOT NULL DEFAULT 4
      CHECK (seats_per_table BETWEEN 1 AND 50);
    ALTER TABLE run ADD COLUMN skill TEXT NOT NULL DEFAULT 'some'
      CHECK (skill IN ('practised', 'some', 'first-timer'));
    ALTER TABLE run ADD COLUMN needle_risk_fraction REAL NOT NULL DEFAULT 0.05
      CHECK (needle_risk_fraction > 0 AND needle_risk_fraction < 1);

    -- Every tap at the tray, in order. Nothing is taken out again: a tap too many is followed by one less.
    CREATE TABLE needle_tap (
      id INTEGER PRIMARY KEY,
      -- Made by who taps, so that a tap sent twice counts once.
      tap_key TEXT NOT NULL UNIQUE CHECK (length(tap_key) BETWEEN 1 AND 40),
      run_id TEXT NOT NULL REFERENCES run (id),
      needle_id TEXT NOT NULL REFERENCES item (id),
      pile TEXT NOT NULL CHECK (pile IN ('out', 'in', 'broken', 'sold', 'missing', 'given-up')),
      amount INTEGER NOT NULL CHECK (amount <> 0),
      note TEXT NOT NULL DEFAULT '',
      at TEXT NOT NULL
    ) STRICT;
    CREATE INDEX needle_tap_by_run ON needle_tap (run_id, needle_id, pile, amount);
    CREATE TRIGGER needle_tap_is_unchangeable BEFORE UPDATE ON needle_tap
    BEGIN SELECT RAISE(ABORT, 'a tap cannot be changed; tap again'); END;
    CREATE TRIGGER needle_tap_is_kept BEFORE DELETE ON needle_tap
    BEGIN SELECT RAISE(ABORT, 'a tap cannot be deleted; tap again'); END;

    -- A class whose needles are all in, or told to be missing. What its needles went through is kept with it.
    CREATE TABLE needle_closing (
      run_id TEXT NOT NULL REFERENCES run (id),
      needle_id TEXT NOT NULL REFERENCES item (id),
      exposure_minutes REAL NOT NULL CHECK (exposure_minutes >= 0),
      at TEXT NOT NULL,
      PRIMARY KEY (run_id, needle_id)
    ) STRICT, WITHOUT ROWID;
  `);
}

function upgradeTechniques(db: Database): void {
  const rows = db
    .prepare<[], { technique_id: string; version: number; document: string }>(
      'SELECT technique_id, version, document FROM technique_version',
    )
    .all();
  const write = db.prepare(
    'UPDATE technique_version SET document = @document WHERE technique_id = @id AND version = @version',
  );
  for (const { technique_id: id, version, document } of rows) {
    const technique = JSON.parse(document) as { steps: { needle: Step['needle'] }[] };
    const steps = technique.steps.map((step) => ({ ...step, needle: upgradeNeedle(step.needle) }));
    write.run({ id, version, document: JSON.stringify({ ...technique, steps }) });
  }
}
