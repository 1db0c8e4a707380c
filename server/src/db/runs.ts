import type { Run, RunInput } from '@lanakit/core';
import type { Db } from './openDatabase.ts';
import { softDelete } from './softDelete.ts';

const SELECT = `
  SELECT id, version, name, date, seats, spare_packs AS sparePacks, revision_id AS revisionId,
         scale_step_g AS scaleStepG, extra_fraction AS extraFraction,
         seats_per_table AS seatsPerTable, skill, needle_risk_fraction AS needleRiskFraction
  FROM run WHERE deleted_at IS NULL`;

/** Every query on runs, prepared once. */
export function runQueries(db: Db) {
  const selectAll = db.prepare<[], Run>(`${SELECT} ORDER BY date, created_at, id`);
  const selectAhead = db.prepare<[string], Run>(`${SELECT} AND date >= ? ORDER BY date, created_at, id`);
  const selectOne = db.prepare<[string], Run>(`${SELECT} AND id = ?`);
  const insertRow = db.prepare(`
    INSERT INTO run (id, name, date, seats, spare_packs, revision_id, scale_step_g, extra_fraction,
      seats_per_table, skill, needle_risk_fraction, created_at, updated_at)
    VALUES (@id, @name, @date, @seats, @sparePacks, @revisionId, @scaleStepG, @extraFraction,
      @seatsPerTable, @skill, @needleRiskFraction, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE run SET version = version + 1, name = @name, date = @date, seats = @seats, spare_packs = @sparePacks,
      revision_id = @revisionId, scale_step_g = @scaleStepG, extra_fraction = @extraFraction,
      seats_per_table = @seatsPerTable, skill = @skill, needle_risk_fraction = @needleRiskFraction, updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  return {
    /** By date, then by when they were made. */
    all: (): Run[] => selectAll.all(),
    ahead: (today: string): Run[] => selectAhead.all(today),
    find: (id: string): Run | null => selectOne.get(id) ?? null,
    insert: (id: string, input: RunInput, at: string): void => {
      insertRow.run({ ...input, name: input.name.trim(), id, at });
    },
    update: (id: string, version: number, input: RunInput, at: string): boolean =>
      updateRow.run({ ...input, name: input.name.trim(), id, version, at }).changes === 1,
    ...softDelete(db, 'run'),
  };
}
