import type { Db } from './openDatabase.ts';

/** What came in for a class or a batch of kits, integer minor units; of those not here nobody has said. */
export function takingQueries(db: Db) {
  const selectAll = db.prepare<[], { runId: string; minor: number }>(
    'SELECT run_id AS runId, minor FROM takings',
  );
  const upsert = db.prepare(`
    INSERT INTO takings (run_id, minor, at) VALUES (@runId, @minor, @at)
    ON CONFLICT (run_id) DO UPDATE SET minor = @minor, at = @at`);
  const unsay = db.prepare('DELETE FROM takings WHERE run_id = ?');
  return {
    all: (): ReadonlyMap<string, number> =>
      new Map(selectAll.all().map(({ runId, minor }) => [runId, minor])),
    /** @param minor null: nobody knows */
    set: (runId: string, minor: number | null, at: string): void => {
      if (minor === null) unsay.run(runId);
      else upsert.run({ runId, minor, at });
    },
  };
}
