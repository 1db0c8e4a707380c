/**
 * Figures that were made, as they were written down, and the build each is of as it was then; what was learnt and taken, kept for
 * good; and what of it was left out, meant so, or
 * worked off. What is worked out from the logbook follows its changes.
 */
const DOMAINS = {
  logbook: ['making', 'learnt', 'evidence_choice'],
  class: ['class_event'],
} as const;

const counter = (domain: string, table: string, change: string): string => `
  CREATE TRIGGER ${table}_${change.toLowerCase()}_is_counted AFTER ${change} ON ${table}
  BEGIN UPDATE change_count SET changes = changes + 1 WHERE domain = '${domain}'; END;`;

export const learnt = `
CREATE TABLE making (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL DEFAULT 1,
  title TEXT NOT NULL,
  date TEXT NOT NULL,
  document TEXT NOT NULL,
  document_seal INTEGER,
  build TEXT,
  build_seal INTEGER,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX making_there ON making (date) WHERE deleted_at IS NULL;

CREATE TABLE learnt (
  id INTEGER PRIMARY KEY,
  taken_at TEXT NOT NULL,
  document TEXT NOT NULL,
  document_seal INTEGER
) STRICT;
CREATE TRIGGER learnt_stays BEFORE UPDATE OF taken_at ON learnt
BEGIN SELECT RAISE(ABORT, 'what was taken is not changed'); END;

CREATE TABLE evidence_choice (
  evidence_id TEXT PRIMARY KEY,
  choice TEXT NOT NULL CHECK (choice IN ('left-out', 'meant', 'done')),
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

${Object.keys(DOMAINS)
  .map((domain) => `INSERT INTO change_count (domain, changes) VALUES ('${domain}', 0);`)
  .join('\n')}
${Object.entries(DOMAINS)
  .flatMap(([domain, tables]) =>
    tables.flatMap((table) => ['INSERT', 'UPDATE', 'DELETE'].map((change) => counter(domain, table, change))),
  )
  .join('\n')}
`;
