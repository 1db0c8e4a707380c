import { expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import { migrate } from '../../src/db/index.ts';
import { MIGRATIONS } from '../../src/db/migrations/index.ts';

interface Moved {
  readonly lot: number;
  readonly milli: number;
}

const drawn = fc.array(
  fc.record({ lot: fc.integer({ min: 0, max: 3 }), milli: fc.integer({ min: -5000, max: 9000 }) }),
  { maxLength: 40 },
);

/** Two fibres of two lots each. */
const LOTS = ['a1', 'a2', 'b1', 'b2'];
const enter = (db: Database.Database, { lot, milli }: Moved) => {
  const name = LOTS[lot] ?? '';
  db.prepare(
    `INSERT INTO movement (item_id, lot_id, amount_milli, reason, at) VALUES (?, ?, ?, 'received', '2026-11-28')`,
  ).run(name.charAt(0), name, milli);
};

function studioOf(version: number): Database.Database {
  const db = new Database(':memory:');
  migrate(db, MIGRATIONS.slice(0, version));
  for (const item of ['a', 'b'])
    db.exec(
      `INSERT INTO item (id, kind, name, properties, created_at, updated_at) VALUES ('${item}', 'fibre', '${item}', '{}', '', '')`,
    );
  for (const lot of LOTS)
    db.exec(
      `INSERT INTO lot (id, item_id, name, properties, created_at, updated_at) VALUES ('${lot}', '${lot.charAt(0)}', '${lot}', '{}', '', '')`,
    );
  return db;
}

/** Added up one after another. */
function addedUp(moves: readonly Moved[]) {
  const items = new Map<string, { milli: number; peak: number }>();
  const lots = new Map<string, number>();
  for (const { lot, milli } of moves) {
    const name = LOTS[lot] ?? '';
    const before = items.get(name.charAt(0)) ?? { milli: 0, peak: 0 };
    const sum = before.milli + milli;
    items.set(name.charAt(0), { milli: sum, peak: Math.max(before.peak, sum) });
    lots.set(name, (lots.get(name) ?? 0) + milli);
  }
  return { items, lots };
}

const keptIn = (db: Database.Database) => ({
  items: new Map(
    (
      db.prepare('SELECT item_id, milli, peak_milli FROM on_hand').raw().all() as [string, number, number][]
    ).map(([id, milli, peak]) => [id, { milli, peak }]),
  ),
  lots: new Map(db.prepare('SELECT lot_id, milli FROM lot_on_hand').raw().all() as [string, number][]),
});

test('what is kept of the ledger is what it adds up to, brought forward in the middle of it or not', () =>
  fc.assert(
    fc.property(drawn, drawn, (before, after) => {
      const db = studioOf(12);
      for (const moved of before) enter(db, moved);
      migrate(db);
      for (const moved of after) enter(db, moved);
      const right = addedUp([...before, ...after]);
      const found = keptIn(db);
      // Equal as maps, in whatever order.
      expect(found).toEqual(right);
      db.close();
    }),
    { numRuns: 30 },
  ));
