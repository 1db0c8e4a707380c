/**
 * What happens in a class, act by act: only ever added to. Pictures of it are kept by the class they are of. What comes back to the shelf
 * after a class stands beside what was taken for it, as less than nothing.
 */
export const taught = `
CREATE TABLE class_event (
  id INTEGER PRIMARY KEY,
  event_key TEXT NOT NULL UNIQUE,
  run_id TEXT NOT NULL REFERENCES run (id),
  at TEXT NOT NULL,
  seen INTEGER NOT NULL,
  device TEXT NOT NULL,
  device_key TEXT NOT NULL,
  what TEXT NOT NULL,
  came_at TEXT NOT NULL
);
CREATE INDEX class_event_by_run ON class_event (run_id, id);
CREATE TRIGGER class_event_stays BEFORE UPDATE ON class_event
BEGIN SELECT RAISE(ABORT, 'what happened in a class is not changed'); END;
CREATE TRIGGER class_event_is_kept BEFORE DELETE ON class_event
BEGIN SELECT RAISE(ABORT, 'what happened in a class is kept'); END;

ALTER TABLE run_tick ADD COLUMN device_key TEXT;
ALTER TABLE needle_tap ADD COLUMN device TEXT;
ALTER TABLE needle_tap ADD COLUMN device_key TEXT;

CREATE TABLE run_taking_whole (
  id INTEGER PRIMARY KEY,
  run_id TEXT NOT NULL REFERENCES run (id),
  item_id TEXT NOT NULL REFERENCES item (id),
  lot_id TEXT REFERENCES lot (id),
  amount_milli INTEGER NOT NULL CHECK (amount_milli <> 0)
) STRICT;
INSERT INTO run_taking_whole SELECT id, run_id, item_id, lot_id, amount_milli FROM run_taking;
DROP TABLE run_taking;
ALTER TABLE run_taking_whole RENAME TO run_taking;
CREATE INDEX run_taking_by_run ON run_taking (run_id);
CREATE TRIGGER run_taking_of_its_lot BEFORE INSERT ON run_taking
WHEN NEW.lot_id IS NOT NULL AND (SELECT item_id FROM lot WHERE id = NEW.lot_id) IS NOT NEW.item_id
BEGIN SELECT RAISE(ABORT, 'this lot is of another thing'); END;
`;
