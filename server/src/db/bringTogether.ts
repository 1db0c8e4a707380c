import type Database from 'better-sqlite3';

/** Lines of an old ledger may stand in the lot of another thing, or in none: they come as they were. */
const GUARDS_OF_NEW_LINES = ['movement_of_its_lot', 'movement_by_lot'];

/** Something that came names something that is not there. */
export class NamesNothing extends Error {
  readonly table: string;
  constructor(table: string) {
    super(`${table} names something that is not there`);
    this.name = 'NamesNothing';
    this.table = table;
  }
}

/**
 * Brings many rows in within one transaction, all of them or none; who names whom is looked at when all are there.
 * @throws NamesNothing
 */
export async function bringTogether<T>(db: Database.Database, work: () => T | Promise<T>): Promise<T> {
  db.pragma('foreign_keys = OFF');
  try {
    db.exec('BEGIN IMMEDIATE');
    const guards = db
      .prepare<[], { name: string; sql: string }>(
        `SELECT name, sql FROM sqlite_master WHERE type = 'trigger'
         AND name IN (${GUARDS_OF_NEW_LINES.map((name) => `'${name}'`).join(', ')})`,
      )
      .all();
    for (const { name } of guards) db.exec(`DROP TRIGGER ${name}`);
    const value = await work();
    for (const { sql } of guards) db.exec(sql);
    const [broken] = db.pragma('foreign_key_check') as readonly { readonly table: string }[];
    if (broken) throw new NamesNothing(broken.table);
    db.exec('COMMIT');
    return value;
  } finally {
    if (db.inTransaction) db.exec('ROLLBACK');
    db.pragma('foreign_keys = ON');
  }
}
