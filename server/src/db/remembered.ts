import type { Db } from './openDatabase.ts';

/**
 * What was worked out from the data as they are. Everything is forgotten with the next write, whoever makes it: this
 * connection’s own changes are counted, and those of another change the file’s version. Inside a transaction nothing is
 * kept, for it may yet be undone. What is remembered must not be changed by who gets it.
 */
export function remembered(db: Db): <T>(key: string, make: () => T) => T {
  const ownChanges = db.prepare<[], number>('SELECT total_changes()').pluck();
  let stamp = '';
  let known = new Map<string, unknown>();
  return <T>(key: string, make: () => T): T => {
    if (db.inTransaction) return make();
    const now = `${ownChanges.get() ?? ''} ${String(db.pragma('data_version', { simple: true }))}`;
    if (now !== stamp) {
      stamp = now;
      known = new Map();
    }
    if (!known.has(key)) known.set(key, make());
    return known.get(key) as T;
  };
}
