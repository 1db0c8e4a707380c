/**
 * Who asked for what, and what came in for a class or a batch of kits. What was learnt and taken stays as it was: not only its day
 * but what it says, and that it is there.
 */
const counter = (table: string, change: string): string => `
  CREATE TRIGGER ${table}_${change.toLowerCase()}_is_counted AFTER ${change} ON ${table}
  BEGIN UPDATE change_count SET changes = changes + 1 WHERE domain = 'asked'; END;`;

export const commissions = `
CREATE TABLE commission (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL DEFAULT 1,
  title TEXT NOT NULL,
  asked_on TEXT NOT NULL,
  document TEXT NOT NULL,
  document_seal INTEGER,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX commission_there ON commission (asked_on) WHERE deleted_at IS NULL;

CREATE TABLE takings (
  run_id TEXT PRIMARY KEY REFERENCES run (id),
  minor INTEGER NOT NULL CHECK (minor >= 0),
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TRIGGER learnt_says_what_it_said BEFORE UPDATE OF document ON learnt
BEGIN SELECT RAISE(ABORT, 'what was taken is not changed'); END;
CREATE TRIGGER learnt_is_not_deleted BEFORE DELETE ON learnt
BEGIN SELECT RAISE(ABORT, 'what was taken is not deleted'); END;

INSERT INTO change_count (domain, changes) VALUES ('asked', 0);
${['commission', 'takings'].flatMap((table) => ['INSERT', 'UPDATE', 'DELETE'].map((change) => counter(table, change))).join('\n')}
`;
