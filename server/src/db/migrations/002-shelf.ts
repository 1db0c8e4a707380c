/**
 * The whole shelf. Everything on it is an `item`: its identity, name and state are columns, what it is like is a JSON
 * object that the schema of its kind has checked. What relates things is relational: lots, the ledger, which item
 * names which. Fibres of the first slice become items, each count a movement of its first lot.
 */
export const shelf = `
CREATE TABLE item (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('fibre', 'blend', 'finding', 'needle', 'tool', 'supplier')),
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  name TEXT NOT NULL CHECK (trim(name) <> ''),
  properties TEXT NOT NULL CHECK (json_valid(properties)),
  is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX item_by_kind ON item (kind, name COLLATE NOCASE, id) WHERE deleted_at IS NULL;

CREATE TABLE lot (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item (id),
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  name TEXT NOT NULL CHECK (trim(name) <> ''),
  properties TEXT NOT NULL CHECK (json_valid(properties)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE UNIQUE INDEX lot_by_name ON lot (item_id, lower(trim(name))) WHERE deleted_at IS NULL;

CREATE TABLE import (
  id TEXT PRIMARY KEY,
  file_name TEXT NOT NULL,
  at TEXT NOT NULL,
  undone_at TEXT
) STRICT;

-- What an import made (before: null) or changed; the version it left says whether anyone has been there since.
CREATE TABLE import_change (
  import_id TEXT NOT NULL REFERENCES import (id),
  item_id TEXT NOT NULL REFERENCES item (id),
  before TEXT CHECK (before IS NULL OR json_valid(before)),
  version_after INTEGER NOT NULL,
  PRIMARY KEY (import_id, item_id)
) STRICT, WITHOUT ROWID;

-- What is on hand is always the sum of these, in thousandths of the item's unit; a movement is never edited.
CREATE TABLE movement (
  id INTEGER PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item (id),
  lot_id TEXT REFERENCES lot (id),
  amount_milli INTEGER NOT NULL,
  reason TEXT NOT NULL CHECK (reason IN
    ('received', 'counted', 'packed', 'sample', 'blended', 'spoiled', 'returned', 'undone')),
  note TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL,
  import_id TEXT REFERENCES import (id)
) STRICT;
CREATE INDEX movement_by_item ON movement (item_id, id, lot_id, amount_milli);
CREATE INDEX movement_by_lot ON movement (lot_id, amount_milli) WHERE lot_id IS NOT NULL;
CREATE INDEX movement_by_import ON movement (import_id) WHERE import_id IS NOT NULL;
CREATE TRIGGER movement_is_unchangeable BEFORE UPDATE ON movement
BEGIN SELECT RAISE(ABORT, 'a movement cannot be changed; enter another'); END;
CREATE TRIGGER movement_is_kept BEFORE DELETE ON movement
BEGIN SELECT RAISE(ABORT, 'a movement cannot be deleted; enter another'); END;

-- Which items an item names: the fibres of a blend, what a supplier offers.
CREATE TABLE item_link (
  item_id TEXT NOT NULL REFERENCES item (id),
  names_id TEXT NOT NULL REFERENCES item (id),
  PRIMARY KEY (item_id, names_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX item_link_by_named ON item_link (names_id);

CREATE TABLE hand_measure (
  name TEXT PRIMARY KEY CHECK (name IN ('wisp', 'pinch', 'tuft')),
  mass_g REAL NOT NULL CHECK (mass_g > 0),
  low_g REAL NOT NULL CHECK (low_g > 0),
  high_g REAL NOT NULL CHECK (high_g > 0),
  weighed_at TEXT NOT NULL
) STRICT;

INSERT INTO item (id, kind, version, name, properties, is_archived, created_at, updated_at, deleted_at)
SELECT id, 'fibre', version, name, json_object(
    'name', name, 'otherNames', json('[]'), 'kind', '', 'preparation', preparation, 'colour', colour,
    'feltsAlone', NULL, 'fineness', NULL, 'stapleMm', staple_mm, 'linearGPerM', linear_g_per_m, 'arealGPerM2', NULL,
    'loftGPerCm3', NULL, 'smallestPartMm', NULL, 'hidingGPerM2', NULL, 'densityFactor', NULL,
    'sheetLengthMm', NULL, 'sheetWidthMm', NULL, 'flags', json('[]'), 'note', '',
    'pricePer100gMinor', price_per_100g_minor),
  is_archived, created_at, updated_at, deleted_at
FROM fibre;

INSERT INTO lot (id, item_id, name, properties, created_at, updated_at)
SELECT 'first-' || f.id, f.id, 'first lot', json_object(
    'name', 'first lot', 'note', '', 'place', '', 'receivedOn', NULL, 'pricePer100gMinor', NULL,
    'overrides', json_object('colour', NULL, 'feltsAlone', NULL, 'fineness', NULL, 'stapleMm', NULL,
      'linearGPerM', NULL, 'arealGPerM2', NULL, 'loftGPerCm3', NULL, 'smallestPartMm', NULL,
      'hidingGPerM2', NULL, 'densityFactor', NULL)),
  f.created_at, f.created_at
FROM fibre f WHERE EXISTS (SELECT 1 FROM stock_movement m WHERE m.fibre_id = f.id);

INSERT INTO movement (item_id, lot_id, amount_milli, reason, at)
SELECT fibre_id, 'first-' || fibre_id, mass_mg, reason, at FROM stock_movement ORDER BY id;

CREATE TABLE pattern_item (
  pattern_id TEXT NOT NULL REFERENCES pattern (id),
  item_id TEXT NOT NULL REFERENCES item (id),
  PRIMARY KEY (pattern_id, item_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX pattern_item_by_item ON pattern_item (item_id);
CREATE TABLE revision_item (
  revision_id TEXT NOT NULL REFERENCES revision (id),
  item_id TEXT NOT NULL REFERENCES item (id),
  PRIMARY KEY (revision_id, item_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX revision_item_by_item ON revision_item (item_id);
INSERT INTO pattern_item SELECT pattern_id, fibre_id FROM pattern_fibre;
INSERT INTO revision_item SELECT revision_id, fibre_id FROM revision_fibre;

DROP TABLE pattern_fibre;
DROP TABLE revision_fibre;
DROP TABLE stock_movement;
DROP TABLE fibre;
`;
