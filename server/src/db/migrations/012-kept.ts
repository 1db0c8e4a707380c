/**
 * What is known of the studio itself, what was made by which key, and stock that is always in a place it can be in: a lot
 * belongs to one thing, and what is kept in lots moves by lot.
 */
export const kept = `
CREATE TABLE studio_fact (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
-- One in which there ever was anything is begun, however its first start ended.
INSERT INTO studio_fact (name, value, at)
SELECT 'begun', 'before', strftime('%Y-%m-%dT%H:%M:%fZ', 'now')
WHERE EXISTS (SELECT 1 FROM item) OR EXISTS (SELECT 1 FROM pattern) OR EXISTS (SELECT 1 FROM technique);

-- What a request with a key was answered, so that the same sent again makes nothing twice.
CREATE TABLE answered_key (
  key TEXT PRIMARY KEY CHECK (length(key) BETWEEN 1 AND 64),
  -- Of what was asked: the way, the address and the body.
  fingerprint TEXT NOT NULL,
  -- JSON, deflated.
  answer BLOB NOT NULL,
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX answered_key_by_time ON answered_key (at);

CREATE TRIGGER movement_of_its_lot BEFORE INSERT ON movement
WHEN NEW.lot_id IS NOT NULL AND NEW.reason <> 'undone'
  AND (SELECT item_id FROM lot WHERE id = NEW.lot_id) IS NOT NEW.item_id
BEGIN SELECT RAISE(ABORT, 'this lot is of another thing'); END;
-- What an old import entered in a wrong lot, or in none, may still be taken back.
CREATE TRIGGER movement_by_lot BEFORE INSERT ON movement
WHEN NEW.lot_id IS NULL AND NEW.reason <> 'undone'
  AND (SELECT kind FROM item WHERE id = NEW.item_id) IN ('fibre', 'blend')
BEGIN SELECT RAISE(ABORT, 'what is kept in lots moves by lot'); END;
CREATE TRIGGER run_taking_of_its_lot BEFORE INSERT ON run_taking
WHEN NEW.lot_id IS NOT NULL AND (SELECT item_id FROM lot WHERE id = NEW.lot_id) IS NOT NEW.item_id
BEGIN SELECT RAISE(ABORT, 'this lot is of another thing'); END;
CREATE TRIGGER lot_stays_with_its_item BEFORE UPDATE OF item_id ON lot
WHEN NEW.item_id IS NOT OLD.item_id
BEGIN SELECT RAISE(ABORT, 'a lot stays with what it is a lot of'); END;
`;
