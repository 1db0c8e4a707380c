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

CREATE TABLE stock_level (
  item_id TEXT PRIMARY KEY REFERENCES item (id),
  least_milli INTEGER NOT NULL CHECK (least_milli > 0)
) STRICT, WITHOUT ROWID;
`;
