import type { Db } from './openDatabase.ts';
import { rollbacksOf } from './transaction.ts';

/**
 * What was worked out from the data as they are. Everything is forgotten with the next write, whoever makes it: this
 * connection’s own changes are counted, those of another change the file’s version, and what is undone is counted too.
 * What is remembered must not be changed by who gets it.
 */
export function remembered(db: Db): <T>(key: string, make: () => T) => T {
  const ownChanges = db.prepare<[], number>('SELECT total_changes()').pluck();
  let stamp = '';
  let known = new Map<string, unknown>();
  return <T>(key: string, make: () => T): T => {
    const version = String(db.pragma('data_version', { simple: true }));
    const now = `${ownChanges.get() ?? ''} ${version} ${rollbacksOf(db)}`;
    if (now !== stamp) {
      stamp = now;
      known = new Map();
    }
    if (!known.has(key)) known.set(key, make());
    return known.get(key) as T;
  };
}
