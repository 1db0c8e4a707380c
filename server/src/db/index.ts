import { fibreQueries } from './fibres.ts';
import type { Db } from './openDatabase.ts';
import { patternQueries } from './patterns.ts';
import { runQueries } from './runs.ts';

export { openDatabase, type Db, type OpenRefusal, type OpenResult } from './openDatabase.ts';
export { migrate } from './migrate.ts';

/** The one narrow door to the database: every table group's queries, prepared once. */
export function createStore(db: Db) {
  return { fibres: fibreQueries(db), patterns: patternQueries(db), runs: runQueries(db) };
}

export type Store = ReturnType<typeof createStore>;
