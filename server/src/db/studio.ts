import type { Db } from './openDatabase.ts';

/** What is known of the studio itself. */
export function studioQueries(db: Db) {
  const selectFact = db.prepare<[string], { value: string }>('SELECT value FROM studio_fact WHERE name = ?');
  const insertFact = db.prepare(
    'INSERT INTO studio_fact (name, value, at) VALUES (@name, @value, @at) ON CONFLICT (name) DO NOTHING',
  );
  return {
    /** Its first start went through to its end; until then the next start begins it anew. */
    isBegun: (): boolean => selectFact.get('begun') !== undefined,
    /** @param how with the demo, or empty */
    begin: (how: 'demo' | 'empty', at: string): void => {
      insertFact.run({ name: 'begun', value: how, at });
    },
  };
}
