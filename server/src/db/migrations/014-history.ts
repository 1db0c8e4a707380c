/** What patterns, runs and things of the shelf were before each change, and what lost a conflict; kept compactly, thinned by age. */
export const history = `
CREATE TABLE history (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('pattern', 'run', 'item')),
  thing_id TEXT NOT NULL,
  version INTEGER NOT NULL,
  -- From when it was so, and for how long; of what lost a conflict: when, and no time at all.
  at TEXT NOT NULL,
  lived_ms INTEGER NOT NULL,
  is_lost INTEGER NOT NULL CHECK (is_lost IN (0, 1)),
  -- JSON, deflated.
  document BLOB NOT NULL
) STRICT;
CREATE INDEX history_by_thing ON history (kind, thing_id, id DESC);
CREATE INDEX history_by_time ON history (at);
`;
