import type { Database } from 'better-sqlite3';

/**
 * Runs of two kinds, classes and kits, each one document whose shape the schema has checked; what relates it to anything
 * else stays relational: its revisions, its ticks, what it took off the shelf. How far it is, and from when it counts its
 * numbers as they were.
 */
export function runs(db: Database): void {
  db.exec(`
    CREATE TABLE run_whole (
      id TEXT PRIMARY KEY,
      version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1),
      kind TEXT NOT NULL CHECK (kind IN ('class', 'kits')),
      name TEXT NOT NULL CHECK (trim(name) <> ''),
      date TEXT NOT NULL CHECK (date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
      state TEXT NOT NULL DEFAULT 'planned'
        CHECK (state IN ('planned', 'bought', 'weighed', 'packed', 'done')),
      document TEXT NOT NULL CHECK (json_valid(document)),
      -- The numbers of a run from the moment it is bought for, and all they came from.
      frozen TEXT CHECK (frozen IS NULL OR json_valid(frozen)),
      created_at TEXT NOT NULL,
      updated_at TEXT NOT NULL,
      deleted_at TEXT,
      CHECK ((state = 'planned') = (frozen IS NULL))
    ) STRICT;

    CREATE TABLE run_revision (
      run_id TEXT NOT NULL REFERENCES run (id),
      revision_id TEXT NOT NULL REFERENCES revision (id),
      PRIMARY KEY (run_id, revision_id)
    ) STRICT, WITHOUT ROWID;
    CREATE INDEX run_revision_by_revision ON run_revision (revision_id);

    -- Every tick at the scale and at the table, in order: the last one of a mark says how it stands.
    CREATE TABLE run_tick (
      id INTEGER PRIMARY KEY,
      -- Made by who ticks, so that a tick sent twice counts once.
      tick_key TEXT NOT NULL UNIQUE CHECK (length(tick_key) BETWEEN 1 AND 40),
      run_id TEXT NOT NULL REFERENCES run (id),
      mark TEXT NOT NULL CHECK (length(mark) BETWEEN 1 AND 200),
      is_done INTEGER NOT NULL CHECK (is_done IN (0, 1)),
      mass_mg INTEGER NOT NULL CHECK (mass_mg >= 0),
      at TEXT NOT NULL
    ) STRICT;
    CREATE INDEX run_tick_by_mark ON run_tick (run_id, mark, id);
    CREATE TRIGGER run_tick_is_unchangeable BEFORE UPDATE ON run_tick
    BEGIN SELECT RAISE(ABORT, 'a tick cannot be changed; tick again'); END;
    CREATE TRIGGER run_tick_is_kept BEFORE DELETE ON run_tick
    BEGIN SELECT RAISE(ABORT, 'a tick cannot be deleted; tick again'); END;

    -- What left the shelf when a run was packed, so that unpacking it brings back just that.
    CREATE TABLE run_taking (
      id INTEGER PRIMARY KEY,
      run_id TEXT NOT NULL REFERENCES run (id),
      item_id TEXT NOT NULL REFERENCES item (id),
      lot_id TEXT REFERENCES lot (id),
      amount_milli INTEGER NOT NULL CHECK (amount_milli > 0)
    ) STRICT;
    CREATE INDEX run_taking_by_run ON run_taking (run_id);
  `);
  carryOver(db);
  db.exec(`
    DROP TABLE run;
    ALTER TABLE run_whole RENAME TO run;
    CREATE INDEX run_by_date ON run (date, created_at) WHERE deleted_at IS NULL;
    INSERT INTO run_revision SELECT id, json_extract(document, '$.revisionId') FROM run;
  `);
}

/** As they were: classes, planned, packed by a percentage or a chance. */
function carryOver(db: Database): void {
  const rows = db.prepare<[], Record<string, unknown>>('SELECT * FROM run').all();
  const insert = db.prepare(`
    INSERT INTO run_whole (id, version, kind, name, date, document, created_at, updated_at, deleted_at)
    VALUES (@id, @version, 'class', @name, @date, @document, @created_at, @updated_at, @deleted_at)`);
  for (const row of rows) {
    const document = {
      kind: 'class',
      name: row['name'],
      date: row['date'],
      seats: row['seats'],
      sparePacks: row['spare_packs'],
      spareFraction: null,
      revisionId: row['revision_id'],
      recipes: [],
      scaleStepG: row['scale_step_g'],
      extraFraction: row['extra_fraction'],
      weighingLossFraction: 0,
      seatsPerTable: row['seats_per_table'],
      skill: row['skill'],
      needleRiskFraction: row['needle_risk_fraction'],
      wantedChance: row['wanted_chance'],
      toBagFraction: null,
      roster: (JSON.parse(String(row['roster'])) as object[]).map((seat) => ({ sizeFraction: 1, ...seat })),
      chooseBy: null,
      undecidedChance: null,
      swapIds: [],
      demonstrations: 0,
      hasStageSamples: false,
      bagging: 'one',
      ownBags: [],
      isBaggedByDesign: false,
      rightsReason: '',
      cost: {
        hourlyWageMinor: null,
        marginFraction: 0.3,
        secondsPerPortion: 30,
        minutesPerPack: 4,
        fixedMinutes: 45,
      },
    };
    const { id, version, name, date, created_at, updated_at, deleted_at } = row;
    insert.run({
      id,
      version,
      name,
      date,
      created_at,
      updated_at,
      deleted_at,
      document: JSON.stringify(document),
    });
  }
}
