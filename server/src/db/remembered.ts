import type { Db } from './openDatabase.ts';
import { isDamage } from './sound.ts';
import { rollbacksOf } from './transaction.ts';

/** Tables that belong together; see migration 13. */
const DOMAINS = ['things', 'ledger', 'patterns', 'runs', 'needles', 'logbook', 'class', 'asked'] as const;
export type Domain = (typeof DOMAINS)[number];

/** Runs, and some five things of each, that are looked at again and again: of one more than fits all would be worked out anew. */
const MOST_KEPT = 4000;

interface Kept {
  readonly stamp: string;
  readonly value: unknown;
}

/**
 * What was worked out from the data as they are, until something it rests on has changed, whoever changed it: changes are
 * counted by the database itself, and what is undone is counted here. What is remembered must not be changed by who gets it.
 */
export function remembered(db: Db) {
  const selectCounts = db.prepare<[], { domain: Domain; changes: number }>(
    'SELECT domain, changes FROM change_count',
  );
  const ownChanges = db.prepare<[], number>('SELECT total_changes()').pluck();
  const kept = new Map<string, Kept>();
  let counted = { at: '', counts: new Map<Domain, number | string>() };
  /** Where the counts themselves are damaged every write counts for all. */
  const countsAt = (at: string): Map<Domain, number | string> => {
    try {
      return new Map(selectCounts.all().map(({ domain, changes }) => [domain, changes]));
    } catch (error) {
      if (!isDamage(error)) throw error;
      return new Map(DOMAINS.map((domain) => [domain, at]));
    }
  };
  /** Read once as long as nothing at all is written. */
  const counts = (): ReadonlyMap<Domain, number | string> => {
    const version = String(db.pragma('data_version', { simple: true }));
    const at = `${ownChanges.get() ?? ''} ${version} ${rollbacksOf(db)}`;
    if (at !== counted.at) counted = { at, counts: countsAt(at) };
    return counted.counts;
  };
  const rememberAs = <T>(key: string, stamp: string, make: () => T): T => {
    const before = kept.get(key);
    if (before?.stamp === stamp) {
      // What was asked for last is the last to go.
      kept.delete(key);
      kept.set(key, before);
      return before.value as T;
    }
    const value = make();
    kept.delete(key);
    if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value ?? '');
    kept.set(key, { stamp, value });
    return value;
  };
  return {
    /** The same again as long as the stamp is. @param stamp tells all it rests on */
    rememberAs,
    /** The same again as long as nothing of these is written. */
    remember: <T>(domains: readonly Domain[], key: string, make: () => T): T => {
      const now = counts();
      const stamp = `${domains.map((domain) => now.get(domain)).join(' ')} ${rollbacksOf(db)}`;
      return rememberAs(`${domains.join(' ')} ${key}`, stamp, make);
    },
  };
}
