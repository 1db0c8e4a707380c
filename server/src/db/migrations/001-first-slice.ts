/** Shelf with its stock ledger, patterns with their revisions, runs. Masses are whole milligrams, money minor units. */
export const firstSlice = `
CREATE TABLE fibre (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  name TEXT NOT NULL CHECK (trim(name) <> ''),
  preparation TEXT NOT NULL CHECK (preparation IN ('core-batt', 'batt', 'carded', 'tops')),
  colour TEXT NOT NULL CHECK (length(colour) = 7 AND colour GLOB '#*'),
  linear_g_per_m REAL CHECK (linear_g_per_m > 0),
  staple_mm REAL CHECK (staple_mm > 0),
  price_per_100g_minor INTEGER CHECK (price_per_100g_minor >= 0),
  is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- What is on hand is always the sum of these; a movement is never edited.
CREATE TABLE stock_movement (
  id INTEGER PRIMARY KEY,
  fibre_id TEXT NOT NULL REFERENCES fibre (id),
  mass_mg INTEGER NOT NULL,
  reason TEXT NOT NULL CHECK (reason IN ('received', 'counted')),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX stock_movement_by_fibre ON stock_movement (fibre_id, mass_mg);

CREATE TABLE pattern (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX pattern_by_update ON pattern (updated_at DESC, id) WHERE deleted_at IS NULL;

CREATE TABLE revision (
  id TEXT PRIMARY KEY,
  pattern_id TEXT NOT NULL REFERENCES pattern (id),
  number INTEGER NOT NULL CHECK (number >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  published_at TEXT NOT NULL,
  UNIQUE (pattern_id, number)
) STRICT;
CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;
CREATE TRIGGER revision_is_kept BEFORE DELETE ON revision
BEGIN SELECT RAISE(ABORT, 'a published revision cannot be deleted'); END;

-- Which fibres a draft or a revision names, so that the database itself can say what a fibre is used in.
CREATE TABLE pattern_fibre (
  pattern_id TEXT NOT NULL REFERENCES pattern (id),
  fibre_id TEXT NOT NULL REFERENCES fibre (id),
  PRIMARY KEY (pattern_id, fibre_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX pattern_fibre_by_fibre ON pattern_fibre (fibre_id);
CREATE TABLE revision_fibre (
  revision_id TEXT NOT NULL REFERENCES revision (id),
  fibre_id TEXT NOT NULL REFERENCES fibre (id),
  PRIMARY KEY (revision_id, fibre_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX revision_fibre_by_fibre ON revision_fibre (fibre_id);

CREATE TABLE run (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  name TEXT NOT NULL CHECK (trim(name) <> ''),
  date TEXT NOT NULL CHECK (date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  seats INTEGER NOT NULL CHECK (seats BETWEEN 1 AND 200),
  spare_packs INTEGER NOT NULL CHECK (spare_packs BETWEEN 0 AND 50),
  revision_id TEXT NOT NULL REFERENCES revision (id),
  scale_step_g REAL NOT NULL CHECK (scale_step_g > 0),
  extra_fraction REAL NOT NULL CHECK (extra_fraction BETWEEN 0 AND 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX run_by_date ON run (date, created_at) WHERE deleted_at IS NULL;
`;
