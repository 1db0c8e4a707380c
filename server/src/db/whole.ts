import type { Db } from './openDatabase.ts';

/** The same work, all of it in one transaction or none of it. */
export function whole<A extends unknown[], R>(db: Db, work: (...given: A) => R): (...given: A) => R {
  const inOne = db.transaction(work);
  return (...given) => inOne(...given);
}
