/** What is cut, and how, tells what there is to cut from: it is counted with the shelf. */
const counted = ['offcut', 'cutting_plan', 'setting']
  .flatMap((table) =>
    ['INSERT', 'UPDATE', 'DELETE'].map(
      (change) => `
CREATE TRIGGER ${table}_${change.toLowerCase()}_is_counted AFTER ${change} ON ${table}
BEGIN UPDATE change_count SET changes = changes + 1 WHERE domain = 'ledger'; END;`,
    ),
  )
  .join('\n');

/** What is ordered of suppliers and how far it has come, what the maker says of her days, and below what a thing runs low. */
export const bought = `
CREATE TABLE purchase_order (
  id TEXT PRIMARY KEY CHECK (length(id) > 0),
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  -- Whether anything of it may still come.
  is_open INTEGER NOT NULL CHECK (is_open IN (0, 1)),
  document TEXT NOT NULL,
  document_seal INTEGER,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX purchase_order_open ON purchase_order (created_at) WHERE is_open = 1;

CREATE TABLE setting (
  name TEXT PRIMARY KEY,
  document TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- Pieces of known size among what is on hand; gone when they are cut up or come to nothing.
CREATE TABLE offcut (
  id TEXT PRIMARY KEY CHECK (length(id) > 0),
  item_id TEXT NOT NULL REFERENCES item (id),
  length_mm REAL NOT NULL CHECK (length_mm > 0),
  -- Nought of what is cut by length alone.
  width_mm REAL NOT NULL CHECK (width_mm >= 0),
  created_at TEXT NOT NULL,
  gone_at TEXT
) STRICT;
CREATE INDEX offcut_there ON offcut (item_id) WHERE gone_at IS NULL;

CREATE TABLE cutting_plan (
  id TEXT PRIMARY KEY CHECK (length(id) > 0),
  version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
  -- Put away once nobody wants it any more.
  is_open INTEGER NOT NULL CHECK (is_open IN (0, 1)),
  document TEXT NOT NULL,
  document_seal INTEGER,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX cutting_plan_open ON cutting_plan (created_at) WHERE is_open = 1;

CREATE TABLE stock_level (
  item_id TEXT PRIMARY KEY REFERENCES item (id),
  least_milli INTEGER NOT NULL CHECK (least_milli > 0)
) STRICT, WITHOUT ROWID;
${counted}
`;
