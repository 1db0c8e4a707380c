import type { Db } from './openDatabase.ts';

export interface PackCode {
  readonly code: string;
  readonly runId: string;
  readonly number: number;
}

/** Every query on the codes of packs. */
export function packCodeQueries(db: Db) {
  const SELECT = 'SELECT code, run_id AS runId, number FROM pack_code';
  const selectOne = db.prepare<[string], PackCode>(`${SELECT} WHERE code = ?`);
  const selectOf = db.prepare<[string], PackCode>(`${SELECT} WHERE run_id = ? ORDER BY number`);
  const insert = db.prepare(
    'INSERT INTO pack_code (code, run_id, number, made_at) VALUES (@code, @runId, @number, @at)',
  );
  const remove = db.prepare('DELETE FROM pack_code WHERE run_id = ?');
  return {
    find: (code: string): PackCode | null => selectOne.get(code) ?? null,
    of: (runId: string): PackCode[] => selectOf.all(runId),
    add: (code: PackCode, at: string): void => void insert.run({ ...code, at }),
    /** None of this run opens anything any more. */
    end: (runId: string): void => void remove.run(runId),
  };
}
