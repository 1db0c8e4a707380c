import type { Db } from './openDatabase.ts';
import { packed, unpacked } from './packed.ts';

/** What a request with a key was answered. */
export interface KeyedAnswer {
  readonly status: number;
  readonly version?: number;
  readonly location?: string;
  readonly body?: unknown;
}

/** Who sits where, who made a figure, who asked for one. */
const NAMES_SOMEBODY = /"roster":\[\{|"(?:madeBy|askedBy|reach)":"[^"]/;

/** Every query on keys that were answered, prepared once. */
export function answeredKeyQueries(db: Db) {
  const select = db.prepare<[string], { fingerprint: string; answer: Buffer }>(
    'SELECT fingerprint, answer FROM answered_key WHERE key = ?',
  );
  const insert = db.prepare(
    'INSERT INTO answered_key (key, fingerprint, answer, at) VALUES (@key, @fingerprint, @answer, @at)',
  );
  const selectAll = db.prepare<[], { key: string; answer: Buffer }>('SELECT key, answer FROM answered_key');
  const removeOne = db.prepare('DELETE FROM answered_key WHERE key = ?');
  const sweep = db.prepare('DELETE FROM answered_key WHERE at < ?');
  return {
    find: (key: string): { fingerprint: string; answer: KeyedAnswer } | null => {
      const row = select.get(key);
      if (!row) return null;
      const answer = JSON.parse(unpacked(row.answer)) as KeyedAnswer;
      return { fingerprint: row.fingerprint, answer };
    },
    keep: (key: string, fingerprint: string, answer: KeyedAnswer, at: string): void => {
      insert.run({ key, fingerprint, answer: packed(JSON.stringify(answer), 1), at });
    },
    /** Answers that name somebody are given up: sent again, such a request is done again and not answered as it was. */
    forgetNamed: (): void => {
      for (const { key, answer } of selectAll.all())
        if (NAMES_SOMEBODY.test(unpacked(answer))) removeOne.run(key);
    },
    /** Nobody sends anything again after so long. */
    sweep: (before: string): number => sweep.run(before).changes,
  };
}
