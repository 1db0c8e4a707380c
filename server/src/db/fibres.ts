import type { Fibre, FibreInput, FibreUse, Preparation } from '@lanakit/core';
import type { Db } from './openDatabase.ts';
import { softDelete } from './softDelete.ts';

interface FibreRow {
  id: string;
  version: number;
  name: string;
  preparation: Preparation;
  colour: string;
  linear_g_per_m: number | null;
  staple_mm: number | null;
  price_per_100g_minor: number | null;
  is_archived: 0 | 1;
  on_hand_mg: number | null;
}

const SELECT = `
  SELECT f.id, f.version, f.name, f.preparation, f.colour, f.linear_g_per_m, f.staple_mm,
         f.price_per_100g_minor, f.is_archived,
         (SELECT sum(m.mass_mg) FROM stock_movement m WHERE m.fibre_id = f.id) AS on_hand_mg
  FROM fibre f`;

/** Every query on fibres and their stock, prepared once. */
export function fibreQueries(db: Db) {
  const selectAll = db.prepare<[], FibreRow>(`${SELECT} WHERE f.deleted_at IS NULL ORDER BY f.name, f.id`);
  const selectOne = db.prepare<[string], FibreRow>(`${SELECT} WHERE f.id = ? AND f.deleted_at IS NULL`);
  const insertRow = db.prepare(`
    INSERT INTO fibre (id, name, preparation, colour, linear_g_per_m, staple_mm, price_per_100g_minor, is_archived,
                       created_at, updated_at)
    VALUES (@id, @name, @preparation, @colour, @linearGPerM, @stapleMm, @pricePer100gMinor, @isArchived, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE fibre SET version = version + 1, name = @name, preparation = @preparation, colour = @colour,
      linear_g_per_m = @linearGPerM, staple_mm = @stapleMm, price_per_100g_minor = @pricePer100gMinor,
      is_archived = @isArchived, updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const insertMovement = db.prepare(
    `INSERT INTO stock_movement (fibre_id, mass_mg, reason, at) VALUES (@fibreId, @massMg, 'counted', @at)`,
  );
  const selectUses = db.prepare<{ fibreId: string }, FibreUse>(`
    SELECT p.id AS patternId, json_extract(p.document, '$.title') AS title, NULL AS revisionNumber
    FROM pattern_fibre u JOIN pattern p ON p.id = u.pattern_id WHERE u.fibre_id = @fibreId AND p.deleted_at IS NULL
    UNION ALL
    SELECT r.pattern_id, json_extract(r.document, '$.title'), r.number
    FROM revision_fibre u JOIN revision r ON r.id = u.revision_id WHERE u.fibre_id = @fibreId
    ORDER BY 2, 3`);

  const find = (id: string): Fibre | null => {
    const row = selectOne.get(id);
    return row ? fibreOf(row) : null;
  };

  /** A count is entered as the movement that makes the sum right. Null leaves the ledger as it is. */
  const enterCount = (fibreId: string, before: Fibre | null, onHandG: number | null, at: string) => {
    if (onHandG === null) return;
    const massMg = Math.round(onHandG * 1000) - Math.round((before?.onHandG ?? 0) * 1000);
    if (massMg !== 0 || before?.onHandG == null) insertMovement.run({ fibreId, massMg, at });
  };

  return {
    all: (): Fibre[] => selectAll.all().map(fibreOf),
    find,
    uses: (fibreId: string): FibreUse[] => selectUses.all({ fibreId }),
    insert: db.transaction((id: string, input: FibreInput, at: string) => {
      insertRow.run({ ...columnsOf(input), id, at });
      enterCount(id, null, input.onHandG, at);
    }),
    /** False when the version is no longer the stored one; nothing is written then. */
    update: db.transaction((id: string, version: number, input: FibreInput, at: string): boolean => {
      const before = find(id);
      const isWritten = updateRow.run({ ...columnsOf(input), id, version, at }).changes === 1;
      if (isWritten) enterCount(id, before, input.onHandG, at);
      return isWritten;
    }),
    ...softDelete(db, 'fibre'),
  };
}

const columnsOf = ({ archived, onHandG: _counted, ...columns }: FibreInput) => ({
  ...columns,
  name: columns.name.trim(),
  isArchived: archived ? 1 : 0,
});

const fibreOf = (row: FibreRow): Fibre => ({
  id: row.id,
  version: row.version,
  name: row.name,
  preparation: row.preparation,
  colour: row.colour,
  linearGPerM: row.linear_g_per_m,
  stapleMm: row.staple_mm,
  pricePer100gMinor: row.price_per_100g_minor,
  onHandG: row.on_hand_mg === null ? null : row.on_hand_mg / 1000,
  archived: row.is_archived === 1,
});
