import type Database from 'better-sqlite3';

type Connection = Database.Database;

const undoneOf = new WeakMap<Connection, number>();

/** How often something of this connection was undone: what was worked out before that may rest on what is not there. */
export const rollbacksOf = (db: Connection): number => undoneOf.get(db) ?? 0;

/**
 * Does all of it or nothing; within another, as a part of that. The right to write is taken before anything is looked at:
 * what was checked cannot be changed by another program before it is written.
 * @throws what the work throws, after it is undone
 */
export function transact<T>(db: Connection, work: () => T): T {
  try {
    return db.transaction(work).immediate();
  } catch (error) {
    undoneOf.set(db, rollbacksOf(db) + 1);
    throw error;
  }
}
