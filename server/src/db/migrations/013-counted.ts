/** Which tables belong together: what is worked out from them is worked out again when one of them changes. */
const DOMAINS = {
  things: ['item', 'lot', 'item_link', 'hand_measure'],
  ledger: ['movement'],
  patterns: ['pattern', 'revision'],
  runs: ['run', 'run_revision'],
  needles: ['needle_tap', 'needle_closing'],
} as const;

const counter = (domain: string, table: string, change: string): string => `
  CREATE TRIGGER ${table}_${change.toLowerCase()}_is_counted AFTER ${change} ON ${table}
  BEGIN UPDATE change_count SET changes = changes + 1 WHERE domain = '${domain}'; END;`;

/**
 * Sums that are kept instead of added up at every look, and how often what was changed: so that what was worked out is
 * worked out again only when something it rests on has changed, whoever changed it.
 */
export const counted = `
CREATE TABLE on_hand (
  item_id TEXT PRIMARY KEY REFERENCES item (id),
  milli INTEGER NOT NULL,
  -- The most there ever was.
  peak_milli INTEGER NOT NULL
) STRICT, WITHOUT ROWID;
INSERT INTO on_hand (item_id, milli, peak_milli)
SELECT item_id, sum(amount_milli), max(0, max(running))
FROM (SELECT item_id, amount_milli, sum(amount_milli) OVER (PARTITION BY item_id ORDER BY id) AS running FROM movement)
GROUP BY item_id;

CREATE TABLE lot_on_hand (
  lot_id TEXT PRIMARY KEY REFERENCES lot (id),
  milli INTEGER NOT NULL
) STRICT, WITHOUT ROWID;
INSERT INTO lot_on_hand (lot_id, milli)
SELECT lot_id, sum(amount_milli) FROM movement WHERE lot_id IS NOT NULL GROUP BY lot_id;

-- Movements only ever come: a sum needs nothing but the new one.
CREATE TRIGGER movement_is_summed AFTER INSERT ON movement
BEGIN
  INSERT INTO on_hand (item_id, milli, peak_milli)
  VALUES (NEW.item_id, NEW.amount_milli, max(0, NEW.amount_milli))
  ON CONFLICT (item_id) DO UPDATE SET
    peak_milli = max(peak_milli, milli + NEW.amount_milli), milli = milli + NEW.amount_milli;
  INSERT INTO lot_on_hand (lot_id, milli)
  SELECT NEW.lot_id, NEW.amount_milli WHERE NEW.lot_id IS NOT NULL
  ON CONFLICT (lot_id) DO UPDATE SET milli = milli + NEW.amount_milli;
END;

CREATE TABLE change_count (
  domain TEXT PRIMARY KEY,
  changes INTEGER NOT NULL
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
