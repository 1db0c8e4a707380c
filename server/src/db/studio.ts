import type { Db } from './openDatabase.ts';

/** What is known of the studio itself. */
export function studioQueries(db: Db) {
  const selectFact = db.prepare<[string], { value: string }>('SELECT value FROM studio_fact WHERE name = ?');
  const insertFact = db.prepare(
    'INSERT INTO studio_fact (name, value, at) VALUES (@name, @value, @at) ON CONFLICT (name) DO NOTHING',
  );
  const upsertFact = db.prepare(`
    INSERT INTO studio_fact (name, value, at) VALUES (@name, @value, @at)
    ON CONFLICT (name) DO UPDATE SET value = @value, at = @at`);
  const deleteFact = db.prepare('DELETE FROM studio_fact WHERE name = ?');
  return {
    fact: (name: string): string | null => selectFact.get(name)?.value ?? null,
    /** @param value null: no longer so */
    setFact: (name: string, value: string | null, at: string): void => {
      if (value === null) deleteFact.run(name);
      else upsertFact.run({ name, value, at });
    },
    /** Its first start went through to its end; until then the next start begins it anew. */
    isBegun: (): boolean => selectFact.get('begun') !== undefined,
    /** @param how with the demo, or empty */
    begin: (how: 'demo' | 'empty', at: string): void => {
      insertFact.run({ name: 'begun', value: how, at });
    },
  };
}
