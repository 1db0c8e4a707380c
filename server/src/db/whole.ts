import type { Db } from './openDatabase.ts';
import { transact } from './transaction.ts';

/** The same work, all of it in one transaction or none of it. */
export const whole =
  <A extends unknown[], R>(db: Db, work: (...given: A) => R): ((...given: A) => R) =>
  (...given) =>
    transact(db, () => work(...given));
