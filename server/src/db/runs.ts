import type { Run, RunInput } from '@lanakit/core';
import type { Db } from './openDatabase.ts';
import { softDelete } from './softDelete.ts';

const SELECT = `
  SELECT id, version, name, date, seats, spare_packs AS sparePacks, revision_id AS revisionId,
         scale_step_g AS scaleStepG, extra_fraction AS extraFraction,
         seats_per_table AS seatsPerTable, skill, needle_risk_fraction AS needleRiskFraction, wanted_chance AS wantedChance, roster
  FROM run WHERE deleted_at IS NULL`;

/** The roster is one document: nobody asks the database who sits where. */
type RunRow = Omit<Run, 'roster'> & { readonly roster: string };

const runOf = (row: RunRow): Run => ({ ...row, roster: JSON.parse(row.roster) as Run['roster'] });

const rowOf = (input: RunInput) => ({
  ...input,
  name: input.name.trim(),
  roster: JSON.stringify(input.roster),
});

/** Every query on runs, prepared once. */
export function runQueries(db: Db) {
  const selectAll = db.prepare<[], RunRow>(`${SELECT} ORDER BY date, created_at, id`);
  const selectAhead = db.prepare<[string], RunRow>(`${SELECT} AND date >= ? ORDER BY date, created_at, id`);
  const selectOne = db.prepare<[string], RunRow>(`${SELECT} AND id = ?`);
  const insertRow = db.prepare(`
    INSERT INTO run (id, name, date, seats, spare_packs, revision_id, scale_step_g, extra_fraction,
      seats_per_table, skill, needle_risk_fraction, wanted_chance, roster, created_at, updated_at)
    VALUES (@id, @name, @date, @seats, @sparePacks, @revisionId, @scaleStepG, @extraFraction,
      @seatsPerTable, @skill, @needleRiskFraction, @wantedChance, @roster, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE run SET version = version + 1, name = @name, date = @date, seats = @seats, spare_packs = @sparePacks,
      revision_id = @revisionId, scale_step_g = @scaleStepG, extra_fraction = @extraFraction,
      seats_per_table = @seatsPerTable, skill = @skill, needle_risk_fraction = @needleRiskFraction, wanted_chance = @wantedChance, roster = @roster, updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  return {
    /** By date, then by when they were made. */
    all: (): Run[] => selectAll.all().map(runOf),
    ahead: (today: string): Run[] => selectAhead.all(today).map(runOf),
    find: (id: string): Run | null => {
      const row = selectOne.get(id);
      return row ? runOf(row) : null;
    },
    insert: (id: string, input: RunInput, at: string): void => {
      insertRow.run({ ...rowOf(input), id, at });
    },
    update: (id: string, version: number, input: RunInput, at: string): boolean =>
      updateRow.run({ ...rowOf(input), id, version, at }).changes === 1,
    ...softDelete(db, 'run'),
  };
}
