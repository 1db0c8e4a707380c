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

-- By what is in them documents are known again: what a disk changed is not taken for what somebody wrote.
ALTER TABLE pattern ADD COLUMN document_seal INTEGER;
ALTER TABLE revision ADD COLUMN document_seal INTEGER;
ALTER TABLE technique_version ADD COLUMN document_seal INTEGER;
ALTER TABLE run ADD COLUMN document_seal INTEGER;
ALTER TABLE run ADD COLUMN frozen_seal INTEGER;
ALTER TABLE item ADD COLUMN properties_seal INTEGER;
ALTER TABLE lot ADD COLUMN properties_seal INTEGER;
-- Found and sorted by, without reading the whole document.
ALTER TABLE pattern ADD COLUMN title TEXT NOT NULL DEFAULT '';
ALTER TABLE revision ADD COLUMN title TEXT NOT NULL DEFAULT '';

-- A seal may be renewed; nothing else of what is published.
DROP TRIGGER revision_is_unchangeable;
DROP TRIGGER technique_version_is_unchangeable;
UPDATE pattern SET title = coalesce(json_extract(document, '$.title'), '') WHERE json_valid(document);
UPDATE revision SET title = coalesce(json_extract(document, '$.title'), '') WHERE json_valid(document);
CREATE TRIGGER revision_is_unchangeable
BEFORE UPDATE OF id, pattern_id, number, document, published_at, note, title ON revision
BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;
CREATE TRIGGER technique_version_is_unchangeable
BEFORE UPDATE OF technique_id, version, document, created_at ON technique_version
BEGIN SELECT RAISE(ABORT, 'a version of a technique cannot be changed'); END;
CREATE INDEX pattern_by_title ON pattern (title COLLATE NOCASE, id) WHERE deleted_at IS NULL;
CREATE INDEX revision_by_title ON revision (title COLLATE NOCASE, number DESC);
`;
